<script setup lang="ts">
import { computed, toRef, useTemplateRef } from 'vue'
import { mainKey, useWords, type Reading } from '@/api'
import { fillOf } from '@/drawing/grain'
import { tenth } from '@/drawing/random'
import { ribbonPath } from '@/drawing/ribbon'
import { linear } from '@/drawing/scale'
import { useUnits } from '@/shared/useUnits'
import { useWidth } from '@/shared/useWidth'
import type { RibbonEntry } from '@/bench/useReading'

// The ribbon set on one scale: each ribbon at its length and thickness, the key's limits, the interval of the true
// length with the odds on either side of the nearest limit, and a ruler to tap.
const props = defineProps<{
  reading: Reading
  unit: string
  typedMm: number | null
  coming: RibbonEntry[]
  tappable?: boolean
  placed?: boolean
  compact?: boolean
}>()
const emit = defineEmits<{ tap: [mm: number]; keep: [] }>()

const words = useWords()
const { show, toMm, facts } = useUnits(toRef(props, 'unit'))
const box = useTemplateRef('box')
const width = useWidth(props.compact ? 'compact ruler' : 'ruler', box)
const narrow = computed(() => width.value < 500)

const set = computed(() => props.reading.assessment.ribbon_set)
const has = computed(() => set.value?.mean_mm !== undefined)
const limits = computed(() => (props.reading.ruler.tiers ?? []).slice(1).map(({ from_mm }) => from_mm))
const key = computed(() => mainKey(props.reading))
/** Limits that are close together cannot all have a box: those that matter come first, then the longer ones. */
const BOX = 54
const boxed = computed(() => {
  const order = limits.value
    .map((mm, i) => ({ i, at: x.value(mm), hot: hot(mm) }))
    .sort((a, b) => Number(b.hot) - Number(a.hot) || b.i - a.i)
  return order
    .reduce<typeof order>(
      (kept, one) => (kept.some(({ at }) => Math.abs(at - one.at) < BOX) ? kept : [...kept, one]),
      [],
    )
    .map(({ i }) => i)
})
const hot = (mm: number) => has.value && set.value!.interval_mm![0]! <= mm && mm <= set.value!.interval_mm![1]!

// The scale ends at a round 50 mm above everything there is to show.
const max = computed(() => {
  const all = [
    ...props.reading.ribbons.map(({ length_mm }) => length_mm),
    set.value?.interval_mm?.[1] ?? 0,
    props.typedMm ?? 0,
    ...limits.value.map((mm) => mm * 1.3),
  ]
  return Math.min(Math.max(100, Math.ceil(Math.max(...all) / 50) * 50), words.value.length_mm[1]!)
})
const PAD = 12
const W = computed(() => Math.max(width.value, 200))
const x = computed(() => linear(0, max.value, PAD, W.value - 20))
const perMm = computed(() => (W.value - 20 - PAD) / max.value)

const TOP = 46
const rows = computed(() => props.reading.ribbons.length + props.coming.length + (narrow.value ? 0 : 1))
// On a phone the ruler keeps its height, so that what is pressed for every ribbon stays where it is.
const NARROW_ROWS = 99 // px
const rowHeight = computed(() =>
  Math.min(narrow.value ? 33 : 46, (narrow.value ? NARROW_ROWS : 160) / Math.max(rows.value, 1)),
)
const bellTop = computed(() => TOP + (narrow.value ? NARROW_ROWS : rows.value * rowHeight.value))
const bellHeight = computed(() => (narrow.value ? 56 : 70))
const base = computed(() => bellTop.value + bellHeight.value - 12)
const rulerTop = computed(() => bellTop.value + bellHeight.value + 4)
const RULER = 58
const NUMBER_ROOM = 48 // px that a number of three digits needs
const height = computed(() => rulerTop.value + RULER + 2)

