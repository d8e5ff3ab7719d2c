<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watchEffect } from 'vue'
import { mainKey, useWords } from '@/api'
import { useUnits } from '@/shared/useUnits'
import { useLengthPad } from './useLengthPad'
import RibbonRuler from './RibbonRuler.vue'
import PhotoRibbonDialog from './PhotoRibbonDialog.vue'
import RibbonsDialog from './RibbonsDialog.vue'
import { useAnswers } from '@/bench/useAnswers'
import { useNaming } from '@/bench/useNaming'
import { useWorkingClock } from './useWorkingClock'
import { useBench } from '@/bench/useReading'
import { useBenchKeys } from '@/bench/useBenchKeys'

// A real ruler: tap or type each length, say how it ended, and see the set.
const bench = useBench()
const words = useWords()
const { test } = useAnswers()
const { key: leading } = useNaming()
const { show, toMm } = useUnits(bench.unit)
const reading = computed(() => bench.reading.value!)

const typed = bench.typed
const ended = ref('broke')
// What nobody measured stays empty, and what one ribbon did says nothing of the next.
const thickness = ref<number | null>(null)
const width = ref<number | null>(null)
const carried = ref<boolean | null>(null)
const clock = useWorkingClock()
const reworked = computed(() => reading.value.assessment.reworked)
const drifting = computed(() => set.value?.flags.includes('drifting'))
const listing = ref(false)
const onPhoto = ref(false)

const endings = computed(() => test('ribbons').answers)
const count = computed(() => reading.value.ribbons.length + bench.coming.value.length)
const none = computed(() => bench.observations.value.ribbon_forms === false)
const advice = computed(() => mainKey(reading.value).advice)
const set = computed(() => reading.value.assessment.ribbon_set)
const ENDING_KEYS: Record<string, string> = { b: 'broke', f: 'folded', n: 'never_broke', t: 'torn' }
// In reading order at the desk; on a phone as on a telephone, in three columns.
const PAD = ['1', '2', '3', '4', '5', 'del', '6', '7', '8', '9', '0', '.']

function keep(length: number): void {
  bench.addRibbon({
    length,
    unit: bench.unit.value,
    ended: ended.value,
    thickness_mm: thickness.value,
    width_mm: width.value,
    working_minute: clock.minute.value,
    carried_own_weight: carried.value,
  })
  ended.value = 'broke'
  thickness.value = width.value = carried.value = null
}
const pad = useLengthPad(
  typed,
  { toMm, show, slips: () => reading.value.ruler.slips, longest: () => words.value.length_mm[1]! },
  keep,
)
const { placed, slip, mm: typedMm, place, press, add, settle } = pad
// What is typed is kept by whoever presses the key that says so; another step leaves it as it stands.
watchEffect(() => {
  bench.pending.value =
    typedMm.value === null
      ? null
      : { name: `${typed.value} ${bench.unit.value}`, keep: () => (add(), slip.value === null) }
})
onBeforeUnmount(() => (bench.pending.value = null))
const setUnit = (unit: string) => pad.inUnit(() => bench.useUnit(unit))
/** Half a millimetre at a time, as a thickness is judged. */
function thicker(by: number): void {
  const [from, to] = words.value.thickness_range_mm
  thickness.value =
    thickness.value === null ? words.value.thickness_mm : Math.min(Math.max(thickness.value + by, from!), to!)
}
/** A millimetre at a time, from the width the key wants. */
function wider(by: number): void {
  width.value = width.value === null ? leading.value.width_mm! : Math.max(width.value + by, 1)
}
/** The state that counts is the last: earlier ribbons are taken back, and stay in the record. */
function lastCounts(): void {
  for (const { id } of reading.value.ribbons.slice(0, -1)) bench.takeBackRibbon(id)
}
function tickSubplastic(): void {
  const spots = (bench.observations.value.blind_spots as string[] | undefined) ?? []
  if (!spots.includes('subplastic')) bench.answer('blind_spots', [...spots, 'subplastic'])
}
const ticked = computed(() =>
  ((bench.observations.value.blind_spots as string[] | undefined) ?? []).includes('subplastic'),
)
// On a phone one key stands for all endings, and one for all units: each press takes the next.
const after = <T,>(list: T[], index: number): T => list[(index + 1) % list.length]!
const endingName = computed(() => endings.value.find(({ value }) => value === ended.value)?.name)
const nextEnding = () =>
  (ended.value = String(
    after(
      endings.value,
      endings.value.findIndex(({ value }) => value === ended.value),
    ).value,
  ))
const nextUnit = computed(
  () =>
    after(
      words.value.units,
      words.value.units.findIndex(({ value }) => value === bench.unit.value),
    ).value,
)

