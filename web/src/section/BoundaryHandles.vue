<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Horizon } from '@/api'
import { useDepths } from '@/shared/useDepths'

// The column as something to work on: a boundary is dragged or moved by the arrow keys, a horizon is split where it is
// pressed. Depths snap to whole cm.
const props = defineProps<{
  horizons: Horizon[]
  y: (cm: number) => number
  depth: number
  x: number
  width: number
  height: number
}>()
const { unit, show } = useDepths()
const emit = defineEmits<{ move: [horizon: Horizon, cm: number]; split: [horizon: Horizon, cm: number] }>()

const HANDLE = 22 // px, above the least size of a target; the keys move it too
const moving = ref<{ id: number; cm: number } | null>(null)
const cmAt = (y: number): number => Math.round(((y - props.y(0)) / (props.y(props.depth) - props.y(0))) * props.depth)
const handles = computed(() =>
  props.horizons.map((horizon) => {
    const below = props.horizons.find(({ upper_cm }) => upper_cm === horizon.lower_cm)
    const now = moving.value?.id === horizon.id ? moving.value.cm : horizon.lower_cm
    return {
      horizon,
      now,
      least: Math.floor(horizon.upper_cm) + 1,
      most: below ? Math.ceil(below.lower_cm) - 1 : props.depth + 100,
      y: props.y(Math.min(now, props.depth)),
    }
  }),
)
type Handle = (typeof handles.value)[number]
const within = ({ least, most }: Handle, cm: number): number => Math.min(Math.max(cm, least), most)

function done(): void {
  const { id, cm } = moving.value ?? {}
  const horizon = props.horizons.find((one) => one.id === id)
  moving.value = null
  if (horizon && cm !== undefined && cm !== horizon.lower_cm) emit('move', horizon, cm)
}
const soon = useDebounceFn(done, 700)

function grab(handle: Handle, event: PointerEvent): void {
  const target = event.currentTarget as SVGElement
  target.setPointerCapture(event.pointerId)
  moving.value = { id: handle.horizon.id, cm: handle.now }
}
function drag(handle: Handle, event: PointerEvent): void {
  if (moving.value?.id !== handle.horizon.id || !event.buttons) return
  const top = (event.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect().top
  moving.value = { id: handle.horizon.id, cm: within(handle, cmAt(event.clientY - top)) }
}
function press(handle: Handle, event: KeyboardEvent): void {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (!by) return
  event.preventDefault()
  moving.value = { id: handle.horizon.id, cm: within(handle, Math.round(handle.now) + by) }
  void soon()
}
function split(horizon: Horizon, event: MouseEvent): void {
  const top = (event.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect().top
  emit(
    'split',
    horizon,
    Math.min(Math.max(cmAt(event.clientY - top), Math.floor(horizon.upper_cm) + 1), Math.ceil(horizon.lower_cm) - 1),
  )
}
</script>

<template>
  <svg class="absolute top-0 left-0 print:hidden" :width="x + width + 8" :height="height" style="pointer-events: none">
    <rect
      v-for="h in horizons"
      :key="`split-${h.id}`"
      fill="transparent"
      class="cursor-crosshair"
      style="pointer-events: auto"
      :x="x"
      :y="y(h.upper_cm)"
      :width="width"
      :height="y(h.lower_cm) - y(h.upper_cm)"
      :data-split="h.designation"
      @click="split(h, $event)"
    />
    <g
      v-for="h in handles"
      :key="h.horizon.id"
      role="slider"
      tabindex="0"
      class="cursor-row-resize touch-none"
      style="pointer-events: auto"
      :aria-label="`Lower boundary of ${h.horizon.designation}`"
      aria-orientation="vertical"
      :aria-valuenow="h.now"
      :aria-valuemin="h.least"
      :aria-valuemax="h.most"
      :aria-valuetext="`${show(h.now)} ${unit}`"
      @pointerdown="grab(h, $event)"
      @pointermove="drag(h, $event)"
      @pointerup="done"
      @keydown="press(h, $event)"
    >
      <rect fill="transparent" :x="x" :y="h.y - HANDLE / 2" :width="width" :height="HANDLE" />
      <path class="inked" style="stroke-width: 3" :d="`M${x + 8} ${h.y - 3}h14M${x + 8} ${h.y + 3}h14`" />
      <template v-if="moving?.id === h.horizon.id">
        <path class="key-region" :d="`M${x} ${h.y}H${x + width}`" />
        <text class="halo-leaf" font-size="17" font-weight="800" :x="x + 30" :y="h.y - 6">
          {{ show(h.now) }} {{ unit }}
        </text>
      </template>
    </g>
  </svg>
</template>
