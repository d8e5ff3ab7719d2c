<script setup lang="ts">
import { computed, ref } from 'vue'
import { useWords } from '@/api'
import { useScreenScale } from '@/drawing/useScreenScale'

// Grain sizes at true scale. A screen does not know how large its pixels are, so a card of known width is held against
// it.
const { pxPerMm, calibrated, nominal } = useScreenScale()
/** mm: width of a bank or identity card [published: ISO/IEC 7810, format ID-1]. */
const CARD_MM = 85.6
const COLUMN = 96
const words = useWords()
const GRAVEL_MM = 2.6 // the least of gravel is drawn: the largest would fill the screen
const drawn = (from: number, to: number): number => (from + Math.min(to, GRAVEL_MM)) / 2
const matching = ref(false)
const size = computed({
  get: () => Math.round(pxPerMm.value * 100),
  set: (value: number) => (pxPerMm.value = value / 100),
})
/** A filled circle, in px to a hundredth. */
const circle = (x: number, y: number, r: number): string => {
  const [left, across, size] = [x - r, r, 2 * r].map((px) => px.toFixed(2))
  const arc = `a${across} ${across} 0 1 0`
  return `M${left} ${y.toFixed(2)}${arc} ${size} 0${arc} -${size} 0`
}
const grains = (mm: number) => {
  const r = (mm * pxPerMm.value) / 2
  const step = Math.max(r * 3, 4)
  const out: string[] = []
  for (let y = r + 4; y < 70; y += step) for (let x = r + 4; x < COLUMN - 4 - r; x += step) out.push(circle(x, y, r))
  return out.join('')
}
function done(): void {
  calibrated.value = true
  matching.value = false
}
function forget(): void {
  pxPerMm.value = nominal
  calibrated.value = false
}
</script>

<template>
  <section aria-labelledby="grain-title" class="grid gap-3 border-t-2 border-ink pt-3">
    <h2 id="grain-title" class="text-2xl">Grain sizes, at true scale</h2>
    <p>
      {{
        calibrated
          ? 'This screen has been matched to a card, so a grain here is as large as a grain in the hand.'
          : 'This screen has not been matched yet: the sizes are only about right.'
      }}
    </p>
    <div class="flex flex-wrap gap-3">
      <figure v-for="g in words.grain_sizes" :key="g.name" class="grid gap-1">
        <svg :width="COLUMN" height="76" class="border-2 border-ink bg-leaf" aria-hidden="true">
          <path class="g-solid" :d="grains(drawn(g.from_mm, g.to_mm))" />
        </svg>
        <figcaption class="leading-tight">
          <b class="first-letter:uppercase inline-block">{{ g.name }}</b><br />{{
            g.to_mm > GRAVEL_MM ? `over ${g.from_mm} mm` : `${g.from_mm} to ${g.to_mm} mm`
          }}
        </figcaption>
      </figure>
    </div>
    <div v-if="matching" class="grid gap-3 border-y-2 border-ink py-3" data-matching>
      <p>
        Lay a bank card or identity card on the screen, at its left edge, and move the line until the frame is just as
        wide.
      </p>
      <div class="overflow-x-auto">
        <svg :width="CARD_MM * pxPerMm + 4" height="120" role="img" :aria-label="`A frame ${CARD_MM} mm wide`">
          <rect class="here" x="2" y="2" :width="CARD_MM * pxPerMm" height="116" rx="10" />
        </svg>
      </div>
      <div class="flex flex-wrap gap-2 items-center">
        <button type="button" class="button" aria-label="Narrower" @click="size -= 2">−</button>
        <label class="grow min-w-48 grid"
          ><span class="sr-only">Pixels a millimetre</span
          ><input v-model.number="size" type="range" min="200" max="900" class="w-full h-14 accent-[var(--ink)]"
        /></label>
        <button type="button" class="button" aria-label="Wider" @click="size += 2">+</button>
        <button type="button" class="button button-main" @click="done">It fits</button>
      </div>
    </div>
    <div v-else class="flex flex-wrap gap-2">
      <button type="button" class="button" @click="matching = true">Match this screen to a card</button>
      <button v-if="calibrated" type="button" class="button" @click="forget">Forget the match</button>
    </div>
  </section>
</template>
