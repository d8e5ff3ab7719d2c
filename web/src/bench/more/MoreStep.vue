<script setup lang="ts">
import { computed, watch } from 'vue'
import CautionNote from '@/shared/CautionNote.vue'
import { mainKey } from '@/api'
import StepHeader from '@/bench/StepHeader.vue'
import TestControl from './TestControl.vue'
import { useAnswers } from '@/bench/useAnswers'
import { useBench } from '@/bench/useReading'
import { useBenchKeys } from '@/bench/useBenchKeys'

// All the other tests: one is open at a time, so that its answers have the number row; the rest stand below with what
// was answered, and those that a school waits for, or that speak against each other, are marked.
const bench = useBench()
const { steps, test, word } = useAnswers()
const step = computed(() => steps.value.find(({ id }) => id === 'more')!)
const tests = computed(() => step.value.tests.map(test))
const given = (name: string) => bench.observations.value[name]
const assessment = computed(() => bench.reading.value!.assessment)
const waiting = computed(() => {
  const asked: Record<string, string[]> = {}
  for (const { next_question: next, name } of assessment.value.keys)
    if (next && name) (asked[next] ??= []).push(name.toLowerCase())
  return asked
})
const doubted = computed(
  () => new Set(assessment.value.contradictions.filter(({ kept }) => !kept).flatMap(({ repeat }) => repeat)),
)

// Where nobody has chosen: what the key asks next, else the first that is unanswered.
const first = (): string => {
  const next = mainKey(bench.reading.value!).next_question
  const names = step.value.tests
  return (next && names.includes(next) ? next : names.find((name) => given(name) === undefined)) ?? names[0]!
}
const wanted = bench.test.value
const open = computed({ get: () => bench.test.value ?? '', set: (name: string) => (bench.test.value = name) })
if (!wanted || !step.value.tests.includes(wanted)) open.value = first()
watch(step, (now) => {
  if (!now.tests.includes(open.value)) open.value = first()
})
const current = computed(() => test(step.value.tests.includes(open.value) ? open.value : first()))
const mark = (name: string): string =>
  given(name) !== undefined
    ? doubted.value.has(name)
      ? `repeat? ${word(name, given(name))}`
      : word(name, given(name))
    : waiting.value[name]
      ? `for ${waiting.value[name]![0]}`
      : ''

// A straight answer lets the next test in line come up, so that a row of tests goes by number keys alone.
watch(
  () => [open.value, given(open.value)] as const,
  ([name, now], [before, earlier]) => {
    if (name !== before || now === undefined || earlier !== undefined || test(name).control !== 'choice') return
    const later = step.value.tests.slice(step.value.tests.indexOf(name) + 1)
    open.value = later.find((other) => given(other) === undefined) ?? name
  },
)
function move(by: number): void {
  const names = step.value.tests
  open.value = names[(names.indexOf(open.value) + by + names.length) % names.length]!
}

useBenchKeys((key) => {
  const answer = current.value.control === 'choice' ? current.value.answers[Number(key) - 1] : undefined
  if (answer) bench.answer(open.value, answer.value)
  else if (key === 'ArrowDown' || key === 'ArrowRight') move(1)
  else if (key === 'ArrowUp' || key === 'ArrowLeft') move(-1)
  else return false
  return true
})
</script>

<template>
  <div class="grid gap-4 content-start">
    <StepHeader :step="step" />
    <CautionNote v-if="current.caution" :key="current.caution" :name="current.caution" />
    <TestControl :key="current.name" :test="current" :first-key="1" guide />
    <div class="grid grid-cols-2 desk:grid-cols-4 gap-1.5 border-t-2 border-ink pt-3" role="group" aria-label="Tests">
      <button
        v-for="t in tests"
        :key="t.name"
        type="button"
        class="button px-2 !justify-start text-left min-w-0"
        :aria-pressed="t.name === open"
        @click="open = t.name"
      >
        <span class="min-w-0 leading-tight"
          ><span class="first-letter:uppercase block truncate">{{ t.short }}</span
          ><span class="block font-normal truncate">{{ mark(t.name) }}</span></span
        >
      </button>
    </div>
  </div>
</template>
