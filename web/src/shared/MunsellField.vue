<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useWords } from '@/api'
import TextField from './TextField.vue'

// A soil colour in Munsell notation: typed, or picked from the chips of a hue, drawn as computed. A screen is no colour
// chart: the chip that was picked in the field is the colour, the screen only shows about which it is.
const props = defineProps<{
  label: string
  hint?: string
  error?: string
  /** Kept once it is written out, not letter by letter. */
  lazy?: boolean
}>()
const model = defineModel<string>({ required: true })
const text = ref(model.value)
watch(model, (now) => (text.value = now))
watch(text, (now) => !props.lazy && (model.value = now))
const words = useWords()
const USUAL = '10YR'
const open = ref(false)
const hue = ref(USUAL)
const plain = (text: string) => text.toUpperCase().replace(/\s+/g, '').replace(',', '.')
const hueOf = (text: string) =>
  words.value.munsell.find(({ chips }) => chips.flat().some(({ notation }) => plain(notation) === plain(text)))?.hue
watch(open, (now) => now && (hue.value = hueOf(model.value) ?? hue.value))
const page = computed(() => words.value.munsell.find((one) => one.hue === hue.value)!)
const chosen = computed(() =>
  words.value.munsell
    .flatMap(({ chips }) => chips.flat())
    .find(({ notation }) => plain(notation) === plain(model.value)),
)
const chroma = (notation: string) => notation.split('/')[1]
const valueOf = (notation: string) => notation.split(/[ /]/)[1]
function pick(notation: string): void {
  text.value = notation
  model.value = notation
  open.value = false
}
</script>

<template>
  <div class="grid gap-1 content-start [&_input]:min-h-14">
    <div class="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-start">
      <TextField v-model="text" @change="model = text" :label="label" :hint="hint" :error="error" />
      <button
        type="button"
        class="button mt-[30px] px-3"
        :aria-expanded="open"
        :aria-label="`Pick: ${label}`"
        @click="open = !open"
      >
        <span
          v-if="chosen"
          class="block w-7 h-7 border-2 border-ink"
          :style="{ background: chosen.chip }"
          aria-hidden="true"
        />{{ open ? 'Close' : 'Pick' }}
      </button>
    </div>
    <div v-if="open" class="border-2 border-ink bg-leaf p-2 grid gap-2" role="group" :aria-label="`Chips: ${label}`">
      <div class="flex flex-wrap gap-1" role="group" aria-label="Hue">
        <button
          v-for="p in words.munsell"
          :key="p.hue"
          type="button"
          class="button button-desk !px-2"
          :aria-pressed="p.hue === hue"
          @click="hue = p.hue"
        >
          {{ p.hue }}
        </button>
      </div>
      <div v-for="row in page.chips" :key="row[0]!.notation" class="flex gap-1 items-center">
        <span class="w-5 text-base text-pencil text-right pr-1" aria-hidden="true">{{
          valueOf(row[0]!.notation)
        }}</span>
        <button
          v-for="c in row"
          :key="c.notation"
          type="button"
          class="h-11 min-w-11 flex-1 max-w-16 border-2 border-ink"
          :class="plain(c.notation) === plain(model) ? 'outline-3 outline-ink outline-offset-2' : ''"
          :style="{ background: c.chip }"
          :aria-label="c.notation"
          :aria-pressed="plain(c.notation) === plain(model)"
          :title="c.notation"
          @click="pick(c.notation)"
        />
      </div>
      <p class="flex gap-1 text-base text-pencil" aria-hidden="true">
        <span class="w-5"></span>
        <span v-for="c in page.chips[0]" :key="c.notation" class="min-w-11 flex-1 max-w-16 text-center">{{
          chroma(c.notation)
        }}</span>
      </p>
      <p class="text-base text-pencil leading-tight">
        Value at the left, chroma below. Computed colours on a screen: hold the soil against a colour chart.
      </p>
    </div>
  </div>
</template>
