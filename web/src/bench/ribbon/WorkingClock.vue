<script setup lang="ts">
import { computed } from 'vue'
import { useNaming } from '@/bench/useNaming'
import { useBench } from '@/bench/useReading'
import { useBenchKeys } from '@/bench/useBenchKeys'
import { useWorkingClock, watchTime } from './useWorkingClock'

// How long the bolus is worked: the school's own time as a band, and ten minutes, after which a subplastic clay shows.
const bench = useBench()
const { key } = useNaming()
const clock = useWorkingClock()
const TEN = 10
const school = computed(() => key.value.working_minutes)
const x = (minutes: number) => Math.min(minutes / 12, 1) * 800
const advice = computed(() => {
  const now = clock.minutes.value
  if (now >= TEN) return 'Ten minutes: push ribbons again. They are kept apart from the first ones.'
  if (school.value && now > 0 && now < school.value[0]!)
    return `Work on: ${key.value.name.toLowerCase()} want ${school.value[0]} to ${school.value[1]} minutes.`
  if (clock.kept.value !== undefined && !clock.running.value)
    return 'A clay that seemed to grow while you worked it: work it to ten minutes, and push ribbons again.'
  return school.value
    ? `${key.value.name} want ${school.value[0]} to ${school.value[1]} minutes, until no more change is felt.`
    : 'Your key names no time: knead until no more change is felt.'
})
const go = () => (clock.running.value ? clock.stop() : clock.start())
const label = computed(() =>
  clock.running.value ? 'Stop' : clock.kept.value === undefined ? 'Start kneading' : 'Work it to ten minutes',
)

useBenchKeys((pressed) => {
  if (pressed !== 'k') return false
  go()
  return true
})
</script>

<template>
  <section aria-labelledby="clock-title" class="grid gap-2 border-t-2 border-ink pt-3" data-test="working_minutes">
    <div class="flex items-center gap-3 flex-wrap">
      <h2 id="clock-title" class="text-2xl leading-tight">Working time</h2>
      <output class="text-3xl font-extrabold tabular-nums min-w-20" aria-label="Minutes worked">{{
        watchTime(clock.minutes.value)
      }}</output>
      <button type="button" class="button desk:ml-auto" :class="clock.running.value ? 'button-main' : ''" @click="go">
        {{ label }}
      </button>
      <button
        v-if="clock.kept.value !== undefined && !clock.running.value"
        type="button"
        class="min-h-14 px-2 underline underline-offset-4"
        aria-label="Clear answer: working time"
        @click="clock.forget()"
      >
        Clear answer
      </button>
      <button v-if="clock.minutes.value >= TEN" type="button" class="button" @click="bench.goTo('ribbon')">
        Push ribbons again
      </button>
    </div>
    <svg viewBox="0 0 800 18" preserveAspectRatio="none" class="w-full h-4.5 block" aria-hidden="true">
      <rect v-if="school" class="wash" :x="x(school[0]!)" width="67" height="18" />
      <path class="hair" d="M0 14H800" style="stroke-width: 2" />
      <path :d="`M${x(TEN)} 2v16`" style="stroke: var(--iron); stroke-width: 4" />
      <rect :width="x(clock.minutes.value)" y="5" height="9" style="fill: var(--ink)" />
    </svg>
    <p class="text-pencil leading-tight" role="status">{{ advice }}</p>
  </section>
</template>
