<script setup lang="ts">
import { computed, useId } from 'vue'
import type { TextureClass } from '@/api'
import { at, corners, field, frame, points } from './triangle'

// The texture triangle with the regions of classes that are possible, that the key names, and that was assigned.
// Regions only: a class is an area, and no point is drawn that nobody measured.
const props = defineProps<{
  classes: TextureClass[]
  possible: string[]
  outcomes?: string[]
  assigned?: string | null
  width: number
  names?: boolean
  axes?: boolean
}>()

const id = useId()
const pad = computed(() => (props.axes ? 44 : 6))
const f = computed(() => frame(props.width, pad.value))
const height = computed(() => f.value.height + 2 * pad.value)
const grains = computed(() => field(f.value, 8))
const open = computed(() => props.classes.filter(({ code }) => props.possible.includes(code)))
const named = computed(() => props.classes.filter(({ code }) => props.outcomes?.includes(code)))
const given = computed(() => props.classes.find(({ code }) => code === props.assigned))
const label = computed(() => {
  const list = (found: TextureClass[]) => found.map(({ name }) => name).join(', ')
  const parts = [`Texture triangle. Possible: ${list(open.value)}.`]
  if (named.value.length) parts.push(`The key names: ${list(named.value)}.`)
  if (given.value) parts.push(`Assigned: ${given.value.name}.`)
  return parts.join(' ')
})
const titles = computed(() =>
  props.names
    ? open.value.map(({ name, middle, code }) => {
        const [x, y] = at(f.value, middle.sand, middle.clay)
        const words = name.split(' ')
        const lines = words.length === 3 ? [words[0]!, `${words[1]} ${words[2]}`] : words
        return { code, x, y: y - (lines.length - 1) * 10, lines }
      })
    : [],
)
const ticks = computed(() =>
  props.axes
    ? [20, 40, 60, 80].map((percent) => ({
        percent,
        clay: at(f.value, 100 - percent, percent),
        sand: at(f.value, percent, 0),
        silt: at(f.value, 0, 100 - percent),
      }))
    : [],
)
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" :width="width" :height="height" role="img" :aria-label="label" class="block max-w-full h-auto">
    <defs>
      <clipPath :id="`${id}-open`"><polygon v-for="c in open" :key="c.code" :points="points(f, c.polygon)" /></clipPath>
    </defs>
    <polygon class="ground" :points="corners(f)" />
    <polygon v-for="c in open" :key="`${c.code}-wash`" class="wash close-in" :points="points(f, c.polygon)" />
    <g opacity="0.3">
      <path class="g-clay" :d="grains.lines" /><path class="g-silt" :d="grains.dashes" /><path class="g-sand" :d="grains.dots" />
    </g>
    <g :clip-path="`url(#${id}-open)`">
      <path class="g-clay" :d="grains.lines" /><path class="g-silt" :d="grains.dashes" /><path class="g-sand" :d="grains.dots" />
    </g>
    <polygon v-for="c in classes" :key="`${c.code}-line`" class="inked" style="stroke-width: 0.8" :points="points(f, c.polygon)" />
    <polygon v-for="c in open" :key="`${c.code}-open`" class="inked" :points="points(f, c.polygon)" />
    <polygon v-for="c in named" :key="`${c.code}-key`" class="key-region" :points="points(f, c.polygon)" />
    <polygon v-if="given" class="assigned-region" :points="points(f, given.polygon)" />
    <polygon class="inked" style="stroke-width: 2.5" :points="corners(f)" />
    <g v-for="t in ticks" :key="t.percent">
      <path class="hair" :d="`M${t.clay[0]} ${t.clay[1]}h-8M${t.sand[0]} ${t.sand[1]}l4 7M${t.silt[0]} ${t.silt[1]}l4 -7`" />
      <text class="pencil" font-size="18" text-anchor="end" :x="t.clay[0] - 12" :y="t.clay[1] + 6">{{ t.percent }}</text>
      <text class="pencil" font-size="18" text-anchor="middle" :x="t.sand[0] + 8" :y="t.sand[1] + 24">{{ t.percent }}</text>
      <text class="pencil" font-size="18" :x="t.silt[0] + 8" :y="t.silt[1] - 6">{{ 100 - t.percent }}</text>
    </g>
    <template v-if="axes">
      <text font-size="18" font-weight="640" text-anchor="middle" :transform="`translate(${f.x + f.side * 0.25 - 38} ${f.y + f.height / 2 - 12}) rotate(-60)`">clay %</text>
      <text font-size="18" font-weight="640" text-anchor="middle" :transform="`translate(${f.x + f.side * 0.75 + 38} ${f.y + f.height / 2 - 12}) rotate(60)`">silt %</text>
      <text font-size="18" font-weight="640" text-anchor="middle" :x="f.x + f.side / 2" :y="f.y + f.height + 42">sand %</text>
    </template>
    <text v-for="t in titles" :key="`${t.code}-name`" class="halo-wash" font-size="20" font-weight="800" text-anchor="middle" :x="t.x" :y="t.y">
      <tspan v-for="(line, i) in t.lines" :key="line" :x="t.x" :dy="i ? 20 : 6">{{ line }}</tspan>
    </text>
  </svg>
</template>
