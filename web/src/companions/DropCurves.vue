<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import type { Sheet } from '@/api'

// What was read at every place against time, on one scale: levels of water in holes, fronts in tubes.
const props = defineProps<{ sheet: Sheet }>()
// On a phone it is drawn smaller, so that its words stay as large.
const phone = useMediaQuery('(max-width: 720px)')
const W = computed(() => (phone.value ? 360 : 760))
const H = 250
const RIGHT = computed(() => (phone.value ? 110 : EDGE.right))
const EDGE = { left: 46, right: 186, top: 14, bottom: 34 }
const down = computed(() => props.sheet.test === 'columns')
const lines = computed(() => props.sheet.places.filter(({ curve }) => curve.length > 1))
const all = computed(() => lines.value.flatMap(({ curve }) => curve))
const most = computed(() => ({
  minutes: Math.max(10, ...all.value.map(([minute]) => minute!)),
  mm: Math.max(10, ...all.value.map(([, mm]) => mm!)),
}))
const first = computed(() => Math.min(...all.value.map(([minute]) => minute!), most.value.minutes))
const x = (minute: number) =>
  EDGE.left +
  ((minute - first.value) / Math.max(1, most.value.minutes - first.value)) * (W.value - EDGE.left - RIGHT.value)
const y = (mm: number) => {
  const part = mm / most.value.mm
  return EDGE.top + (down.value ? part : 1 - part) * (H - EDGE.top - EDGE.bottom)
}
const path = (curve: number[][]) => curve.map(([minute, mm], i) => `${i ? 'L' : 'M'}${x(minute!)} ${y(mm!)}`).join('')
const round = (span: number) =>
  [1, 2, 5, 10, 20, 30, 60, 120, 240, 480].find((size) => span / size <= (phone.value ? 3 : 8)) ?? 960
const times = computed(() => {
  const each = round(most.value.minutes - first.value)
  return Array.from({ length: 9 }, (_, i) => (Math.ceil(first.value / each) + i) * each).filter(
    (at) => at <= most.value.minutes,
  )
})
const levels = computed(() => {
  const each = [5, 10, 20, 25, 50, 100].find((size) => most.value.mm / size <= 6) ?? 200
  return Array.from({ length: 7 }, (_, i) => i * each).filter((at) => at <= most.value.mm)
})
// Lines are told apart by their dashes and by the name at their end.
const DASHES = ['', '9 5', '2 4', '12 4 2 4', '5 3', '1 6']
/** Names at the ends, moved apart where they would meet. */
const ends = computed(() => {
  let above = -Infinity
  return lines.value
    .map((place, i) => ({ place, i, at: y(place.curve.at(-1)![1]!) }))
    .sort((a, b) => a.at - b.at)
    .map((end) => ({ ...end, text: (above = Math.max(end.at, above + 18)) }))
})
</script>

<template>
  <figure v-if="lines.length" class="grid gap-1" data-curves>
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      class="w-full max-w-4xl"
      role="img"
      :aria-label="down ? 'Wetting fronts against time' : 'Levels of water against time'"
    >
      <template v-for="t in times" :key="`t${t}`">
        <path :d="`M${x(t)} ${EDGE.top}V${H - EDGE.bottom}`" stroke="var(--feint)" />
        <text :x="x(t)" :y="H - 14" text-anchor="middle" font-size="14" fill="var(--ink)">{{ t }} min</text>
      </template>
      <template v-for="l in levels" :key="`l${l}`">
        <path :d="`M${EDGE.left} ${y(l)}H${W - RIGHT}`" stroke="var(--feint)" />
        <text :x="EDGE.left - 6" :y="y(l) + 5" text-anchor="end" font-size="14" fill="var(--ink)">{{ l }}</text>
      </template>
      <path
        :d="`M${EDGE.left} ${EDGE.top}V${H - EDGE.bottom}H${W - RIGHT}`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <template v-for="{ place, i, at, text } in ends" :key="place.id">
        <path
          :d="path(place.curve)"
          fill="none"
          :stroke="place.void ? 'var(--rule)' : 'var(--water)'"
          stroke-width="2.5"
          :stroke-dasharray="DASHES[i % DASHES.length]"
        />
        <circle
          v-for="([minute, mm], n) in place.curve"
          :key="n"
          :cx="x(minute!)"
          :cy="y(mm!)"
          r="3"
          fill="var(--ink)"
        />
        <path :d="`M${x(place.curve.at(-1)![0]!) + 4} ${at}L${W - RIGHT + 6} ${text}`" stroke="var(--rule)" />
        <text :x="W - RIGHT + 10" :y="text + 5" font-size="15" font-weight="700" fill="var(--ink)">
          {{ place.name }}{{ place.done && !down && !phone ? ', steady' : '' }}
        </text>
      </template>
    </svg>
    <figcaption class="text-base text-pencil">
      {{
        down
          ? 'How deep each tube is wet, mm from its surface down.'
          : 'Level of the water in mm; it rises where the hole was filled up again.'
      }}
    </figcaption>
  </figure>
</template>
