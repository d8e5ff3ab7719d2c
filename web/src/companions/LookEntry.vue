<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CompanionKind, SheetPlace } from '@/api'
import CrumbGrid from './CrumbGrid.vue'
import VesselRuler, { type Band } from './VesselRuler.vue'

// One look at one place, entered with one touch: on the drawing of what is read, or by a button.
const props = defineProps<{ kind: CompanionKind; place: SheetPlace; refill: boolean }>()
const emit = defineEmits<{ take: [value: Record<string, unknown>] }>()
const MOST_BUTTONS = 20
const values = computed(() => props.place.values as Record<string, unknown>)
const number = (name: string) => (typeof values.value[name] === 'number' ? (values.value[name] as number) : 0)
const scale = (name: string) => props.place.scales.find((one) => one.name === name)
const choices = computed(() => props.kind.look.filter(({ type }) => type === 'choice'))

/** What is read from a scale, one after the other. */
type Reading = {
  name: string
  label: string
  drawn: 'hole' | 'jar' | 'tube' | 'rule'
  down?: boolean
  bands: Band[]
  last: number | null
}
const layers = computed<Band[]>(() => {
  let height = 0
  return (['sand', 'silt', 'clay'] as const).flatMap((of) => {
    const own = number(`${of}_mm`)
    const from = height
    height += own
    return own ? [{ from, to: height, of }] : []
  })
})
const level = computed<Band[]>(() => {
  const mm = props.place.curve.at(-1)?.[1]
  return mm === undefined ? [] : [{ from: 0, to: mm, of: 'water' as const }]
})
const readings = computed<Reading[]>(() => {
  const of: Record<string, Reading[]> = {
    jar: ['sand', 'silt', 'clay'].map((name) => ({
      name: `${name}_mm`,
      label: `Where the ${name} ends`,
      drawn: 'jar',
      bands: layers.value,
      last: null,
    })),
    percolation: [
      { name: 'water_mm', label: 'Water left', drawn: 'hole', bands: level.value, last: level.value[0]?.to ?? null },
    ],
    probe: [{ name: 'mpa', label: 'Resistance', drawn: 'rule', bands: [], last: null }],
    rod: ['wet_mm', 'dry_mm'].map((name) => ({
      name,
      label: name === 'wet_mm' ? 'Length, wet' : 'Length, dry',
      drawn: 'rule',
      bands: [],
      last: number(name) || null,
    })),
    columns: [
      {
        name: 'front_mm',
        label: 'Wet down to',
        drawn: 'tube',
        down: true,
        bands: number('front_mm') ? [{ from: 0, to: number('front_mm'), of: 'wet' }] : [],
        last: number('front_mm') || null,
      },
    ],
  }
  return of[props.kind.name] ?? []
})
// The first that was not read yet, until somebody chooses another.
const chosen = ref('')
const reading = computed(
  () =>
    readings.value.find(({ name }) => name === chosen.value) ??
    readings.value.find(({ name }) => values.value[name] === undefined) ??
    readings.value.at(-1),
)
const onScale = computed(() => reading.value && scale(reading.value.name))

function read(value: number): void {
  const name = reading.value!.name
  chosen.value = ''
  if (props.kind.name === 'percolation')
    return emit('take', { water_mm: value, ...(props.refill ? { refilled: true } : {}) })
  if (props.kind.name !== 'jar') return emit('take', { [name]: value })
  // In a jar every layer lies on those before it.
  const below = ['sand_mm', 'silt_mm'].filter((one) => one !== name && (name === 'clay_mm' || one === 'sand_mm'))
  const under = name === 'sand_mm' ? 0 : below.reduce((sum, one) => sum + number(one), 0)
  emit('take', { [name]: Math.max(0, Number((value - under).toFixed(1))) })
}

/** Colours of a card as buttons; between two of them where it lies between. */
const between = ref(false)
const card = computed(() => {
  const found = props.kind.name === 'ph' ? scale('value') : undefined
  if (!found || (found.to - found.from) / found.step > MOST_BUTTONS) return []
  return Array.from({ length: Math.round((found.to - found.from) / found.step) + 1 }, (_, i) =>
    Number((found.from + i * found.step).toFixed(2)),
  )
})
function takeColour(value: number): void {
  const step = scale('value')!.step
  emit('take', between.value ? { value, upper: Number((value + step).toFixed(2)) } : { value, upper: '' })
  between.value = false
}
const waits = computed(() => props.kind.name === 'percolation' && !props.place.curve.length && !values.value.refilled)
const flags = computed(() => props.kind.look.filter(({ name }) => name === 'cloudy'))
</script>

<template>
  <div class="grid gap-2">
    <CrumbGrid
      v-if="choices.length === 2"
      :fields="choices"
      :place="place.name"
      :standing="values"
      @take="emit('take', $event)"
    />
    <div v-else-if="choices.length === 1" class="flex flex-wrap gap-1.5" role="group" :aria-label="choices[0]!.label">
      <button
        v-for="w in choices[0]!.words"
        :key="w.value"
        type="button"
        class="button"
        :aria-pressed="values[choices[0]!.name] === w.value"
        @click="emit('take', { [choices[0]!.name]: w.value })"
      >
        {{ w.name }}
      </button>
    </div>
    <div v-else-if="card.length" class="grid gap-1.5">
      <div class="grid grid-cols-5 gap-1.5" role="group" :aria-label="`pH of ${place.name}`">
        <button
          v-for="v in card"
          :key="v"
          type="button"
          class="button !px-1"
          :aria-pressed="values.value === v"
          @click="takeColour(v)"
        >
          {{ v }}
        </button>
      </div>
      <button type="button" class="button button-desk" :aria-pressed="between" @click="between = !between">
        Between it and the next
      </button>
    </div>
    <button v-else-if="waits" type="button" class="button button-main" @click="emit('take', { refilled: true })">
      Filled to {{ scale('water_mm')?.to }} mm: begin
    </button>
    <div v-else-if="reading && onScale" class="grid grid-cols-[auto_minmax(0,1fr)] gap-3 items-start">
      <VesselRuler
        :kind="reading.drawn"
        :label="`${reading.label}, ${place.name}: touch where it stands`"
        :from="onScale.from"
        :to="onScale.to"
        :step="onScale.step"
        :unit="kind.look.find(({ name }) => name === reading!.name)?.unit ?? 'mm'"
        :bands="reading.bands"
        :down="reading.down"
        :last="reading.last"
        @take="read"
      />
      <div class="grid gap-1.5 content-start">
        <p class="font-semibold">{{ reading.label }}</p>
        <p class="text-pencil text-base leading-snug">
          Touch the drawing where it stands{{ kind.name === 'probe' ? ': once for each push' : '' }}.
        </p>
        <template v-if="readings.length > 1">
          <button
            v-for="r in readings"
            :key="r.name"
            type="button"
            class="button button-desk"
            :aria-pressed="r.name === reading.name"
            @click="chosen = r.name"
          >
            {{ r.label }}
          </button>
        </template>
        <button
          v-for="f in flags"
          :key="f.name"
          type="button"
          class="button button-desk"
          :aria-pressed="values[f.name] === true"
          @click="emit('take', { [f.name]: values[f.name] !== true })"
        >
          {{ f.label }}
        </button>
        <button
          v-if="kind.name === 'probe'"
          type="button"
          class="button button-desk"
          @click="emit('take', { mpa: onScale.to, stone: true })"
        >
          A stone
        </button>
        <slot />
      </div>
    </div>
  </div>
</template>
