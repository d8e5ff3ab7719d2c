<script setup lang="ts">
import { useElementSize, useWindowSize } from '@vueuse/core'
import { computed, toRef, useTemplateRef } from 'vue'
import type { Horizon, Profile } from '@/api'
import { fillOf } from '@/drawing/grain'
import ProfileColumn from '@/drawing/ProfileColumn.vue'
import { horizonMarks } from '@/drawing/horizonMarks'
import { ribbonPath } from '@/drawing/ribbon'
import { linear } from '@/drawing/scale'
import { useDepths } from '@/shared/useDepths'
import { useUnits } from '@/shared/useUnits'
import BoundaryHandles from './BoundaryHandles.vue'
import { layOutSection, WORDS_HEIGHT, type Layer } from './layout'

// Depth hangs down, length runs right. Solid ink is assigned; an outline is a horizon not yet textured.
const props = defineProps<{ profile: Profile }>()
type Gap = Profile['gaps'][number]
defineEmits<{
  fill: [gap: Gap]
  texture: [horizon: Horizon]
  edit: [horizon: Horizon]
  move: [horizon: Horizon, cm: number]
  split: [horizon: Horizon, cm: number]
}>()
const box = useTemplateRef('box')
// Until it is measured it is about as wide as the window, so that nothing below moves.
const { width } = useElementSize(box, { width: window.innerWidth - 48, height: 0 })
const { height: windowHeight } = useWindowSize()
// Below this there is no room for ribbons beside the words: a phone, or a tablet held upright.
const ROOM_FOR_RIBBONS = 940 // px
const phone = computed(() => width.value < ROOM_FOR_RIBBONS)
const unit = toRef(() => props.profile.method.unit)
const { show } = useUnits(unit)
const { unit: depthUnit, show: depth, range: depths, ticks } = useDepths()

const s = computed(() =>
  layOutSection(props.profile, windowHeight.value - 190, phone.value ? WORDS_HEIGHT.phone : WORDS_HEIGHT.desk),
)
const rows = computed(() =>
  props.profile.horizons.map((horizon, i) => {
    const layer = s.value.layers[i]!
    return {
      horizon,
      layer,
      seen: horizonMarks(horizon, { x: TAPE, width: column.value, top: layer.top, bottom: layer.bottom }),
    }
  }),
)
const TAPE = 58
// pH where it was taken, as a flag on the column's edge; of a horizon as a whole at its middle.
const flags = computed(() => [...ofSamples.value, ...ofHorizons.value])
const ofHorizons = computed(() =>
  rows.value.flatMap(({ horizon, layer }) => {
    const { ph } = horizon.described as Record<string, number>
    return ph === undefined ? [] : [{ id: `h${horizon.id}`, y: (layer.top + layer.bottom) / 2, said: '', ph }]
  }),
)
const ofSamples = computed(() =>
  (props.profile.samples ?? []).flatMap((one) =>
    one.findings
      .filter(({ test }) => test === 'ph')
      .map(({ value, said }) => ({
        id: `s${one.id}`,
        y: s.value.y(Math.min(one.upper_cm!, s.value.depth)),
        said,
        ph: (value as Record<string, unknown>).value as number,
      })),
  ),
)
const wet = computed(() => props.profile.wetness.depth_cm)
const column = computed(() => (phone.value ? 66 : 150))
// Clay stands at its true depth right beside the column, so that a step in it is a step at the boundary.
const CLAY_WIDTH = 140
const phLane = computed(() => (phone.value || !flags.value.length ? 0 : 44))
const clayX = computed(() => TAPE + column.value + 16 + phLane.value)
const wordsX = computed(() => TAPE + column.value + (phone.value ? 26 : 54 + CLAY_WIDTH + phLane.value))
const mostClay = computed(() =>
  Math.max(
    60,
    ...props.profile.horizons.map((h) => h.clay?.range[1] ?? 0),
    ...props.profile.horizons.map((h) => h.own_clay ?? 0),
  ),
)
const clay = computed(() => linear(0, mostClay.value, clayX.value, clayX.value + CLAY_WIDTH))
const clays = computed(() =>
  rows.value.flatMap(({ horizon, layer }) =>
    horizon.clay ? [{ ...horizon.clay, top: layer.top, bottom: layer.bottom }] : [],
  ),
)
/** What the surveyor wrote down stands as a ring over the estimate. */
const owns = computed(() =>
  rows.value.flatMap(({ horizon, layer }) =>
    horizon.own_clay === null || horizon.own_clay === undefined
      ? []
      : [{ id: horizon.id, x: clay.value(horizon.own_clay), y: (layer.top + layer.bottom) / 2 }],
  ),
)
/** One line down the profile, level at each boundary; it is broken where nothing is known. */
const clayLine = computed(() =>
  clays.value
    .map((c, i) => `${i && clays.value[i - 1]!.bottom === c.top ? 'L' : 'M'}${clay.value(c.mean)} ${c.top}V${c.bottom}`)
    .join(''),
)
const laneX = computed(() => wordsX.value + 300)
const laneEnd = computed(() => width.value - 170)
const longest = computed(() =>
  Math.max(80, ...props.profile.horizons.map((h) => h.reading?.ribbon_set?.interval_mm?.[1] ?? 0)),
)
const x = computed(() => linear(0, longest.value, laneX.value, laneEnd.value))
const lengthTicks = computed(() => [0, 25, 50, 75, 100, 150, 200, 250].filter((mm) => mm <= longest.value))
// A change of clay worth a mark stands on its boundary; where water may perch, the boundary itself is drawn wet.
const marks = computed(() =>
  props.profile.contrasts
    .filter(({ tests }) => tests.length)
    .map((c) => ({
      ...c,
      y: s.value.y(c.depth_cm),
      x: clay.value(Math.max(...c.clay)),
      by: c.own_clay ? Math.round(c.own_clay[1]! - c.own_clay[0]!) : c.difference,
    })),
)
const waters = computed(() => props.profile.perching.map((p) => ({ ...p, y: s.value.y(p.depth_cm) })))
const wave = (from: number, to: number, y: number) =>
  `M${from} ${y}${Array.from({ length: Math.floor((to - from) / 20) }, () => 'q5 -6 10 0t10 0').join('')}`
