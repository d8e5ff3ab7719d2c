<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api'

// Whether a hand has moved: the weighted average of how far each pair lay from what those before it taught.
const props = defineProps<{ chart: Schemas['Hand']['drift']['chart'] }>()
const W = 520
const H = 150
const EDGE = { left: 40, right: 10, top: 8, bottom: 26 }
const most = computed(() => Math.max(...props.chart.flatMap((c) => [Math.abs(c.ewma), c.limit]), 1) * 1.1)
const x = (at: number) => EDGE.left + ((at + 0.5) / props.chart.length) * (W - EDGE.left - EDGE.right)
const y = (value: number) => EDGE.top + ((most.value - value) / (2 * most.value)) * (H - EDGE.top - EDGE.bottom)
const path = (values: number[]) =>
  values.map((v, i) => `${i ? 'L' : 'M'}${x(i).toFixed(1)} ${y(v).toFixed(1)}`).join('')
</script>

<template>
  <svg
    :viewBox="`0 0 ${W} ${H}`"
    class="w-full"
    role="img"
    :aria-label="`Drift over ${chart.length} pairs; ${chart.some((c) => c.signal) ? 'beyond' : 'within'} its limits`"
  >
    <path :d="`M${EDGE.left} ${y(0)}H${W - EDGE.right}`" stroke="var(--rule)" />
    <path :d="path(chart.map((c) => c.limit))" fill="none" stroke="var(--ink)" stroke-dasharray="6 4" />
    <path :d="path(chart.map((c) => -c.limit))" fill="none" stroke="var(--ink)" stroke-dasharray="6 4" />
    <path :d="path(chart.map((c) => c.ewma))" fill="none" stroke="var(--ink)" stroke-width="2.5" />
    <circle
      v-for="(c, i) in chart"
      :key="i"
      :cx="x(i)"
      :cy="y(c.ewma)"
      r="4"
      :fill="c.signal ? 'var(--iron)' : 'var(--ink)'"
    />
    <g font-size="14" fill="var(--ink)">
      <text :x="EDGE.left - 6" :y="y(most / 1.1) + 5" text-anchor="end">+{{ (most / 1.1).toFixed(1) }}</text>
      <text :x="EDGE.left - 6" :y="y(0) + 5" text-anchor="end">0</text>
      <text :x="(EDGE.left + W) / 2" :y="H - 6" text-anchor="middle">Pairs, oldest first; standard deviations</text>
    </g>
  </svg>
</template>
