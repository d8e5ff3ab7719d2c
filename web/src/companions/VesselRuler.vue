<script setup lang="ts">
import { computed, ref, useId } from 'vue'

// A hole, a jar or a tube drawn with its scale: where it is touched is what was read. With the keys the mark moves by a
// step, Enter takes it.
export type Band = { from: number; to: number; of: 'water' | 'sand' | 'silt' | 'clay' | 'wet' }
const props = withDefaults(
  defineProps<{
    kind: 'hole' | 'jar' | 'tube' | 'rule'
    label: string
    from: number
    to: number
    step: number
    unit: string
    /** What stands, from where to where on the scale. */
    bands?: Band[]
    /** Counted from the top down, as a wetting front is. */
    down?: boolean
    last?: number | null
  }>(),
  { bands: () => [], down: false, last: null },
)
const emit = defineEmits<{ take: [value: number] }>()
const id = useId()
const TOP = 14
const HEIGHT = 216
const LEFT = 46
const WIDTH = 96
const draft = ref<number | null>(null)
const svg = ref<SVGSVGElement>()
const decimals = computed(() => (props.step < 1 ? 1 : 0))
const place = (value: number) => {
  const part = (value - props.from) / (props.to - props.from)
  return TOP + HEIGHT * (props.down ? part : 1 - part)
}
const shown = computed(() => draft.value ?? props.last)
/** Ticks at round numbers, at most a dozen. */
const ticks = computed(() => {
  const span = props.to - props.from
  const each = [0.5, 1, 2, 5, 10, 20, 25, 50, 100, 200].find((size) => span / size <= 12) ?? 500
  return Array.from({ length: Math.floor(span / each) + 1 }, (_, i) => props.from + i * each)
})
const bands = computed<Band[]>(() =>
  draft.value !== null && ['hole', 'tube'].includes(props.kind)
    ? [{ from: props.from, to: draft.value, of: props.kind === 'hole' ? 'water' : 'wet' }]
    : props.bands,
)
const FILL = {
  water: 'var(--water)',
  sand: 'var(--ochre)',
  silt: 'var(--reed)',
  clay: 'var(--iron)',
  wet: 'var(--water)',
}

function at(event: PointerEvent): number {
  const box = svg.value!.getBoundingClientRect()
  const y = ((event.clientY - box.top) / box.height) * (HEIGHT + 2 * TOP)
  const part = (y - TOP) / HEIGHT
  const value = props.from + (props.to - props.from) * (props.down ? part : 1 - part)
  const stepped = Math.round(value / props.step) * props.step
  return Number(Math.min(props.to, Math.max(props.from, stepped)).toFixed(2))
}
function press(event: PointerEvent): void {
  svg.value!.setPointerCapture(event.pointerId)
  draft.value = at(event)
}
const drag = (event: PointerEvent) => draft.value !== null && (draft.value = at(event))
function take(): void {
  if (draft.value !== null) emit('take', draft.value)
  draft.value = null
}
const MOVES: Record<string, number> = {
  ArrowUp: 1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowLeft: -1,
  PageUp: 10,
  PageDown: -10,
}
function key(event: KeyboardEvent): void {
  const move = MOVES[event.key]
  if (move !== undefined) {
    const sign = props.down && event.key.startsWith('Arrow') && !/Left|Right/.test(event.key) ? -1 : 1
    const next = (draft.value ?? props.last ?? props.from) + sign * move * props.step
    draft.value = Number(Math.min(props.to, Math.max(props.from, next)).toFixed(2))
    event.preventDefault()
  } else if (event.key === 'Enter' && draft.value !== null) {
    take()
    event.preventDefault()
  }
}
</script>

<template>
  <svg
    ref="svg"
    class="touch-none cursor-crosshair w-full max-w-48 select-none"
    :viewBox="`0 0 ${LEFT + WIDTH + 62} ${HEIGHT + 2 * TOP}`"
    role="slider"
    tabindex="0"
    :aria-labelledby="id"
    aria-orientation="vertical"
    :aria-valuemin="from"
    :aria-valuemax="to"
    :aria-valuenow="shown ?? from"
    :aria-valuetext="shown === null ? 'nothing read' : `${shown} ${unit}`"
    @pointerdown.prevent="press"
    @pointermove="drag"
    @pointerup="take"
    @pointercancel="draft = null"
    @keydown="key"
    @blur="draft = null"
  >
    <title :id="id">{{ label }}</title>
    <defs>
      <pattern :id="`${id}-soil`" width="9" height="9" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="3" r="1" fill="var(--rule)" />
        <circle cx="6.5" cy="7" r="0.8" fill="var(--rule)" />
      </pattern>
    </defs>
    <template v-if="kind === 'hole'">
      <rect :x="LEFT - 12" y="0" :width="WIDTH + 24" :height="HEIGHT + 2 * TOP" :fill="`url(#${id}-soil)`" />
      <rect :x="LEFT" y="0" :width="WIDTH" :height="HEIGHT + TOP" fill="var(--leaf)" />
    </template>
    <rect
      v-for="(b, i) in bands"
      :key="i"
      :x="LEFT"
      :y="Math.min(place(b.from), place(b.to))"
      :width="WIDTH"
      :height="Math.abs(place(b.from) - place(b.to))"
      :fill="FILL[b.of]"
      fill-opacity="0.55"
    />
    <path
      :d="
        kind === 'hole'
          ? `M${LEFT} 0V${TOP + HEIGHT}H${LEFT + WIDTH}V0`
          : `M${LEFT} ${TOP - 8}V${TOP + HEIGHT}H${LEFT + WIDTH}V${TOP - 8}`
      "
      fill="none"
      stroke="var(--ink)"
      stroke-width="2.5"
    />
    <template v-for="t in ticks" :key="t">
      <path :d="`M${LEFT - 10} ${place(t)}H${LEFT}`" stroke="var(--ink)" stroke-width="1.5" />
      <text :x="LEFT - 13" :y="place(t) + 4.5" text-anchor="end" font-size="13" fill="var(--ink)">{{ t }}</text>
    </template>
    <template v-if="shown !== null">
      <path
        :d="`M${LEFT - 4} ${place(shown)}H${LEFT + WIDTH + 8}`"
        :stroke="draft === null ? 'var(--pencil)' : 'var(--ink)'"
        :stroke-width="draft === null ? 1.5 : 3"
      />
      <text
        :x="LEFT + WIDTH + 11"
        :y="Math.max(place(shown) + 6, 16)"
        :font-size="draft === null ? 15 : 19"
        font-weight="800"
        fill="var(--ink)"
      >
        {{ shown.toFixed(decimals) }}
      </text>
    </template>
  </svg>
</template>
