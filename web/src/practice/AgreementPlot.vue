<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import type { Schemas } from '@/api'

// Differences of two people's clay against its mean, with the bias and its limits and how surely each is known.
const props = defineProps<{ clay: Schemas['ClayPair']; one: string; other: string }>()
// Narrower on a phone, so that its writing stays as large.
const phone = useMediaQuery('(max-width: 720px)')
const W = computed(() => (phone.value ? 350 : 460))
const H = 260
const EDGE = { left: 46, right: 62, top: 10, bottom: 40 }
const limits = computed(() => [props.clay.limits[0]!, props.clay.bias, props.clay.limits[1]!])
const reach = computed(() => {
  const far = [...props.clay.points.map(([, d]) => Math.abs(d!)), ...limits.value.map(Math.abs), 5]
  return Math.ceil((Math.max(...far) + props.clay.se_limit) / 5) * 5
})
const means = computed(() => props.clay.points.map(([m]) => m!))
const from = computed(() => Math.max(Math.floor((Math.min(...means.value) - 2) / 10) * 10, 0))
const to = computed(() => Math.ceil((Math.max(...means.value) + 2) / 10) * 10)
const x = (mean: number) =>
  EDGE.left + ((mean - from.value) / (to.value - from.value)) * (W.value - EDGE.left - EDGE.right)
const y = (off: number) => EDGE.top + ((reach.value - off) / (2 * reach.value)) * (H - EDGE.top - EDGE.bottom)
const lines = computed(() =>
  limits.value.map((at, i) => ({ at, se: i === 1 ? props.clay.se_bias : props.clay.se_limit, mid: i === 1 })),
)
const ticks = computed(() => Array.from({ length: (to.value - from.value) / 10 + 1 }, (_, i) => from.value + 10 * i))
</script>

<template>
  <svg
    :viewBox="`0 0 ${W} ${H}`"
    class="w-full max-w-xl"
    role="img"
    :aria-label="`Clay of ${one} less ${other}: bias ${clay.bias}, limits ${clay.limits.join(' to ')} points`"
  >
    <path :d="`M${EDGE.left} ${y(0)}H${W - EDGE.right}`" stroke="var(--rule)" />
    <g v-for="l in lines" :key="l.at">
      <rect
        :x="EDGE.left"
        :y="y(l.at + l.se)"
        :width="W - EDGE.left - EDGE.right"
        :height="y(l.at - l.se) - y(l.at + l.se)"
        fill="var(--ochre)"
        opacity="0.3"
      />
      <path
        :d="`M${EDGE.left} ${y(l.at)}H${W - EDGE.right}`"
        stroke="var(--ink)"
        :stroke-width="l.mid ? 2.5 : 1.5"
        :stroke-dasharray="l.mid ? undefined : '6 4'"
      />
      <text :x="W - EDGE.right + 6" :y="y(l.at) + 5" font-size="14" fill="var(--ink)">
        {{ l.at > 0 ? '+' : '' }}{{ l.at }}
      </text>
    </g>
    <circle v-for="([m, d], i) in clay.points" :key="i" :cx="x(m!)" :cy="y(d!)" r="4.5" fill="var(--ink)" />
    <path
      :d="`M${EDGE.left} ${EDGE.top}V${H - EDGE.bottom}H${W - EDGE.right}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <g font-size="14" fill="var(--ink)">
      <text v-for="t in ticks" :key="t" :x="x(t)" :y="H - EDGE.bottom + 17" text-anchor="middle">{{ t }}</text>
      <text v-for="t in [-reach, 0, reach]" :key="t" :x="EDGE.left - 6" :y="y(t) + 5" text-anchor="end">{{ t }}</text>
      <text :x="(EDGE.left + W - EDGE.right) / 2" :y="H - 4" text-anchor="middle">Mean clay of the two, %</text>
      <text :transform="`translate(13 ${(EDGE.top + H - EDGE.bottom) / 2}) rotate(-90)`" text-anchor="middle">
        Difference
      </text>
    </g>
  </svg>
</template>