const sole = computed(() =>
  key.value.outcomes.length === 1 ? { system: key.value.system, code: key.value.outcomes[0]!.code } : undefined,
)
const fill = computed(() => fillOf(props.reading.assigned ?? sole.value, true))
const ribbons = computed(() =>
  props.reading.ribbons.map((ribbon, i) => {
    const y = TOP + rowHeight.value * (i + 0.5)
    const thickness = Math.min(Math.max((ribbon.thickness_mm ?? 3) * perMm.value, 9), rowHeight.value * 0.62)
    const end = x.value(ribbon.length_mm)
    const intervalEnd = has.value ? x.value(set.value!.interval_mm![1]!) : 0
    const room = W.value - 20
    const labelWidth = narrow.value ? 96 : ribbon.working_minute === null ? 250 : 350
    const after = Math.max(end, intervalEnd) + 12
    return {
      ...ribbon,
      y,
      d: ribbonPath(x.value(0), Math.max(end, x.value(0) + 3), y, thickness, ribbon.ended, ribbon.id),
      labelX: after + labelWidth > room ? room : after,
      anchor: after + labelWidth > room ? 'end' : 'start',
    }
  }),
)
const endings = computed(() =>
  Object.fromEntries(
    words.value.tests
      .find(({ name }) => name === 'ribbons')!
      .answers.map((a) => [a.value as string, a.name.toLowerCase()]),
  ),
)
const said = (ribbon: (typeof ribbons.value)[number]) => {
  const thick = ribbon.thickness_mm && !narrow.value ? `${ribbon.thickness_mm} mm thick, ` : ''
  const minute = ribbon.working_minute === null || narrow.value ? '' : `, minute ${ribbon.working_minute}`
  return `${thick}${endings.value[ribbon.ended]}${minute}`
}
/** px: where the interval is drawn from and to. */
const intervalEnds = computed(() => {
  const [from, to] = set.value!.interval_mm!
  return [Math.max(x.value(from!), PAD), x.value(Math.min(to!, max.value))]
})
const tiers = computed(() => {
  const list = props.reading.ruler.tiers
  return list.map((tier, i) => {
    const from = x.value(tier.from_mm)
    const to = x.value(Math.min(tier.to_mm ?? max.value, max.value))
    return { ...tier, x: (from + to) / 2, from, to, room: to - from > tier.name.length * 10 + 62 && i > 0 }
  })
})

// The limit that the length is nearest to being undecided about.
const near = computed(() => {
  const list = set.value?.limits ?? []
  return [...list].sort((a, b) => Math.abs(a.probability_above - 0.5) - Math.abs(b.probability_above - 0.5))[0]
})
const over = computed(() => (near.value ? Math.round(near.value.probability_above * 100) : 0))
const bell = computed(() => {
  const amplitude = bellHeight.value - 26
  const points = props.reading.ruler.density.map((p) => [p[0]!, p[1]!] as const).filter(([mm]) => mm >= 0)
  if (!points.length || !near.value) return null
  const at = ([mm, h]: readonly [number, number]) => `${tenth(x.value(mm))} ${tenth(base.value - amplitude * h)}`
  const limit = near.value.limit_mm
  const closed = (part: (readonly [number, number])[]) =>
    part.length
      ? [
          `M${tenth(x.value(part[0]![0]))} ${base.value}`,
          ...part.map((point) => `L${at(point)}`),
          `L${tenth(x.value(part.at(-1)![0]))} ${base.value}Z`,
        ].join('')
      : ''
  return {
    all: `M${points.map(at).join('L')}`,
    under: closed(points.filter(([mm]) => mm <= limit)),
    over: closed(points.filter(([mm]) => mm >= limit)),
  }
})
const oddsLeft = computed(() => x.value(Math.max(set.value!.interval_mm![0]!, 0)) - 14)
const oddsRight = computed(() => x.value(Math.min(set.value!.interval_mm![1]!, max.value)) + 14)
const leftFits = computed(() => oddsLeft.value > (narrow.value ? 90 : 250))
const rightFits = computed(() => W.value - oddsRight.value > (narrow.value ? 90 : 220))

const graduations = computed(() => {
  const unit = facts.value
  const inches = props.unit === 'in'
  const step = inches ? unit.mm / 16 : 1
  const marks = []
  for (let i = 0; i * step <= max.value + 1e-6; i++) {
    const size = inches
      ? i % 16 === 0
        ? 26
        : i % 8 === 0
          ? 20
          : i % 4 === 0
            ? 14
            : 8
      : i % 10 === 0
        ? 26
        : i % 5 === 0
          ? 18
          : 9
    if (perMm.value * step >= 2.2 || size > 10) marks.push(`M${tenth(x.value(i * step))} ${rulerTop.value}v${size}`)
  }
  const steps = [1, 2, 5, 10].map((n) => n * (inches ? unit.mm : 10))
  const every = steps.find((mm) => mm * perMm.value >= NUMBER_ROOM) ?? steps.at(-1)!
  const numbers = Array.from({ length: Math.floor(max.value / every + 1e-6) + 1 }, (_, i) => ({
    mm: i * every,
    text: String(Math.round((i * every) / unit.mm)),
  }))
  return { path: marks.join(''), numbers }
})

