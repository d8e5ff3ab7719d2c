<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api'

// Differences of clay of double readings in their order, with the limits of a chart of individuals.
const props = defineProps<{ charts: Schemas['DoubleCharts'] }>()
const W = 560
const H = 200
const EDGE = { left: 44, right: 52, top: 8, bottom: 28 }
const limits = computed(() => props.charts.limits!)
const reach = computed(() => {
  const all = [...props.charts.clay, limits.value.low, limits.value.high, 5]
  return Math.ceil(Math.max(...all.map(Math.abs)) / 5) * 5
})
const x = (at: number) => EDGE.left + ((at + 0.5) / props.charts.clay.length) * (W - EDGE.left - EDGE.right)
const y = (off: number) => EDGE.top + ((reach.value - off) / (2 * reach.value)) * (H - EDGE.top - EDGE.bottom)
const lines = computed(() => [limits.value.high, limits.value.mean, limits.value.low])
const line = computed(() =>
  props.charts.clay.map((d, i) => `${i ? 'L' : 'M'}${x(i).toFixed(1)} ${y(d).toFixed(1)}`).join(''),
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${W} ${H}`"
    class="w-full max-w-2xl"
    role="img"
    :aria-label="`Differences of clay: mean ${limits.mean}, limits ${limits.low} to ${limits.high} points`"
  >
    <g v-for="(l, i) in lines" :key="i">
      <path
        :d="`M${EDGE.left} ${y(l)}H${W - EDGE.right}`"
        stroke="var(--ink)"
        :stroke-width="i === 1 ? 2 : 1.5"
        :stroke-dasharray="i === 1 ? undefined : '6 4'"
      />
      <text :x="W - EDGE.right + 6" :y="y(l) + 5" font-size="14" fill="var(--ink)">{{ l > 0 ? '+' : '' }}{{ l }}</text>
    </g>
    <path :d="line" fill="none" stroke="var(--pencil)" stroke-width="1.5" />
    <circle
      v-for="(d, i) in charts.clay"
      :key="i"
      :cx="x(i)"
      :cy="y(d)"
      r="4.5"
      :fill="limits.outside.includes(i) ? 'var(--iron)' : 'var(--ink)'"
    />
    <g font-size="14" fill="var(--ink)">
      <text v-for="t in [-reach, 0, reach]" :key="t" :x="EDGE.left - 6" :y="y(t) + 5" text-anchor="end">{{ t }}</text>
      <text :x="(EDGE.left + W - EDGE.right) / 2" :y="H - 8" text-anchor="middle">
        Second less first, points of clay, in their order
      </text>
    </g>
  </svg>
</template>
