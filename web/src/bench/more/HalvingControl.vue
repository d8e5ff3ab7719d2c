<script setup lang="ts">
import { computed, ref } from 'vue'
import { useWords, type Schemas } from '@/api'
import { useBench } from '@/bench/useReading'

// The share of sand by halving: more than half, or less? Then which part of what is left. Kept when the person says so.
const bench = useBench()
const words = useWords()
const answers = ref<('less' | 'more')[]>([])
const state = computed(() =>
  answers.value.reduce<Schemas['Halving']>((now, answer) => now.following?.[answer] ?? now, words.value.halving),
)
const kept = computed(
  () => bench.observations.value.sand_estimate as { percent: number; half_width?: number } | undefined,
)
const say = (percent: number) => String(Math.round(percent * 10) / 10)

const give = (answer: 'less' | 'more') => (answers.value = [...answers.value, answer])
function keep(): void {
  bench.answer('sand_estimate', state.value.estimate)
  answers.value = []
}
</script>

<template>
  <section aria-labelledby="ask-sand" class="grid gap-2" data-test="sand_estimate">
    <div class="flex items-end justify-between gap-3">
      <h2 id="ask-sand" class="text-2xl leading-tight">
        {{
          state.done ? `About ${say(state.estimate.percent)} % sand.` : `Is it more than ${say(state.middle)} % sand?`
        }}
      </h2>
      <button
        v-if="kept"
        type="button"
        class="shrink-0 min-h-14 -my-3 px-2 underline underline-offset-4"
        @click="bench.answer('sand_estimate', null)"
      >
        Clear answer
      </button>
    </div>
    <div>
      <svg
        viewBox="0 0 800 28"
        preserveAspectRatio="none"
        class="w-full h-7 block border-2 border-ink"
        role="img"
        :aria-label="`Sand between ${say(state.low)} and ${say(state.high)} percent`"
      >
        <rect class="ground" width="800" height="28" />
        <rect class="wash" :x="state.low * 8" :width="(state.high - state.low) * 8" height="28" />
        <path
          :d="`M${state.middle * 8} 0v28`"
          style="stroke: var(--iron); stroke-width: 4"
          vector-effect="non-scaling-stroke"
        />
      </svg>
      <p class="relative h-6 text-pencil leading-tight" aria-hidden="true">
        <span
          v-for="t in [0, 25, 50, 75, 100]"
          :key="t"
          class="absolute"
          :style="{ left: `${t}%`, transform: `translateX(-${t}%)` }"
          >{{ t }}</span
        >
      </p>
    </div>
    <div class="grid grid-cols-2 desk:grid-cols-4 gap-2">
      <button type="button" class="button" :disabled="state.done" @click="give('less')">Less</button>
      <button type="button" class="button" :disabled="state.done" @click="give('more')">More</button>
      <button type="button" class="button button-main" :disabled="!answers.length" @click="keep">
        Keep {{ say(state.estimate.percent) }} %
      </button>
      <button type="button" class="button" :disabled="!answers.length" @click="answers = []">From the start</button>
    </div>
    <p class="text-pencil leading-tight">
      {{
        kept
          ? `Kept: ${say(kept.percent)} %${kept.half_width ? `, give or take ${say(kept.half_width)}` : ''}.`
          : 'Stop when you can no longer tell.'
      }}
    </p>
  </section>
</template>
