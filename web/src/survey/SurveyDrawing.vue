<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Schemas } from '@/api'

// The map's units around a profile, drawn to scale; no tiles from elsewhere.
const props = defineProps<{ found: Schemas['SurveyFound'] }>()
const SIZE = 320
const clip = useId()
const scale = computed(() => SIZE / 2 / props.found.around_m)
const path = (rings: number[][][]) =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${at(x!).toFixed(1)} ${at(-y!).toFixed(1)}`).join('L')}Z`).join('')
const at = (metres: number) => SIZE / 2 + metres * scale.value
/** A round number of metres for the bar: about a third of the width. */
const bar = computed(() => {
  const most = props.found.around_m * 0.7
  const power = 10 ** Math.floor(Math.log10(most))
  return [5, 2, 1].map((step) => step * power).find((metres) => metres <= most)!
})
const seen = computed(() => props.found.units.filter(({ rings }) => rings.length))
</script>

<template>
  <figure class="grid gap-1 max-w-sm">
    <svg
      :viewBox="`0 0 ${SIZE} ${SIZE}`"
      class="w-full border-2 border-ink bg-leaf"
      role="img"
      :aria-label="`Units of the map about the profile: ${seen
        .filter(({ here, near }) => here || near)
        .map(({ name }) => name)
        .join(', ')}`"
    >
      <clipPath :id="clip"><rect :width="SIZE" :height="SIZE" /></clipPath>
      <g :clip-path="`url(#${clip})`">
        <path
          v-for="(u, i) in seen"
          :key="i"
          :d="path(u.rings)"
          fill-rule="evenodd"
          :fill="u.here ? 'var(--lit)' : u.near ? 'var(--ochre)' : 'none'"
          :fill-opacity="u.here ? 1 : 0.3"
          stroke="var(--ink)"
          stroke-width="1.5"
        />
      </g>
      <path
        :d="`M${SIZE / 2 - 9} ${SIZE / 2}h18M${SIZE / 2} ${SIZE / 2 - 9}v18`"
        stroke="var(--ink)"
        stroke-width="3"
      />
      <path :d="`M12 ${SIZE - 14}h${bar * scale}`" stroke="var(--ink)" stroke-width="4" />
      <text x="12" :y="SIZE - 22" font-size="15" fill="var(--ink)">{{ bar }} m</text>
      <text :x="SIZE - 12" y="22" font-size="15" text-anchor="end" fill="var(--ink)">N ↑</text>
    </svg>
    <figcaption class="text-base text-pencil leading-snug">
      Cross: the profile. Filled: {{ seen.find(({ here }) => here)?.name
      }}{{ seen.some(({ near }) => near) ? '; pale: a unit whose line is near' : '' }}.
    </figcaption>
  </figure>
</template>
