<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { figures, type Interpretation } from './useInterpretation'

// A strip of days: how often to water, and how much, at the middle of what the soil holds.
const props = defineProps<{ plan: Interpretation['irrigation']; without: string[] }>()
const DAYS = 30
const box = useTemplateRef('box')
const { width } = useElementSize(box)
const day = computed(() => Math.max(width.value / DAYS, 8))
const middle = computed(() => props.plan.plans.mean)
const waterings = computed(() => {
  const every = middle.value.interval_days
  if (every === null || every === undefined) return []
  return Array.from({ length: DAYS }, (_, i) => i).filter((i) => every < 1 || i % every === 0)
})
const often = (days: number | null | undefined) =>
  days === null || days === undefined
    ? ''
    : days < 1
      ? 'daily or oftener'
      : days === 1
        ? 'every day'
        : `every ${days} days`
const sentence = computed(() => {
  const { p10, mean, p90 } = props.plan.plans
  const hours = mean.hours === null ? '' : `, for ${figures(mean.hours)} h`
  return [
    `About ${figures(mean.net_mm)} mm reach the roots ${often(mean.interval_days)}:`,
    `give ${figures(mean.gross_mm)} mm${hours}.`,
    `By what the soil may hold: ${figures(p10.net_mm)} mm ${often(p10.interval_days)}`,
    `to ${figures(p90.net_mm)} mm ${often(p90.interval_days)}.`,
    props.without.length ? `The water of ${props.without.join(', ')} is not in it.` : '',
  ].join(' ')
})
</script>

<template>
  <div class="grid gap-1" data-plan>
    <p>{{ sentence }}</p>
    <p v-if="plan.warning" class="border-l-8 border-iron bg-warn px-3 py-1">{{ plan.warning }}</p>
    <div ref="box">
      <svg
        v-if="width"
        :width="width"
        height="58"
        role="img"
        :aria-label="`${DAYS} days: ${often(middle.interval_days)}`"
      >
        <rect
          v-for="i in DAYS"
          :key="i"
          class="inked"
          style="stroke-width: 1"
          :x="(i - 1) * day + 1"
          y="22"
          :width="day - 2"
          height="16"
        />
        <g v-for="i in waterings" :key="`w${i}`">
          <rect class="water" :x="i * day + 1" y="22" :width="day - 2" height="16" />
          <path class="water-line" :d="`M${i * day + day / 2} 4v12m-4 -5l4 5l4 -5`" />
        </g>
        <text x="0" y="54" font-size="15" class="pencil">day 1</text>
        <text :x="width" y="54" font-size="15" text-anchor="end" class="pencil">day {{ DAYS }}</text>
      </svg>
    </div>
  </div>
</template>
