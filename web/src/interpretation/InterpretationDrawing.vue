<script setup lang="ts">
import { useElementSize, useWindowSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Profile } from '@/api'
import ProfileColumn from '@/drawing/ProfileColumn.vue'
import { linear, spread } from '@/drawing/scale'
import { useDepths } from '@/shared/useDepths'
import { figures, type Interpretation } from './useInterpretation'

// The column to depth with what follows drawn on it: the rain wets it down to a front, water stands or hangs at
// boundaries; beside it what each horizon holds, for plants and out of their reach, so that areas are millimetres.
const props = defineProps<{ profile: Profile; found: Interpretation }>()
const { unit, show, range, ticks } = useDepths()
const box = useTemplateRef('box')
const { width } = useElementSize(box)
const { height: windowHeight } = useWindowSize()
const phone = computed(() => width.value < 620)
const depth = computed(() => Math.max(...props.found.horizons.map(({ lower_cm }) => lower_cm), 50))
const height = computed(() => Math.min(Math.max(windowHeight.value - 330, 400), 620))
const y = computed(() => linear(0, depth.value, 30, height.value - 12))
const TAPE = 46
const column = computed(() => (phone.value ? 76 : 132))
const bars = computed(() => TAPE + column.value + (phone.value ? 10 : 16))
/** Where the limits are told, beside the bars. */
const told = computed(() => (phone.value ? width.value : width.value * 0.62))
// mm in 10 cm that the bars have room for: more than a soil holds; and px for the numbers behind them.
const MOST = 45
const numbers = computed(() => (phone.value ? 44 : 150))
const perMm = computed(() => (told.value - bars.value - numbers.value) / MOST)

const layers = computed(() =>
  props.found.horizons.map((layer, at) => {
    const top = y.value(layer.upper_cm)
    const tall = y.value(layer.lower_cm) - top
    const dm = (layer.lower_cm - layer.upper_cm) / 10
    const held = layer.held
    const away = held ? (held.out_of_reach / dm) * perMm.value : 0
    const x = (mm: number) => bars.value + away + (mm / dm) * perMm.value
    return {
      ...layer,
      id: props.profile.horizons[at]?.id ?? at,
      top,
      tall,
      away,
      wide: held ? x(held.p50) - bars.value - away : 0,
      from: held ? x(held.p10) : 0,
      to: held ? x(held.p90) : 0,
    }
  }),
)
const front = computed(() => Math.min(props.found.wetting.front_cm, depth.value))
const wave = (x: number, at: number, wide: number, up = 4): string => {
  const step = 12
  const count = Math.max(Math.floor(wide / step), 1)
  const each = wide / count
  return `M${x} ${at}${`q${each / 4} ${-up} ${each / 2} 0t${each / 2} 0`.repeat(count)}`
}
const drops = (x: number, at: number, wide: number): string =>
  Array.from({ length: Math.floor(wide / 18) }, (_, i) => `M${x + 9 + i * 18} ${at - 12}v7`).join('')
const EFFECTS: Record<string, string> = { stops: 'Roots stop.', hinders: 'Roots are hindered.' }
const ROOM = 66 // px that a limit takes with its reason
const limits = computed(() => {
  const tops = spread(
    props.found.limits.map(({ depth_cm }) => y.value(depth_cm) - 12),
    props.found.limits.map(() => ROOM),
    22,
    height.value,
  )
  return props.found.limits.map((limit, i) => ({
    ...limit,
    at: y.value(limit.depth_cm),
    top: tops[i]!,
    effect: [limit.roots && (EFFECTS[limit.roots] ?? `Roots: ${limit.roots}.`), limit.water && `Water: ${limit.water}.`]
      .filter(Boolean)
      .join(' '),
  }))
})
const label = computed(
  () =>
    `Water down ${props.profile.name}. ` +
    props.found.horizons
      .map((layer) => {
        const held = layer.held
        const water = held
          ? `${figures(held.p50)} mm for plants (${figures(held.p10)} to ${figures(held.p90)})`
          : 'no figure'
        return `${layer.designation}, ${range(layer.upper_cm, layer.lower_cm)}: ${water}`
      })
      .join('; ') +
    `. ${props.found.wetting.amount_mm} mm wet it to about ${show(props.found.wetting.front_cm)} ${unit.value}.`,
)
</script>

