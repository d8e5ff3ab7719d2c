<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import type { Schemas } from '@/api'

// Ribbon against the laboratory's clay: the samples with bars of one sd, the hand's own curve in its 80 % band, and the
// consensus.
const props = defineProps<{ hand: Schemas['Hand'] }>()
// On a phone it is drawn smaller, so that its words stay as large.
const phone = useMediaQuery('(max-width: 720px)')
const W = computed(() => (phone.value ? 360 : 700))
const H = computed(() => (phone.value ? 320 : 400))
const EDGE = { left: 48, right: 14, top: 12, bottom: 48 }
const points = computed(() => [...props.hand.pairs, ...props.hand.left_out].filter(({ length_mm: mm }) => mm !== null))
const longest = computed(() => {
  const high = Math.max(80, ...points.value.map(({ length_mm: mm, scale_mm: q }) => mm! + (q ?? 0)))
  return Math.ceil(high / 20) * 20
})
const most = computed(() => Math.max(60, ...points.value.map(({ clay }) => Math.ceil(clay / 10) * 10)))
const curve = computed(() => props.hand.drawn.filter(({ clay }) => clay <= most.value))
const x = (clay: number) => EDGE.left + (clay / most.value) * (W.value - EDGE.left - EDGE.right)
const y = (mm: number) => H.value - EDGE.bottom - (mm / longest.value) * (H.value - EDGE.top - EDGE.bottom)
const path = (all: [number, number][]) => all.map(([clay, mm], i) => `${i ? 'L' : 'M'}${x(clay)} ${y(mm)}`).join('')
const own = computed(() => path(curve.value.map((at) => [at.clay, at.own_mm])))
const consensus = computed(() => path(curve.value.map((at) => [at.clay, at.consensus_mm])))
const band = computed(() => {
  const up = curve.value.map((at): [number, number] => [at.clay, at.high_mm])
  const down = curve.value.map((at): [number, number] => [at.clay, at.low_mm]).reverse()
  return `${path([...up, ...down])}Z`
})
const marks = (to: number, each: number) => Array.from({ length: Math.floor(to / each) + 1 }, (_, i) => i * each)
</script>

<template>
  <figure class="grid gap-1" data-hand-curve>
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      class="w-full"
      role="img"
      :aria-label="`Ribbons of ${hand.name} against clay by the laboratory, with their own curve and the consensus`"
    >
      <clipPath id="hand-curve">
        <rect :x="EDGE.left" :y="EDGE.top" :width="x(most) - EDGE.left" :height="H - EDGE.bottom - EDGE.top" />
      </clipPath>
      <template v-for="mm in marks(longest, 20)" :key="`mm${mm}`">
        <path :d="`M${EDGE.left} ${y(mm)}H${x(most)}`" stroke="var(--feint)" />
        <text :x="EDGE.left - 8" :y="y(mm) + 5" text-anchor="end" font-size="14" fill="var(--ink)">{{ mm }}</text>
      </template>
      <template v-for="clay in marks(most, 10)" :key="`clay${clay}`">
        <path :d="`M${x(clay)} ${EDGE.top}V${y(0)}`" stroke="var(--feint)" />
        <text :x="x(clay)" :y="y(0) + 18" text-anchor="middle" font-size="14" fill="var(--ink)">{{ clay }}</text>
      </template>
      <text :x="(EDGE.left + x(most)) / 2" :y="H - 8" text-anchor="middle" font-size="15" fill="var(--ink)">
        Clay by the laboratory, %
      </text>
      <text
        :transform="`translate(14 ${y(longest / 2)}) rotate(-90)`"
        text-anchor="middle"
        font-size="15"
        fill="var(--ink)"
      >
        Ribbon, mm
      </text>
      <g clip-path="url(#hand-curve)">
        <path v-if="hand.pairs.length" :d="band" fill="var(--ochre)" opacity="0.35" />
        <path :d="consensus" fill="none" stroke="var(--pencil)" stroke-width="2" stroke-dasharray="7 5" />
        <path v-if="hand.pairs.length" :d="own" fill="none" stroke="var(--ink)" stroke-width="3" />
      </g>
      <path :d="`M${EDGE.left} ${EDGE.top}V${y(0)}H${x(most)}`" fill="none" stroke="var(--ink)" stroke-width="1.5" />
      <g v-for="p in hand.pairs" :key="p.sample">
        <path
          :d="`M${x(p.clay - p.clay_sd)} ${y(p.length_mm!)}H${x(p.clay + p.clay_sd)}M${x(p.clay)} ${y(
            p.length_mm! - p.scale_mm!,
          )}V${y(p.length_mm! + p.scale_mm!)}`"
          stroke="var(--ink)"
          stroke-width="1.5"
        />
        <circle :cx="x(p.clay)" :cy="y(p.length_mm!)" r="5" :fill="p.fits ? 'var(--ink)' : 'var(--iron)'" />
        <text
          v-if="!p.fits"
          :x="x(p.clay) + 10"
          :y="y(p.length_mm!) - 8"
          font-size="14"
          font-weight="600"
          fill="var(--iron)"
        >
          {{ p.said.split(',')[0] }} does not fit
        </text>
      </g>
      <circle
        v-for="p in hand.left_out.filter(({ length_mm: mm }) => mm !== null)"
        :key="p.sample"
        :cx="x(p.clay)"
        :cy="y(p.length_mm!)"
        r="5"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
    </svg>
    <figcaption class="text-pencil text-base leading-snug">
      <template v-if="hand.pairs.length">
        Line: the hand’s own curve, and the band that holds 80 % of its ribbons. Dashes: the consensus of curves. Bars:
        one standard deviation.
      </template>
      <template v-else>Dashes: the consensus of curves.</template>
      <template v-if="hand.left_out.length"> Hollow: left out.</template>
    </figcaption>
  </figure>
</template>
