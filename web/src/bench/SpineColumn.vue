<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Reading } from '@/api'
import ProfileColumn from '@/drawing/ProfileColumn.vue'
import { linear } from '@/drawing/scale'
import { useDepths } from '@/shared/useDepths'

// The profile at the side of the bench: which layer is in the hand, and what the others were.
const props = defineProps<{ reading: Reading }>()
const { unit, show } = useDepths()
const box = useTemplateRef('box')
const { height } = useElementSize(box)
const X = 50
const WIDTH = 44
const depth = computed(() => Math.max(...props.reading.horizons.map(({ lower_cm }) => lower_cm), 1))
const y = computed(() => linear(0, depth.value, 40, Math.max(height.value - 16, 60)))
const layers = computed(() =>
  props.reading.horizons.map((horizon) => {
    const top = y.value(horizon.upper_cm)
    const bottom = y.value(horizon.lower_cm)
    return { ...horizon, top, bottom, middle: (top + bottom) / 2, here: horizon.id === props.reading.horizon?.id }
  }),
)
const others = computed(() => layers.value.filter(({ here }) => !here).map((l) => ({ ...l, named: l })))
const marks = computed(() => {
  let last = -Infinity
  const depths = [...new Set(props.reading.horizons.flatMap(({ upper_cm, lower_cm }) => [upper_cm, lower_cm]))].sort(
    (a, b) => a - b,
  )
  return depths
    .map((cm) => ({ cm, y: y.value(cm) }))
    .filter((mark) => (mark.y - last > 22 ? ((last = mark.y), true) : false))
})
const said = (l: (typeof layers.value)[number]) =>
  `${l.designation} ${l.upper_cm} to ${l.lower_cm} cm, ${l.here ? 'in the hand' : (l.code ?? 'not textured')}`
const label = computed(() => `Profile ${props.reading.profile?.name}. ${layers.value.map(said).join('; ')}.`)
const arrow = (top: number, bottom: number) =>
  `M${X - 4} ${top}H${X + WIDTH}L${X + WIDTH + 8} ${(top + bottom) / 2}L${X + WIDTH} ${bottom}H${X - 4}Z`
</script>

<template>
  <aside ref="box" class="relative overflow-hidden" aria-label="Profile">
    <svg width="104" :height="height" class="absolute inset-0" role="img" :aria-label="label">
      <text x="6" y="24" font-size="20" class="pencil">{{ unit }}</text>
      <ProfileColumn :layers="others" :x="X" :width="WIDTH" :y="y" :line="1.5" fine />
      <template v-for="l in others" :key="l.id">
        <text
          v-if="l.bottom - l.top > 20"
          :x="X + WIDTH / 2"
          :y="l.middle + 7"
          text-anchor="middle"
          font-size="20"
          font-weight="640"
          class="halo-leaf"
        >
          {{ l.designation }}
        </text>
      </template>
      <g v-for="l in layers.filter(({ here }) => here)" :key="`here-${l.id}`">
        <path class="here" :d="arrow(l.top, l.bottom)" />
        <text
          :x="X + WIDTH / 2"
          :y="l.middle + 8"
          text-anchor="middle"
          font-size="22"
          font-weight="800"
          style="fill: var(--lit-ink)"
        >
          {{ l.designation }}
        </text>
      </g>
      <g v-for="m in marks" :key="m.cm">
        <path class="hair" :d="`M${X - 7} ${m.y}h7`" />
        <text :x="X - 10" :y="m.y + 7" text-anchor="end" font-size="20" class="pencil">{{ show(m.cm) }}</text>
      </g>
    </svg>
  </aside>
</template>