<template>
  <div ref="box" class="relative" :style="{ height: `${height}px` }">
    <svg
      v-if="width"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      class="max-w-full"
      role="img"
      :aria-label="label"
    >
      <defs>
        <pattern id="out-of-reach" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path class="hair" d="M0 0V7" />
        </pattern>
      </defs>
      <text x="0" y="16" font-size="16" font-weight="640">{{ unit }}</text>
      <text :x="bars" y="16" font-size="16" font-weight="640">{{ phone ? 'water' : 'water held' }}, mm</text>
      <text v-if="!phone" :x="told" y="16" font-size="16" font-weight="640">limits</text>
      <g v-for="cm in ticks(depth, height - 40, 46)" :key="cm">
        <path class="feint" :d="`M${TAPE} ${y(cm)}H${told - 8}`" />
        <text :x="TAPE - 8" :y="y(cm) + 5" text-anchor="end" font-size="16" class="pencil">{{ show(cm) }}</text>
      </g>
      <ProfileColumn :layers="layers" :x="TAPE" :width="column" :y="y" />
      <g data-front>
        <rect class="water" :x="TAPE" :y="y(0)" :width="column" :height="Math.max(y(front) - y(0), 0)" />
        <path class="water-line" :d="wave(TAPE, y(front), column)" />
        <path
          v-for="cm in found.wetting.range_cm"
          :key="cm"
          class="wash-edge"
          :d="`M${TAPE} ${y(Math.min(cm, depth))}h${column}`"
        />
      </g>
      <g v-for="p in found.perching" :key="p.boundary" :data-perched="p.kind">
        <template v-if="p.kind === 'stands_on_finer'">
          <path class="water-line" :d="wave(TAPE + 6, y(p.depth_cm) - 5, column - 12, 3)" />
          <path class="water-line" :d="wave(TAPE + 6, y(p.depth_cm) - 12, column - 12, 3)" />
        </template>
        <path v-else class="water-line" :d="drops(TAPE, y(p.depth_cm), column)" />
      </g>
      <g v-for="l in layers" :key="l.id" :data-held="l.designation">
        <text
          class="halo"
          :x="TAPE + 8"
          :y="l.top + Math.min(l.tall / 2 + 6, l.tall - 4)"
          font-size="18"
          font-weight="800"
        >
          {{ l.designation }}
        </text>
        <template v-if="l.held">
          <rect fill="url(#out-of-reach)" :x="bars" :y="l.top + 2" :width="l.away" :height="Math.max(l.tall - 4, 2)" />
          <rect
            class="inked"
            style="stroke-width: 1.5"
            :x="bars"
            :y="l.top + 2"
            :width="l.away"
            :height="Math.max(l.tall - 4, 2)"
          />
          <rect class="water" :x="bars + l.away" :y="l.top + 2" :width="l.wide" :height="Math.max(l.tall - 4, 2)" />
          <rect class="inked" :x="bars + l.away" :y="l.top + 2" :width="l.wide" :height="Math.max(l.tall - 4, 2)" />
          <path
            class="hair"
            :d="`M${l.from} ${l.top + l.tall / 2}H${l.to}m0 -6v12M${l.from} ${l.top + l.tall / 2 - 6}v12`"
          />
          <text class="halo" :x="l.to + 8" :y="l.top + l.tall / 2 + 6" font-size="18" font-weight="800">
            {{ figures(l.held.p50) }}
            <tspan v-if="!phone" font-weight="400" class="pencil">
              ({{ figures(l.held.p10) }} to {{ figures(l.held.p90) }})
            </tspan>
          </text>
        </template>
        <text v-else class="pencil" :x="bars + 8" :y="l.top + l.tall / 2 + 6" font-size="17">
          {{ l.figures.length ? 'no figure: see below' : 'no texture' }}
        </text>
      </g>
      <g v-for="(l, i) in limits" :key="i" :data-limit="l.depth_cm">
        <path
          class="hair"
          :style="l.roots === 'stops' ? 'stroke-width: 4' : 'stroke-dasharray: 5 4'"
          :d="`M${TAPE - 4} ${l.at}h${column + 8}`"
        />
        <path v-if="!phone" class="feint" :d="`M${TAPE + column + 4} ${l.at}H${told - 30}L${told - 6} ${l.top + 14}`" />
      </g>
    </svg>
    <ul v-if="!phone && width" class="text-base leading-tight" aria-label="Limits">
      <li
        v-for="(l, i) in limits"
        :key="i"
        class="absolute right-0"
        :style="{ top: `${l.top}px`, left: `${told}px`, height: `${ROOM}px` }"
      >
        <b>{{ show(l.depth_cm) }} {{ unit }}.</b> {{ l.reason }} <span class="text-pencil">{{ l.effect }}</span>
      </li>
      <li v-if="!limits.length" class="absolute text-pencil" :style="{ top: '34px', left: `${told}px` }">
        None was seen.
      </li>
    </ul>
  </div>
</template>
