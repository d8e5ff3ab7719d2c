<script setup lang="ts">
import { computed } from 'vue'
import NoticedRows from '@/bench/question/NoticedRows.vue'
import TestQuestion from '@/bench/question/TestQuestion.vue'
import { useAnswers } from '@/bench/useAnswers'
import { useBench } from '@/bench/useReading'
import { useBenchKeys } from '@/bench/useBenchKeys'

// The ball, and the loop of too dry and too wet for as long as it does not hold.
const bench = useBench()
const { words, steps, test } = useAnswers()
const noticed = computed(() => steps.value.find(({ id }) => id === 'ball')!.noticed)
const ball = computed(() => test('ball_holds'))
const moisture = computed(() => bench.reading.value!.moisture)
const failed = computed(() => bench.observations.value.ball_holds === false)
const asking = computed(() => moisture.value.open)
const FIRST_MOISTURE_KEY = 3

const emit = defineEmits<{ on: [] }>()
/** A ball that holds leads on by itself. */
function answered(value: unknown): void {
  bench.answer('ball_holds', value)
  if (value === true) emit('on')
}

const wet = computed(() => words.value.moisture.answers.find(({ value }) => value === 'too_wet')!)
/** A ball may form although it is too wet to be read: dry it a little, and squeeze again. */
function tooWet(): void {
  if (bench.observations.value.ball_holds !== true) bench.answer('ball_holds', true)
  bench.moisture('too_wet')
}

useBenchKeys((key) => {
  if (key === 'w') {
    tooWet()
    return true
  }
  const answer = ball.value.answers[Number(key) - 1]
  if (answer) {
    answered(answer.value)
    return true
  }
  const why = asking.value ? words.value.moisture.answers[Number(key) - FIRST_MOISTURE_KEY] : undefined
  if (why) bench.moisture(why.value as string)
  return Boolean(why)
})
</script>

<template>
  <div class="grid gap-6 content-start">
    <TestQuestion
      heading
      :test="ball"
      :first-key="1"
      :value="bench.observations.value.ball_holds"
      @answer="answered"
      @clear="bench.answer('ball_holds', null)"
    />
    <p v-if="!failed" class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span class="leading-tight">It stays a ball, but {{ wet.hint }}?</span>
      <button type="button" class="button px-3" @click="tooWet">
        {{ wet.name }} <kbd class="font-sans font-normal text-lg" aria-hidden="true">w</kbd>
      </button>
    </p>
    <TestQuestion
      v-if="asking"
      :test="{ ...words.moisture, ask: 'Too dry, too wet, or neither?' }"
      :first-key="FIRST_MOISTURE_KEY"
      :value="undefined"
      @answer="bench.moisture($event as string)"
    />
    <p
      v-if="moisture.answers.length && bench.observations.value.ball_holds === undefined"
      role="status"
      class="bg-lit text-lit-ink border-l-8 border-lit-line px-4 py-3 text-2xl font-extrabold"
    >
      {{
        moisture.answers.at(-1) === 'too_dry'
          ? 'Add a little water, knead on, and squeeze again.'
          : 'Add dry soil or let it dry, knead on, and squeeze again.'
      }}
    </p>
    <p
      v-if="moisture.rounds && (moisture.open || bench.observations.value.ball_holds === undefined)"
      class="text-pencil"
    >
      Round {{ moisture.rounds }} of {{ moisture.rounds_at_most }}. After that, no ball means sand.
    </p>
    <p v-else-if="failed && !moisture.open" class="border-l-8 border-ink pl-4">
      Moisture is not the reason: the key ends here.
    </p>
    <NoticedRows v-if="!asking" :tests="noticed" />
  </div>
</template>
