<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api'
import { percent, signed } from './usePractice'

// How often calls were right, each with the interval that so few samples leave open; and how far off the numbers were.
const props = defineProps<{ scores: Schemas['Scores'] }>()
const W = 260
const errors = computed(() =>
  (['clay', 'sand'] as const).flatMap((of) => (props.scores[of] ? [{ of, ...props.scores[of]! }] : [])),
)
</script>

<template>
  <div class="grid gap-3">
    <ul class="grid gap-2" aria-label="How often right">
      <li v-for="c in scores.calls" :key="c.name" class="grid grid-cols-[1fr_auto] gap-x-3 leading-tight">
        <span class="first-letter:uppercase">{{ c.name }}</span>
        <b class="tabular-nums">{{ c.exact }} of {{ c.count }}</b>
        <svg
          class="col-span-2 w-full"
          :viewBox="`0 0 ${W} 16`"
          role="img"
          :aria-label="`95 % interval ${percent(c.interval[0]!)} to ${percent(c.interval[1]!)}`"
        >
          <path :d="`M0 8H${W}`" stroke="var(--rule)" />
          <rect
            :x="c.interval[0]! * W"
            y="3"
            :width="(c.interval[1]! - c.interval[0]!) * W"
            height="10"
            fill="var(--ochre)"
            stroke="var(--ink)"
          />
          <path :d="`M${(c.exact / c.count) * W} 0V16`" stroke="var(--ink)" stroke-width="3" />
        </svg>
        <span class="col-span-2 text-pencil text-base"
          >{{ percent(c.interval[0]!) }} to {{ percent(c.interval[1]!) }} with so few; within one step
          {{ c.within_one }} of {{ c.count }}</span
        >
      </li>
    </ul>
    <p v-for="e in errors" :key="e.of">
      <span class="first-letter:uppercase inline-block">{{ e.of }}</span>: {{ signed(e.bias) }} points on average,
      {{ e.rmse }} off (root mean square).
    </p>
  </div>
</template>
