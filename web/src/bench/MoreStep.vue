<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import CautionNote from '@/shared/CautionNote.vue'
import HalvingControl from './HalvingControl.vue'
import TestQuestion from './TestQuestion.vue'
import { useAnswers } from './useAnswers'
import { useBench } from './useReading'
import { useBenchKeys } from './useBenchKeys'

// All the other tests: one is open at a time, so that its answers have the number row; the rest stand below with what was
// answered, and those that a school waits for are marked.
const bench = useBench()
const { words, test, word } = useAnswers()
const step = computed(() => words.value.steps.find(({ id }) => id === 'more')!)
// Sand is narrowed by halving and has no list of answers.
const SAND = 'sand_estimate'
const tests = computed(() => step.value.tests.map(test))
const open = ref(step.value.tests[0]!)
const current = computed(() => test(open.value === SAND ? step.value.tests[0]! : open.value))
const given = (name: string) => bench.observations.value[name]
const waiting = computed(() => {
  const asked: Record<string, string[]> = {}
  for (const { next_question: next, name } of bench.reading.value!.assessment.keys) if (next && name) (asked[next] ??= []).push(name.toLowerCase())
  return asked
})
const sandSaid = computed(() => {
  const kept = given(SAND) as { percent: number } | undefined
  return kept ? `${Math.round(kept.percent)} %` : waiting.value[SAND] ? `for ${waiting.value[SAND]![0]}` : ''
})
const label = (name: string) => name.replaceAll('_', ' ').replace(' mm', '')

// A straight answer lets the next test in line come up, so that a row of tests goes by number keys alone.
watch(
  () => [open.value, given(open.value)] as const,
  ([name, now], [before, earlier]) => {
    if (name !== before || now === undefined || earlier !== undefined) return
    const later = step.value.tests.slice(step.value.tests.indexOf(name) + 1)
    open.value = later.find((other) => given(other) === undefined) ?? name
  },
)
function move(by: number): void {
  const names = step.value.tests
  open.value = names[(names.indexOf(open.value) + by + names.length) % names.length]!
}

useBenchKeys((key) => {
  const answer = open.value === SAND ? undefined : current.value.answers[Number(key) - 1]
  if (answer) bench.answer(open.value, answer.value)
  else if (key === 'ArrowDown' || key === 'ArrowRight') move(1)
  else if (key === 'ArrowUp' || key === 'ArrowLeft') move(-1)
  else return false
  return true
})
</script>

<template>
  <div class="grid gap-4 content-start">
    <header>
      <h1 class="text-3xl leading-tight">{{ step.title }}</h1>
      <p class="mt-1">{{ step.how }}</p>
    </header>
    <CautionNote v-if="open !== SAND && current.caution" :name="current.caution" />
    <HalvingControl v-if="open === SAND" />
    <TestQuestion v-else :test="current" :first-key="1" :value="given(open)" @answer="bench.answer(open, $event)" @clear="bench.answer(open, null)" />
    <div class="grid grid-cols-2 desk:grid-cols-4 gap-1.5 border-t-2 border-ink pt-3" role="group" aria-label="Tests">
      <button type="button" class="key px-2 !justify-start text-left" :aria-pressed="open === SAND" @click="open = SAND">
        <span class="leading-tight">Sand by halving<span class="block font-normal truncate">{{ sandSaid }}</span></span>
      </button>
      <button v-for="t in tests" :key="t.name" type="button" class="key px-2 !justify-start text-left min-w-0" :aria-pressed="t.name === open" @click="open = t.name">
        <span class="min-w-0 leading-tight"><span class="first-letter:uppercase block truncate">{{ label(t.name) }}</span>
          <span class="block font-normal truncate">{{ given(t.name) !== undefined ? word(t.name, given(t.name)) : waiting[t.name] ? `for ${waiting[t.name]![0]}` : '' }}</span></span>
      </button>
    </div>
  </div>
</template>
