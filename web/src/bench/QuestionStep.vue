<script setup lang="ts">
import { computed } from 'vue'
import CautionNote from '@/shared/CautionNote.vue'
import TestQuestion from './TestQuestion.vue'
import { useAnswers } from './useAnswers'
import { useBench } from './useReading'
import { useBenchKeys } from './useBenchKeys'

// A step that asks one or more tests. Their answers are numbered through, so that each has a key of the number row.
const props = defineProps<{ stepId: string }>()
const bench = useBench()
const { words, test } = useAnswers()
const step = computed(() => words.value.steps.find(({ id }) => id === props.stepId)!)
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
    <header>
      <h1 class="text-3xl leading-tight">{{ step.title }}</h1>
      <p class="mt-1">{{ step.how }}</p>
    </header>
    <CautionNote v-for="name in step.cautions" :key="name" :name="name" />
    <slot name="before" />
    <TestQuestion v-for="q in questions" :key="q.test.name" :test="q.test" :first-key="q.firstKey" :value="bench.observations.value[q.test.name]" @answer="bench.answer(q.test.name, $event)" @clear="bench.answer(q.test.name, null)" />
    <slot />
  </div>
</template>