const nameOf = (h: Horizon) =>
  h.named?.full_name ?? (h.reading ? h.reading.sentence.replace(/\.$/, '') : 'not textured yet')
const cardOf = (h: Horizon) => `/profiles/${props.profile.id}/horizons/${h.id}`
const action = (h: Horizon) => (h.reading?.assigned ? 'Open' : h.reading ? 'Continue' : 'Texture')
const clayText = (h: Horizon) =>
  [
    h.own_clay === null || h.own_clay === undefined ? '' : `${h.own_clay} % by hand, `,
    h.clay ? `${h.clay.range[0]} to ${h.clay.range[1]} %${h.clay.uniform ? ' by its class' : ''}` : 'no estimate',
  ].join('')
const flagText = (h: Horizon) =>
  (props.profile.samples ?? [])
    .filter(({ horizon }) => horizon === h.designation)
    .flatMap(({ depth, findings }) => findings.map(({ said }) => `, ${said} at ${depth}`))
    .join('')
const range = (h: Horizon) => depths(h.upper_cm, h.lower_cm)
const told = (h: Horizon) =>
  [
    `${h.designation}, ${range(h)}: ${nameOf(h)}`,
    h.reading?.ribbon_text && `ribbon ${h.reading.ribbon_text}`,
    h.clay && `clay ${clayText(h)}`,
    h.moist_colour && `colour ${h.moist_colour.notation}`,
  ]
    .filter(Boolean)
    .join(', ') + flagText(h)
const label = computed(() => {
  const gaps = props.profile.gaps.map(({ sentence }) => sentence).join(' ')
  return (
    `Profile ${props.profile.name} to ${s.value.depth} cm. ${props.profile.horizons.map(told).join('; ')}.` +
    (gaps && ` ${gaps}`)
  )
})
/** From the boundary at its depth to the words beside it. */
const leader = (layer: Layer) =>
  phone.value
    ? `M${TAPE + column.value} ${layer.top}h8L${wordsX.value - 8} ${layer.words + 2}H${width.value}`
    : `M${TAPE + column.value} ${layer.top}H${clayX.value + CLAY_WIDTH + 4}` +
      `L${wordsX.value - 8} ${layer.words + 2}H${laneX.value - 20}`
