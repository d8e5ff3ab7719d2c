<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'

// Values in their order, with the limits they should keep: alike for all, or one for each.
const props = defineProps<{
  values: number[]
  low: number | number[]
  high: number | number[]
  /** Where they lie on average. */ middle: number
  /** Places of those beyond. */ beyond: number[]
  label: string
  axis: string
  /** The least that the scale reaches to either side. */ least: number
}>()
// Narrower on a phone, so that its writing stays as large.
const phone = useMediaQuery('(max-width: 720px)')
const W = computed(() => (phone.value ? 350 : 560))
const H = 190
const EDGE = { left: 44, right: 52, top: 8, bottom: 28 }
const each = (limit: number | number[]) => (Array.isArray(limit) ? limit : props.values.map(() => limit))
const limits = computed(() => [each(props.high), each(props.low)])
const most = computed(() => Math.max(...[...props.values, ...limits.value.flat()].map(Math.abs), props.least) * 1.05)
const x = (at: number) => EDGE.left + ((at + 0.5) / props.values.length) * (W.value - EDGE.left - EDGE.right)
const y = (value: number) => EDGE.top + ((most.value - value) / (2 * most.value)) * (H - EDGE.top - EDGE.bottom)
const path = (all: number[]) => all.map((v, i) => `${i ? 'L' : 'M'}${x(i).toFixed(1)} ${y(v).toFixed(1)}`).join('')
const said = (value: number) => (value > 0 ? '+' : '') + String(Math.round(value * 10) / 10).replace('-', '−')
const told = computed(() => [limits.value[0]!.at(-1)!, props.middle, limits.value[1]!.at(-1)!])
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" class="w-full max-w-2xl" role="img" :aria-label="label">
    <path
      :d="`M${EDGE.left} ${y(middle)}H${W - EDGE.right}`"
      stroke="var(--ink)"
      :stroke-width="middle === 0 ? 1 : 2"
    />
    <path
      v-for="(l, i) in limits"
      :key="i"
      :d="path(l)"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.5"
      stroke-dasharray="6 4"
    />
    <path :d="path(values)" fill="none" stroke="var(--ink)" stroke-width="2" />
    <circle
      v-for="(v, i) in values"
      :key="i"
      :cx="x(i)"
      :cy="y(v)"
      r="4.5"
      :fill="beyond.includes(i) ? 'var(--iron)' : 'var(--ink)'"
    />
    <g font-size="14" fill="var(--ink)">
      <text v-for="(t, i) in told" :key="i" :x="W - EDGE.right + 6" :y="y(t) + 5">{{ said(t) }}</text>
      <text :x="(EDGE.left + W - EDGE.right) / 2" :y="H - 8" text-anchor="middle">{{ axis }}</text>
    </g>
  </svg>
</template>
