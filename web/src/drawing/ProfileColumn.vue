<script setup lang="ts">
import { computed } from 'vue'
import { fillOf } from './grain'

// A profile's column, horizon by horizon to depth: ground, the grain of the class, an outline; dashed where no class
// has been given. Everywhere the same; what else a drawing says lies beside or over it.
type Named = { system?: string | null; code?: string | null } | null | undefined
const props = defineProps<{
  layers: readonly { id: number; upper_cm: number; lower_cm: number; named?: Named }[]
  x: number
  width: number
  /** From cm to px. */
  y: (cm: number) => number
  fine?: boolean
  /** The outline, px. */
  line?: number
  /** The horizon that the work is at: its outline is bold. */
  here?: number | null
}>()
const drawn = computed(() =>
  props.layers.map((layer) => {
    const top = props.y(layer.upper_cm)
    return { ...layer, top, height: Math.max(props.y(layer.lower_cm) - top, 0) }
  }),
)
const HERE = 'stroke-width: 3.5; stroke: var(--lit-ink); stroke-dasharray: none'
</script>

<template>
  <g v-for="l in drawn" :key="l.id">
    <rect class="ground" :x="x" :y="l.top" :width="width" :height="l.height" />
    <rect v-if="l.named?.code" :fill="fillOf(l.named, fine)" :x="x" :y="l.top" :width="width" :height="l.height" />
    <rect
      :class="l.named?.code ? 'inked' : 'undone'"
      :style="l.id === here ? HERE : line ? `stroke-width: ${line}` : undefined"
      :x="x"
      :y="l.top"
      :width="width"
      :height="l.height"
    />
  </g>
</template>
