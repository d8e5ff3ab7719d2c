<script setup lang="ts">
import { computed } from 'vue'
import StepHeader from './StepHeader.vue'
import TestControl from './TestControl.vue'
import { useAnswers } from './useAnswers'
import { useBench } from './useReading'
import { useBenchKeys } from './useBenchKeys'
import WorkingClock from './WorkingClock.vue'

// A step that asks one or more tests. Their answers are numbered through, so that each has a key of the number row.
const props = defineProps<{ stepId: string }>()
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

useBenchKeys((key) => {
  if (!/^\d$/.test(key)) return false
  const number = key === '0' ? 10 : Number(key)
  for (const { test: asked, firstKey } of questions.value) {
    const answer = asked.answers[number - firstKey]
    if (answer && number >= firstKey) {
      bench.answer(asked.name, answer.value)
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
    <template v-for="q in questions" :key="q.test.name">
      <WorkingClock v-if="q.test.control === 'timer'" />
      <TestControl v-else :test="q.test" :first-key="q.firstKey" />
    </template>
    <slot />
  </div>
</template>
