<script setup lang="ts">
import { computed } from 'vue'
import type { Profile } from '@/api'
import { linear } from '@/drawing/scale'

// The clay on both sides of a boundary, as intervals on one scale, with what each test asks of the lower one as a line.
const props = defineProps<{ profile: Profile; contrast: Profile['contrasts'][number] }>()
const WIDTH = 420
const PAD = { left: 64, right: 14 }
const ROW = 26
const above = computed(() => props.profile.horizons.find(({ lower_cm }) => lower_cm === props.contrast.depth_cm))
const below = computed(() => props.profile.horizons.find(({ upper_cm }) => upper_cm === props.contrast.depth_cm))
const sides = computed(() =>
  [above.value, below.value].flatMap((horizon, i) =>
    horizon?.clay ? [{ name: horizon.designation, clay: horizon.clay, own: horizon.own_clay, y: 6 + i * ROW }] : [],
  ),
)
const lines = computed(() =>
  props.contrast.tests.flatMap(({ test, name, threshold }) =>
    threshold === null || threshold === undefined ? [] : [{ test, name, threshold }],
  ),
)
const most = computed(() =>
  Math.min(
    100,
    Math.max(40, ...sides.value.map(({ clay }) => clay.range[1]!), ...lines.value.map((l) => l.threshold)) + 8,
  ),
)
const x = computed(() => linear(0, most.value, PAD.left, WIDTH - PAD.right))
const ticks = computed(() => [0, 20, 40, 60, 80, 100].filter((percent) => percent <= most.value))
const height = 2 * ROW + 34
const label = computed(
  () =>
    sides.value.map(({ name, clay }) => `${name}: clay ${clay.range[0]} to ${clay.range[1]} %`).join(', ') +
    lines.value.map(({ name, threshold }) => `; ${name} asks for ${threshold} % below`).join(''),
)
</script>

<template>
  <svg
    v-if="sides.length === 2"
    :viewBox="`0 0 ${WIDTH} ${height}`"
    class="w-full max-w-[420px] my-1"
    role="img"
    :aria-label="label"
    data-contrast-drawing
  >
    <g v-for="t in ticks" :key="t">
      <path class="feint" :d="`M${x(t)} 2V${2 * ROW + 8}`" />
      <text :x="x(t)" :y="height - 8" text-anchor="middle" font-size="15" class="pencil">{{ t }}</text>
    </g>
    <g v-for="side in sides" :key="side.name">
      <text :x="PAD.left - 10" :y="side.y + 16" text-anchor="end" font-size="16" font-weight="800">
        {{ side.name }}
      </text>
      <rect
        :class="side.clay.uniform ? 'undone' : 'estimate'"
        :x="x(side.clay.range[0]!)"
        :width="Math.max(x(side.clay.range[1]!) - x(side.clay.range[0]!), 2)"
        :y="side.y + 2"
        height="18"
      />
      <path class="inked" style="stroke-width: 3" :d="`M${x(side.clay.mean)} ${side.y}v22`" />
      <circle
        v-if="side.own !== null && side.own !== undefined"
        class="inked"
        style="stroke-width: 2.5; fill: var(--leaf)"
        :cx="x(side.own)"
        :cy="side.y + 11"
        r="6"
      />
    </g>
    <path
      v-for="line in lines"
      :key="line.test"
      :d="`M${x(line.threshold)} ${ROW + 2}V${2 * ROW + 10}`"
      style="stroke: var(--iron); stroke-width: 3"
      :data-threshold="line.threshold"
    />
    <text :x="PAD.left - 10" :y="height - 8" text-anchor="end" font-size="15" class="pencil">clay %</text>
  </svg>
</template>
