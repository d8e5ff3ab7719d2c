<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Naming } from '@/api'
import { at, corners, field, frame, points, widthAt } from './triangle'

// The texture triangle with the regions of classes that are possible, that the key names, and that was assigned.
// Regions only: a class is an area, and no point is drawn that nobody measured.
const props = defineProps<{
  classes: Naming[]
  /** Lines under the classes, where these are no partition of the triangle themselves. */
  lines?: number[][][]
  possible: string[]
  outcomes?: string[]
  assigned?: string | null
  /** The estimate: the smallest set of compositions that holds 80 %. */
  region?: { percent: number; area_percent: number; runs: number[][] }
  width: number
  names?: boolean
  axes?: boolean
  /** Writes the code of every class into its region, where it fits. */
  codes?: boolean
}>()

const id = useId()
const LABEL = 124 // px at the right for names that do not fit into their region
const pad = computed(() => (props.axes ? 44 : 6))
const f = computed(() => frame(props.width, pad.value, props.names ? LABEL : pad.value))
const height = computed(() => f.value.height + 2 * pad.value)
const grains = computed(() => field(f.value, 8))
// The outlines of a system stay the same from answer to answer, so they are worked out once.
const drawn = computed(() =>
  props.classes.map((one) => ({ ...one, outlines: one.regions.map((region) => points(f.value, region)) })),
)
const outlines = computed(
  () => props.lines?.map((line) => points(f.value, line)) ?? drawn.value.flatMap((one) => one.outlines),
)
const frameLine = computed(() => corners(f.value))
const open = computed(() => drawn.value.filter(({ code }) => props.possible.includes(code)))
const named = computed(() => drawn.value.filter(({ code }) => props.outcomes?.includes(code)))
// Each run of compositions is a bar one percent of clay high.
const soft = computed(() =>
  (props.region?.runs ?? [])
    .map(
      ([clay, from, to]) =>
        `M${points(f.value, [
          [from! - 0.5, clay! - 0.5],
          [to! + 0.5, clay! - 0.5],
          [to! + 0.5, clay! + 0.5],
          [from! - 0.5, clay! + 0.5],
        ]).replaceAll(' ', 'L')}Z`,
    )
    .join(''),
)
const given = computed(() => drawn.value.find(({ code }) => code === props.assigned))
const label = computed(() => {
  const list = (found: Naming[]) => found.map(({ name }) => name).join(', ')
  const parts = [`Texture triangle. Possible: ${list(open.value)}.`]
  if (named.value.length) parts.push(`The key names: ${list(named.value)}.`)
  if (props.region)
    parts.push(`The estimate's ${props.region.percent} % region covers ${props.region.area_percent} % of the triangle.`)
  if (given.value) parts.push(`Assigned: ${given.value.name}.`)
  return parts.join(' ')
})
/** Names stand in their region where they fit, else outside at its height with a line to it. */
const titles = computed(() => {
  if (!props.names) return []
  let free = 0
  // Names that overlap cannot all be written: those that the key ends at are enough.
  return [...(props.lines ? named.value : open.value)]
    .sort((a, b) => b.middle!.clay - a.middle!.clay)
    .map(({ name, middle: centre, code, regions }) => {
      const middle = centre!
      const polygon = regions.find((region) => widthAt(f.value, region, middle.clay) > 0) ?? regions[0]!
      const [x, y] = at(f.value, middle.sand, middle.clay)
      const words = name.split(' ')
      const lines = name.includes(', ')
        ? [name.replace(/, .*/, ','), name.replace(/.*, /, '')]
        : words.length === 3
          ? [words[0]!, `${words[1]} ${words[2]}`]
          : words
      const needed = Math.max(...lines.map((line) => line.length)) * 10 + 8
      if (widthAt(f.value, polygon, middle.clay) >= needed)
        return { code, x, y: y - (lines.length - 1) * 10, lines, anchor: 'middle', from: null }
      const right = f.value.x + f.value.side * (0.5 + (y - f.value.y) / f.value.height / 2) + 58
      const top = Math.max(y - (lines.length - 1) * 10, free)
      free = top + lines.length * 20 + 4
      return {
        code,
        x: right,
        y: top,
        lines,
        anchor: 'start',
        from: { x: x + widthAt(f.value, polygon, middle.clay) / 2 - 10, y },
      }
    })
})
/** Codes that have room at the middle of their region. */
const coded = computed(() =>
  props.codes
    ? props.classes.flatMap(({ code, name, middle, regions }) => {
        if (!middle) return []
        const [x, y] = at(f.value, middle.sand, middle.clay)
        const room = Math.max(...regions.map((region) => widthAt(f.value, region, middle.clay)))
        return room > code.length * 9 + 4 ? [{ code, name, x, y: y + 5 }] : []
      })
    : [],
)
const ticks = computed(() =>
  props.axes
    ? [20, 40, 60, 80].map((percent) => ({
        percent,
        clay: at(f.value, 100 - percent, percent),
        sand: at(f.value, percent, 0),
        silt: at(f.value, 0, 100 - percent), // silt is what clay leaves at this edge
      }))
    : [],
)
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    :width="width"
    :height="height"
    :role="$slots.default ? 'group' : 'img'"
    :aria-label="label"
    class="block"
  >
    <defs>
      <clipPath :id="`${id}-open`">
        <template v-for="c in open" :key="c.code">
          <polygon v-for="(line, i) in c.outlines" :key="i" :points="line" />
        </template>
      </clipPath>
      <clipPath :id="`${id}-all`"><polygon :points="frameLine" /></clipPath>
    </defs>
    <polygon class="ground" :points="frameLine" />
    <template v-for="c in open" :key="`${c.code}-wash`">
      <polygon v-for="(line, i) in c.outlines" :key="i" class="wash close-in" :points="line" />
    </template>
    <g opacity="0.3">
      <path class="g-clay" :d="grains.lines" />
      <path class="g-silt" :d="grains.dashes" />
      <path class="g-sand" :d="grains.dots" />
    </g>
    <g :clip-path="`url(#${id}-open)`">
      <path class="g-clay" :d="grains.lines" />
      <path class="g-silt" :d="grains.dashes" />
      <path class="g-sand" :d="grains.dots" />
    </g>
    <g v-if="region" :clip-path="`url(#${id}-all)`"><path class="estimate close-in" :d="soft" /></g>
    <polygon v-for="(line, i) in outlines" :key="`line-${i}`" class="inked" style="stroke-width: 0.8" :points="line" />
    <template v-for="c in open" :key="`${c.code}-open`">
      <polygon v-for="(line, i) in c.outlines" :key="i" class="inked" :points="line" />
    </template>
    <template v-for="c in named" :key="`${c.code}-key`">
      <polygon v-for="(line, i) in c.outlines" :key="i" class="key-region" :points="line" />
    </template>
    <template v-if="given">
      <polygon v-for="(line, i) in given.outlines" :key="i" class="assigned-region" :points="line" />
    </template>
    <polygon class="inked" style="stroke-width: 2.5" :points="frameLine" />
    <text
      v-for="c in coded"
      :key="`code-${c.code}`"
      class="halo-leaf"
      font-size="14"
      font-weight="700"
      text-anchor="middle"
      :x="c.x"
      :y="c.y"
    >
      {{ c.code }}
    </text>
    <g v-for="t in ticks" :key="t.percent">
      <path
        class="hair"
        :d="`M${t.clay[0]} ${t.clay[1]}h-8M${t.sand[0]} ${t.sand[1]}l4 7M${t.silt[0]} ${t.silt[1]}l4 -7`"
      />
      <text class="pencil" font-size="18" text-anchor="end" :x="t.clay[0] - 12" :y="t.clay[1] + 6">
        {{ t.percent }}
      </text>
      <text class="pencil" font-size="18" text-anchor="middle" :x="t.sand[0] + 8" :y="t.sand[1] + 24">
        {{ t.percent }}
      </text>
      <text class="pencil" font-size="18" :x="t.silt[0] + 8" :y="t.silt[1] - 6">{{ t.percent }}</text>
    </g>
    <template v-if="axes">
      <text
        font-size="18"
        font-weight="640"
        text-anchor="middle"
        :transform="`translate(${f.x + f.side * 0.25 - 38} ${f.y + f.height / 2 - 12}) rotate(-60)`"
      >
        clay %
      </text>
      <text
        font-size="18"
        font-weight="640"
        text-anchor="middle"
        :transform="`translate(${f.x + f.side * 0.64 + 40} ${f.y + f.height * 0.28 - 14}) rotate(60)`"
      >
        silt %
      </text>
      <text font-size="18" font-weight="640" text-anchor="middle" :x="f.x + f.side / 2" :y="f.y + f.height + 42">
        sand %
      </text>
    </template>
    <g v-for="t in titles" :key="`${t.code}-name`">
      <path v-if="t.from" class="hair" :d="`M${t.from.x} ${t.from.y}L${t.x - 4} ${t.y}`" />
      <text
        :class="t.from ? 'halo' : 'halo-wash'"
        font-size="20"
        font-weight="800"
        :text-anchor="t.anchor"
        :x="t.x"
        :y="t.y"
      >
        <tspan v-for="(line, i) in t.lines" :key="line" :x="t.x" :dy="i ? 20 : 6">{{ line }}</tspan>
      </text>
    </g>
    <slot :frame="f" />
  </svg>
</template>
