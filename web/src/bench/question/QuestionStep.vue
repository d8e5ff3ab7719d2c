<script setup lang="ts">
import { computed } from 'vue'
import NoticedRows from './NoticedRows.vue'
import StepHeader from '@/bench/StepHeader.vue'
import TestControl from '@/bench/more/TestControl.vue'
import { useAnswers } from '@/bench/useAnswers'
import { useBench } from '@/bench/useReading'
import { useBenchKeys } from '@/bench/useBenchKeys'
import WorkingClock from '@/bench/ribbon/WorkingClock.vue'

// A step that asks one or more tests. Their answers are numbered through, so that each has a key of the number row.
const props = defineProps<{ stepId: string }>()
const emit = defineEmits<{ answered: [test: string] }>()
const bench = useBench()
const { steps, test } = useAnswers()
const step = computed(() => steps.value.find(({ id }) => id === props.stepId)!)
const questions = computed(() => {
  let next = 1
  return step.value.tests.map((name) => {
    const asked = test(name)
    const firstKey = next
    next += asked.answers.length
    return { test: asked, firstKey }
  })
})

const asked = computed(() => questions.value.filter(({ test: one }) => one.control !== 'timer'))
const timed = computed(() => asked.value.length < questions.value.length)

useBenchKeys((key) => {
  if (!/^\d$/.test(key)) return false
  const number = key === '0' ? 10 : Number(key)
  for (const { test: one, firstKey } of asked.value) {
    const answer = one.answers[number - firstKey]
    if (answer && number >= firstKey) {
      bench.answer(one.name, answer.value)
      emit('answered', one.name)
      return true
    }
  }
  return false
})
</script>

<template>
  <div class="grid gap-5 content-start">
    <StepHeader :step="step" />
    <slot name="before" />
    <TestControl
      v-for="q in asked"
      :key="q.test.name"
      :test="q.test"
      :first-key="q.firstKey"
      @answered="emit('answered', q.test.name)"
    />
    <NoticedRows :tests="step.noticed" />
    <WorkingClock v-if="timed" />
    <slot />
  </div>
</template>