const label = computed(() => {
  const list = props.reading.ribbons
    .map((r) => `${show(r.length_mm)} ${props.unit}, ${endings.value[r.ended]}`)
    .join('; ')
  const odds =
    has.value && near.value
      ? ` Mean ${show(set.value!.mean_mm!)}, 90 % interval ${set.value!.interval_mm!.map(show).join(' to ')}` +
        ` ${props.unit}.` +
        ` ${over.value} % over ${show(near.value.limit_mm)} ${props.unit}.`
      : ''
  const made = list ? `Ribbons: ${list}.` : 'No ribbon yet.'
  return `Ruler in ${props.unit}. ${made} Limits: ${limits.value.map(show).join(', ')}.${odds}`
})

// How near a second tap is the same spot, px: a mouse is held still, a thumb is not. [our own]
const SAME_SPOT = { mouse: 4, touch: 22 }
function tap(event: MouseEvent): void {
  const bounds = (event.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect()
  const at = event.clientX - bounds.left
  const spot = (event as PointerEvent).pointerType === 'touch' ? SAME_SPOT.touch : SAME_SPOT.mouse
  if (props.placed && props.typedMm !== null && Math.abs(at - x.value(props.typedMm)) <= spot) return emit('keep')
  const mm = (at - PAD) / perMm.value
  const [from, to] = words.value.length_mm
  // To what the ruler can be read to: a whole mm, or a sixteenth of an inch.
  const grain = props.unit === 'in' ? toMm(1) / 16 : 1
  emit('tap', Math.min(Math.max(Math.round(mm / grain) * grain, from!), to!))
}
</script>

<template>
  <figure ref="box" class="w-full">
    <svg :viewBox="`0 0 ${W} ${height}`" :height="height" class="w-full block" role="img" :aria-label="label">
      <template v-if="has">
        <rect
          class="wash"
          :x="Math.max(x(set!.interval_mm![0]!), PAD)"
          y="34"
          :width="Math.max(x(Math.min(set!.interval_mm![1]!, max)) - Math.max(x(set!.interval_mm![0]!), PAD), 1)"
          :height="base + 12 - 34"
        />
        <path class="wash-edge" :d="intervalEnds.map((end) => `M${end} 34V${base + 12}`).join('')" />
      </template>
      <path class="hair" :d="`M${x(0)} 17H${x(max)}`" />
      <template v-for="t in tiers" :key="t.name">
        <text
          v-if="t.room"
          class="halo"
          style="stroke-width: 10px"
          text-anchor="middle"
          font-size="20"
          font-weight="640"
          :x="t.x"
          y="24"
        >
          {{ t.name }}
        </text>
      </template>
      <g v-for="(mm, i) in limits" :key="mm">
        <path
          :d="`M${x(mm)} 30V${rulerTop}`"
          :style="hot(mm) ? 'stroke:var(--iron);stroke-width:4' : 'stroke:var(--ink);stroke-width:2'"
        />
        <template v-if="boxed.includes(i)">
          <rect
            :x="x(mm) - 26"
            y="2"
            width="52"
            height="30"
            rx="3"
            :style="
              hot(mm) ? 'fill:var(--iron);stroke:var(--iron)' : 'fill:var(--paper);stroke:var(--ink);stroke-width:2'
            "
          />
          <text
            text-anchor="middle"
            font-size="20"
            font-weight="800"
            :x="x(mm)"
            y="24"
            :style="hot(mm) ? 'fill:var(--on-ink)' : ''"
          >
            {{ show(mm) }}
          </text>
        </template>
      </g>
      <g v-for="r in ribbons" :key="r.id">
        <path class="ground" :d="r.d" />
        <path :d="r.d" :fill="fill" />
        <path :d="r.d" :class="r.ended === 'torn' ? 'undone' : 'inked'" />
        <text v-if="rowHeight > 18" class="halo" :x="r.labelX" :y="r.y + 8" :text-anchor="r.anchor">
          <tspan font-size="26" font-weight="800">{{ show(r.length_mm) }}</tspan>
          <tspan font-size="20" class="pencil" dx="10">{{ said(r) }}</tspan>
        </text>
      </g>
      <g v-for="(c, i) in coming" :key="`coming-${i}`">
        <rect
          class="undone"
          :x="x(0)"
          :y="TOP + rowHeight * (ribbons.length + i + 0.5) - 8"
          :width="Math.max(toMm(c.length) * perMm, 4)"
          height="16"
          rx="2"
        />
      </g>
      <template v-if="!narrow && !compact">
        <rect
          class="undone"
          :x="x(0)"
          :y="TOP + rowHeight * (rows - 0.5) - 11"
          :width="Math.min(typedMm ?? 40, max) * perMm"
          height="22"
          rx="2"
        />
        <text class="halo pencil" font-size="20" :x="x(0) + 14" :y="TOP + rowHeight * (rows - 0.5) + 7">
          ribbon {{ reading.ribbons.length + coming.length + 1 }}: tap the ruler, or type
        </text>
      </template>
      <template v-if="bell && near">
        <path :d="bell.under" fill="url(#hatch)" stroke="var(--ink)" stroke-width="1.5" />
        <path :d="bell.over" fill="var(--ink)" />
        <path :d="bell.all" class="inked" />
        <g v-if="leftFits" text-anchor="end">
          <text
            class="halo"
            :font-size="narrow ? 20 : 24"
            font-weight="800"
            :x="oddsLeft"
            :y="base - (narrow ? 24 : 30)"
          >
            {{ 100 - over }} %{{ narrow ? '' : ` under ${show(near.limit_mm)}` }}
          </text>
          <text class="halo pencil" font-size="20" :x="oddsLeft" :y="base - 5">
            {{
              narrow
                ? `under ${show(near.limit_mm)}`
                : `90 % interval ${show(set!.interval_mm![0]!)} to ${show(set!.interval_mm![1]!)}`
            }}
          </text>
        </g>
        <g v-if="rightFits">
          <text
            class="halo"
            :font-size="narrow ? 20 : 24"
            font-weight="800"
            :x="oddsRight"
            :y="base - (narrow ? 24 : 30)"
          >
            {{ over }} %{{ narrow ? '' : ` over ${show(near.limit_mm)}` }}
          </text>
          <text class="halo pencil" font-size="20" :x="oddsRight" :y="base - 5">
            {{
              narrow
                ? `over ${show(near.limit_mm)}`
                : `mean ${show(set!.mean_mm!)}${set!.sd_mm ? `, spread ${show(set!.sd_mm)}` : ''}`
            }}
          </text>
        </g>
      </template>
      <path class="hair" :d="`M${x(0)} ${base}H${x(max)}`" />
      <rect class="ground" x="1.5" :y="rulerTop" :width="W - 3" :height="RULER" rx="3" />
      <rect class="inked" x="1.5" :y="rulerTop" :width="W - 3" :height="RULER" rx="3" style="stroke-width: 2.5" />
      <path class="hair" :d="graduations.path" />
      <text
        v-for="n in graduations.numbers"
        :key="n.mm"
        text-anchor="middle"
        font-size="20"
        font-weight="640"
        :x="Math.min(Math.max(x(n.mm), PAD + 6), W - 22)"
        :y="rulerTop + 49"
      >
        {{ n.text }}
      </text>
      <template v-if="has && set!.mean_mm! <= max">
        <path :d="`M${x(set!.mean_mm!)} ${base}V${rulerTop}`" style="stroke: var(--ink); stroke-width: 3" />
        <path :d="`M${x(set!.mean_mm!) - 9} ${rulerTop - 1}h18l-9 14z`" style="fill: var(--ink)" />
      </template>
      <path
        v-if="typedMm !== null"
        :d="`M${x(typedMm)} ${rulerTop}v${RULER}`"
        style="stroke: var(--iron); stroke-width: 3"
      />
      <rect
        v-if="tappable"
        fill="transparent"
        class="cursor-crosshair"
        data-ruler
        x="0"
        :y="rulerTop"
        :width="W"
        :height="RULER"
        @click="tap"
      />
    </svg>
  </figure>
</template>