/** px: from where to where the interval of the ribbons is drawn. */
const lane = (h: Horizon): [number, number] => {
  const [from, to] = h.reading!.ribbon_set!.interval_mm!
  return [Math.max(x.value(from!), laneX.value), x.value(to!)]
}
</script>

<template>
  <div ref="box" class="relative" :style="{ height: `${s.height}px` }">
    <svg :width="width" :height="s.height" class="absolute inset-0" role="img" :aria-label="label">
      <text x="0" y="20" font-size="17" font-weight="640">depth, {{ depthUnit }}</text>
      <template v-if="!phone">
        <text :x="laneX" y="20" font-size="17" font-weight="640">ribbon, {{ unit }}, with its 90 % interval</text>
        <g v-for="mm in lengthTicks" :key="mm">
          <path class="feint" :d="`M${x(mm)} 44V${s.height - 16}`" />
          <text v-if="mm" :x="x(mm)" y="40" text-anchor="middle" font-size="16" class="pencil">{{ show(mm) }}</text>
        </g>
      </template>
      <template v-if="!phone && clays.length">
        <text :x="clayX" y="20" font-size="17" font-weight="640">clay %, 80 %</text>
        <g v-for="t in [0, 20, 40, 60, 80].filter((one) => one <= mostClay)" :key="`clay-${t}`">
          <path class="feint" :d="`M${clay(t)} 44V${s.y(s.depth)}`" />
          <text v-if="t" :x="clay(t)" y="40" text-anchor="middle" font-size="16" class="pencil">{{ t }}</text>
        </g>
        <rect
          v-for="(c, i) in clays"
          :key="i"
          :class="c.uniform ? 'undone' : 'estimate'"
          :x="clay(c.range[0]!)"
          :width="Math.max(clay(c.range[1]!) - clay(c.range[0]!), 2)"
          :y="c.top"
          :height="c.bottom - c.top"
        />
        <path class="inked" style="stroke-width: 3" :d="clayLine" />
        <circle
          v-for="o in owns"
          :key="`own-${o.id}`"
          class="inked"
          style="stroke-width: 2.5; fill: var(--leaf)"
          :cx="o.x"
          :cy="o.y"
          r="6"
          data-own-clay
        />
      </template>
      <path class="inked" style="stroke-width: 2.5" :d="`M${TAPE - 12} ${s.y(0)}V${s.y(s.depth)}`" />
      <g v-for="cm in ticks(s.depth, s.height - 44, 46)" :key="cm">
        <path class="hair" :d="`M${TAPE - 22} ${s.y(cm)}h10`" />
        <text :x="TAPE - 26" :y="s.y(cm) + 6" text-anchor="end" font-size="16" class="pencil">{{ depth(cm) }}</text>
      </g>
      <g v-for="gap in profile.gaps" :key="gap.upper_cm">
        <rect
          fill="url(#hatch)"
          opacity="0.35"
          class="cursor-pointer"
          :data-gap="gap.upper_cm"
          @click="$emit('fill', gap)"
          :x="TAPE"
          :y="s.y(gap.upper_cm)"
          :width="column"
          :height="s.y(gap.lower_cm) - s.y(gap.upper_cm)"
        />
        <text
          v-if="s.y(gap.lower_cm) - s.y(gap.upper_cm) > 22 && !phone"
          class="halo pencil pointer-events-none"
          font-size="16"
          :x="TAPE + 8"
          :y="(s.y(gap.upper_cm) + s.y(gap.lower_cm)) / 2 + 5"
        >
          no horizon
        </text>
      </g>
      <ProfileColumn :layers="profile.horizons" :x="TAPE" :width="column" :y="s.y" :line="2.5" />
      <g v-for="{ horizon: h, layer, seen } in rows" :key="h.id">
        <path
          v-if="seen.mottles"
          class="mottle"
          :class="`mottle-${(h.described as Record<string, string>).mottle_kind ?? 'rusty'}`"
          :d="seen.mottles"
        />
        <path v-if="seen.stones" class="stone" :d="seen.stones" />
        <path v-if="seen.roots" class="root" :d="seen.roots" />
        <rect
          v-if="h.moist_colour"
          class="inked"
          :x="TAPE + column - 30"
          :y="layer.top + 6"
          width="24"
          :height="Math.min(layer.bottom - layer.top - 12, 24)"
          :style="`fill: ${h.moist_colour.chip}; stroke-width: 1.5`"
          :data-chip="h.moist_colour.notation"
        />
        <text
          v-if="h.moist_colour && !phone && layer.bottom - layer.top > 30"
          class="halo-leaf"
          font-size="16"
          text-anchor="end"
          :x="TAPE + column - 36"
          :y="layer.top + 24"
        >
          {{ h.moist_colour.notation }}
        </text>
        <path class="hair" style="stroke: var(--rule); stroke-width: 1" :d="leader(layer)" />
        <template v-if="!phone && h.reading?.ribbon_set?.interval_mm">
          <rect
            class="wash"
            :x="lane(h)[0]"
            :width="Math.max(lane(h)[1] - lane(h)[0], 2)"
            :y="layer.words + 10"
            height="52"
          />
          <path
            class="wash-edge"
            style="stroke-width: 1.5"
            :d="
              lane(h)
                .map((end) => `M${end} ${layer.words + 10}v52`)
                .join('')
            "
          />
          <path
            class="ground"
            :d="ribbonPath(laneX, x(h.reading.ribbon_set.mean_mm!), layer.words + 36, 24, 'broke', h.id)"
          />
          <path
            :fill="fillOf(h.reading.assigned, true)"
            :d="ribbonPath(laneX, x(h.reading.ribbon_set.mean_mm!), layer.words + 36, 24, 'broke', h.id)"
          />
          <path
            :class="h.reading.assigned ? 'inked' : 'undone'"
            :d="ribbonPath(laneX, x(h.reading.ribbon_set.mean_mm!), layer.words + 36, 24, 'broke', h.id)"
          />
        </template>
        <text v-else-if="!phone && h.named" class="pencil" font-size="17" :x="laneX + 8" :y="layer.words + 42">
          {{ h.reading ? 'no ribbon' : 'reported, not textured here' }}
        </text>
      </g>
      <g v-for="f in flags" :key="`ph-${f.id}`" :data-ph="f.ph">
        <template v-if="phone">
          <path class="hair" :d="`M${TAPE} ${f.y}h6`" />
          <text class="halo-leaf" font-size="15" font-weight="800" :x="TAPE + 8" :y="f.y + 5">{{ f.ph }}</text>
        </template>
        <template v-else>
          <path class="hair" :d="`M${TAPE + column} ${f.y}h8`" />
          <text class="halo" font-size="16" font-weight="800" :x="TAPE + column + 11" :y="f.y + 5">{{ f.ph }}</text>
        </template>
      </g>
      <text v-if="phLane" :x="TAPE + column + 11" y="20" font-size="17" font-weight="640">pH</text>
      <g v-if="wet !== null" data-wet>
        <path class="wet" style="stroke-width: 4" :d="`M${TAPE + 3} ${s.y(wet)}V${s.y(s.depth)}`" />
        <text
          class="halo-leaf"
          font-size="15"
          font-weight="800"
          style="fill: var(--reed)"
          :transform="`translate(${TAPE + 9} ${s.y(wet) + 22}) rotate(90)`"
        >
          wet
        </text>
      </g>
      <path
        v-for="w in waters"
        :key="`water-${w.depth_cm}`"
        class="wet"
        :d="wave(TAPE + 6, TAPE + column - 6, w.y)"
        :data-water="w.depth_cm"
      />
      <g v-for="m in marks" :key="`mark-${m.depth_cm}`" :data-contrast="`${m.upper} ${m.lower}`">
        <text
          v-if="!phone"
          class="halo"
          font-size="18"
          font-weight="800"
          style="fill: var(--iron)"
          :x="m.x + 6"
          :y="m.y + 6"
        >
          {{ m.by > 0 ? '+' : '−' }}{{ Math.abs(m.by) }}
        </text>
      </g>
    </svg>
    <BoundaryHandles
      :horizons="profile.horizons"
      :y="s.y"
      :depth="s.depth"
      :x="TAPE"
      :width="column"
      :height="s.height"
      @move="(h, cm) => $emit('move', h, cm)"
      @split="(h, cm) => $emit('split', h, cm)"
    />
    <ol>
      <li
        v-for="{ horizon: h, layer } in rows"
        :key="h.id"
        class="absolute grid gap-x-3 items-start leading-tight"
        :class="phone ? 'grid-cols-[1fr_auto] right-0' : 'grid-cols-[64px_1fr]'"
        :style="{
          left: `${wordsX - 4}px`,
          top: `${layer.words + 6}px`,
          width: phone ? undefined : '292px',
          height: `${s.wordsHeight - 8}px`,
        }"
        :data-horizon="h.designation"
      >
        <button
          type="button"
          class="named-link text-2xl text-left min-h-14 min-w-14"
          :class="phone ? 'hidden' : ''"
          :aria-label="`Change ${h.designation}, ${range(h)}`"
          @click="$emit('edit', h)"
        >
          {{ h.designation }}
        </button>
        <div class="min-w-0 pt-1">
          <p class="text-xl font-semibold leading-tight" :class="h.named ? '' : 'text-pencil font-normal'">
            <button
              v-if="phone"
              type="button"
              class="font-extrabold underline decoration-rule underline-offset-4 mr-2"
              :aria-label="`Change ${h.designation}, ${range(h)}`"
              @click="$emit('edit', h)"
            >
              {{ h.designation }}</button>{{ nameOf(h) }}
          </p>
          <p class="text-pencil text-base">
            <template v-if="h.reading?.ribbon_text">ribbon {{ h.reading.ribbon_text }}</template
            ><template v-else>{{ range(h) }}</template
            ><template v-if="phone && h.moist_colour">; {{ h.moist_colour.notation }}</template
            ><template v-if="phone && h.clay">; clay {{ clayText(h) }}</template>
          </p>
          <p
            v-if="!h.reading && h.reported_class"
            class="text-base truncate"
            data-reported
            :title="h.reported_class.source ?? ''"
          >
            {{
              [
                `“${h.reported_class.said}”`,
                h.reported_class.person && `by ${h.reported_class.person}`,
                h.reported_class.reported_on,
              ]
                .filter(Boolean)
                .join(', ')
            }}
          </p>
          <p
            v-else-if="h.reading?.assigned?.override"
            class="text-base font-semibold truncate"
            :title="h.reading.assigned.reason ?? ''"
          >
            <span class="text-iron">not the key’s: </span
            ><span class="font-normal">{{ h.reading.assigned.reason }}</span>
          </p>
          <p
            v-else-if="h.reading?.assigned && h.reading.assigned.proposed.length > 1"
            class="text-base font-semibold text-iron"
          >
            on the limit
          </p>
        </div>
        <div v-if="phone" class="grid gap-1.5">
          <button
            type="button"
            class="button px-3"
            :class="[h.id === profile.next_horizon_id ? 'button-main' : '', h.reading ? '' : 'for-writers']"
            :aria-label="`${action(h)} ${h.designation}`"
            @click="$emit('texture', h)"
          >
            {{ action(h) }}
          </button>
          <RouterLink :to="cardOf(h)" class="button button-desk !px-2" :aria-label="`Describe ${h.designation}`"
            >Describe</RouterLink
          >
        </div>
      </li>
    </ol>
    <template v-if="!phone">
      <div
        v-for="{ horizon: h, layer } in rows"
        :key="`go-${h.id}`"
        class="absolute right-0 w-[136px] grid gap-1 print:hidden"
        :style="{ top: `${layer.words + 4}px` }"
      >
        <button
          type="button"
          class="button"
          :class="[h.id === profile.next_horizon_id ? 'button-main' : '', h.reading ? '' : 'for-writers']"
          :aria-label="`${action(h)} ${h.designation}`"
          @click="$emit('texture', h)"
        >
          {{ action(h) }}
        </button>
        <RouterLink :to="cardOf(h)" class="button button-desk" :aria-label="`Describe ${h.designation}`"
          >Describe</RouterLink
        >
      </div>
    </template>
    <ul v-if="profile.gaps.length">
      <li v-for="gap in profile.gaps" :key="gap.upper_cm">
        <button type="button" class="sr-only focus:not-sr-only" @click="$emit('fill', gap)">
          {{ gap.sentence }} Add one there
        </button>
      </li>
    </ul>
  </div>
</template>