useBenchKeys((key) => {
  if (/^[0-9.]$/.test(key)) press(key)
  else if (key === ',') press('.')
  else if (key === 'Backspace' && typed.value) press('del')
  else if (slip.value && key === 'y') settle(slip.value.possible ? slip.value.typed : null)
  else if (slip.value && key === 'o' && slip.value.meant) settle(slip.value.meant)
  else if (key === 'Enter' && slip.value) return true
  else if (key === 'Enter' && typed.value) add()
  else if (ENDING_KEYS[key]) ended.value = ENDING_KEYS[key]
  else if (key === 'x') bench.answer('ribbon_forms', none.value ? null : false)
  else if (key === 'u') setUnit(nextUnit.value)
  else if (key === 'w') carried.value = carried.value ? null : true
  else if (key === '+') thicker(0.5)
  else if (key === '-') thicker(-0.5)
  else if (key === 'c' && count.value) listing.value = true
  else if (key === 'p') onPhoto.value = true
  else return false
  return true
})
</script>

<template>
  <div class="grid gap-2.5 content-start desk:h-full desk:grid-rows-[auto_auto_auto_1fr]">
    <header class="flex items-center justify-between gap-3 max-desk:sr-only">
      <h1 class="text-3xl leading-tight">{{ test('ribbons').ask }}</h1>
      <div class="flex shrink-0" role="group" aria-label="Unit">
        <button
          v-for="(u, i) in words.units"
          :key="u.value"
          type="button"
          class="button px-3 -ml-0.5 rounded-none max-desk:hidden"
          :class="{ 'rounded-l-[5px]': i === 0, 'rounded-r-[5px]': i === words.units.length - 1 }"
          :aria-pressed="u.value === bench.unit.value"
          @click="setUnit(u.value)"
        >
          {{ u.value }}
        </button>
      </div>
    </header>

    <RibbonRuler
      :reading="reading"
      :unit="bench.unit.value"
      :typed-mm="typedMm"
      :coming="bench.coming.value"
      tappable
      :placed="placed"
      @tap="place"
      @keep="add"
    />

    <!-- What is asked about a length lies over its advice and the ruler, so that no button moves under a thumb. -->
    <div class="relative">
      <div
        class="lit-note grid desk:grid-cols-[1fr_auto] gap-x-4 items-center max-desk:min-h-[58px]"
        :class="slip && 'invisible'"
        data-advice
      >
        <div role="status" aria-live="polite">
          <p class="desk:text-2xl font-extrabold leading-tight">
            {{ none ? 'No ribbon forms.' : (advice?.sentence ?? set?.sentence ?? test('ribbons').how) }}
          </p>
          <p v-if="reworked" class="leading-tight" data-reworked>{{ reworked.sentence }}</p>
          <p v-else-if="advice && set" class="leading-tight max-desk:hidden">
            {{ set.sentence }}<span v-if="clock.minute.value !== null"> Minute {{ clock.minute.value }}.</span>
          </p>
        </div>
        <button
          v-if="drifting"
          type="button"
          class="min-h-14 max-w-64 text-left font-semibold underline underline-offset-4 leading-tight"
          @click="lastCounts"
        >
          They grow with working: let only the last count
        </button>
        <button
          v-else-if="reworked?.subplastic && !ticked"
          type="button"
          class="min-h-14 font-semibold underline underline-offset-4"
          @click="tickSubplastic"
        >
          Mark it subplastic
        </button>
      </div>
      <div v-if="slip" role="alert" class="length-slip" data-slip>
        <template v-if="slip.meant">
          <p class="desk:text-2xl font-extrabold leading-tight grow">
            <template v-if="slip.possible">{{ slip.typed }} {{ bench.unit.value }}? Or {{ slip.meant }}?</template>
            <template v-else>No ribbon is {{ slip.typed }} {{ bench.unit.value }} long. {{ slip.meant }}?</template>
          </p>
          <button type="button" class="button px-3" @click="settle(slip.possible ? slip.typed : null)">
            {{ slip.possible ? `Keep ${slip.typed}` : 'Type again' }}
            <kbd class="font-sans font-normal text-lg" aria-hidden="true">y</kbd>
          </button>
          <button type="button" class="button px-3" @click="settle(slip.meant)">
            Keep {{ slip.meant }} <kbd class="font-sans font-normal text-lg" aria-hidden="true">o</kbd>
          </button>
        </template>
        <template v-else>
          <p class="desk:text-2xl font-extrabold leading-tight grow">
            {{
              Number(slip.typed)
                ? `No ribbon is ${slip.typed} ${bench.unit.value} long.`
                : `A ribbon of 0 ${bench.unit.value} is no ribbon.`
            }}
          </p>
          <button
            v-if="!Number(slip.typed)"
            type="button"
            class="button px-3"
            @click="(settle(null), bench.answer('ribbon_forms', false))"
          >
            No ribbon forms
          </button>
          <button type="button" class="button px-3" @click="settle(null)">
            Type again <kbd class="font-sans font-normal text-lg" aria-hidden="true">y</kbd>
          </button>
        </template>
      </div>
    </div>

    <div
      class="grid gap-1.5 desk:gap-2 self-end max-desk:grid-cols-[3fr_1fr] desk:grid-cols-[14fr_9fr_6fr] desk:gap-x-4"
    >
      <div
        class="grid grid-cols-3 desk:grid-cols-6 gap-1.5"
        role="group"
        :aria-label="`Length of ribbon ${count + 1} in ${bench.unit.value}`"
      >
        <button
          v-for="k in PAD"
          :key="k"
          type="button"
          class="button px-0 min-w-0 text-2xl font-extrabold max-desk:!min-h-12"
          :class="{
            'max-desk:order-1': '123456789'.includes(k),
            'max-desk:order-2': k === '.',
            'max-desk:order-3': k === '0',
            'max-desk:order-4': k === 'del',
          }"
          :aria-label="k === 'del' ? 'Delete' : k === '.' ? 'Point' : k"
          @click="press(k)"
        >
          {{ k === 'del' ? '⌫' : k }}
        </button>
      </div>
      <div class="grid grid-cols-2 gap-1.5 max-desk:hidden" role="group" aria-label="How it ended">
        <button
          v-for="e in endings"
          :key="String(e.value)"
          type="button"
          class="button px-1 min-w-0 text-lg leading-[1.1]"
          :aria-pressed="ended === e.value"
          @click="ended = String(e.value)"
        >
          {{ e.name }}
        </button>
      </div>
      <div class="grid max-desk:grid-rows-4 gap-1.5">
        <button
          type="button"
          class="button px-0 desk:hidden !min-h-12"
          :aria-label="`Unit: ${bench.unit.value}. Change it`"
          @click="setUnit(nextUnit)"
        >
          {{ bench.unit.value }}
        </button>
        <button
          type="button"
          class="button px-0.5 min-w-0 desk:hidden !min-h-12"
          :aria-label="`It ended: ${endingName}. Change it`"
          @click="nextEnding"
        >
          {{ endingName }}
        </button>
        <output class="length-line" :aria-label="`Ribbon ${count + 1}`">
          <span v-if="typed" class="text-2xl desk:text-3xl font-extrabold whitespace-nowrap"
            >{{ typed }} <span class="max-desk:hidden">{{ bench.unit.value }}</span></span
          >
          <span v-else class="text-pencil">ribbon {{ count + 1 }}</span>
        </output>
        <button
          type="button"
          class="button button-main px-1 max-desk:!min-h-12"
          :disabled="typedMm === null"
          @click="add"
        >
          Add <span class="max-desk:sr-only">ribbon {{ count + 1 }}</span>
        </button>
      </div>
      <div class="grid grid-cols-2 desk:flex gap-1.5 max-desk:col-span-2 desk:col-span-3">
        <div class="flex items-center gap-1.5 max-desk:col-span-2" role="group" aria-label="Thickness">
          <button type="button" class="button" aria-label="Thinner" @click="thicker(-0.5)">−</button>
          <span class="grow text-center whitespace-nowrap" :class="leading.width_mm ? 'desk:w-18' : 'desk:w-28'">{{
            thickness === null ? 'Thickness?' : `${thickness} mm thick`
          }}</span>
          <button type="button" class="button" aria-label="Thicker" @click="thicker(0.5)">+</button>
        </div>
        <div
          v-if="leading.width_mm"
          class="flex items-center gap-1.5 max-desk:col-span-2"
          role="group"
          aria-label="Width"
        >
          <button type="button" class="button" aria-label="Narrower" @click="wider(-1)">−</button>
          <span class="grow desk:w-20 text-center whitespace-nowrap">{{
            width === null ? 'Width?' : `${width} wide`
          }}</span>
          <button type="button" class="button" aria-label="Wider" @click="wider(1)">+</button>
        </div>
        <button
          type="button"
          class="button px-2 desk:ml-auto"
          :aria-pressed="carried === true"
          @click="carried = carried ? null : true"
        >
          Held its own weight
        </button>
        <button
          type="button"
          class="button px-2"
          :aria-pressed="none"
          @click="bench.answer('ribbon_forms', none ? null : false)"
        >
          No ribbon
        </button>
        <button type="button" class="button px-2" @click="onPhoto = true">On a photo</button>
        <button type="button" class="button px-2" :disabled="!count" @click="listing = true">Edit ribbon</button>
      </div>
    </div>
    <RibbonsDialog :open="listing" @close="listing = false" />
    <PhotoRibbonDialog v-if="onPhoto" @close="onPhoto = false" />
  </div>
</template>
