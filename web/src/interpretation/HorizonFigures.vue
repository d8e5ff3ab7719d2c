<script setup lang="ts">
import { ChevronDown } from '@lucide/vue'
import { figures, type Figure, type Layer } from './useInterpretation'

// What follows from one horizon's texture, line by line: how surely, within what, and how it was computed behind it.
defineProps<{ layer: Layer }>()
const said = (one: Figure) =>
  one.p50 === null || one.p50 === undefined
    ? (one.problem ?? '')
    : `${figures(one.p50)} ${one.unit ?? ''} (${figures(one.p10)} to ${figures(one.p90)})`
const claim = (one: Figure) => (one.claim && one.p50 === undefined && one.unit ? `${one.claim} ${one.unit}` : one.claim)
const OFF: Record<string, string> = {
  no: 'one class away: no matter',
  'a little': 'one class away: a little',
  yes: 'one class away: it matters',
  open: 'one class away: open',
}
</script>

<template>
  <div class="grid" :data-figures="layer.designation">
    <p v-if="!layer.figures.length" class="py-2">{{ layer.designation }} has no texture yet.</p>
    <details v-for="one in layer.figures" :key="one.id" class="group border-b border-rule" :data-figure="one.id">
      <summary class="figure-line">
        <b>{{ one.label }}</b>
        <span class="max-desk:col-span-2"
          ><span class="first-letter:uppercase inline-block">{{ claim(one) }}</span
          ><span v-if="said(one)" class="text-pencil"
            ><template v-if="one.claim">: </template>{{ said(one) }}</span
          ></span
        >
        <span
          class="max-desk:col-span-2 text-pencil"
          :class="one.one_class_off.verdict === 'yes' ? '!text-iron font-semibold' : ''"
          >{{ OFF[one.one_class_off.verdict] }}</span
        >
        <ChevronDown
          :size="22"
          class="max-desk:row-start-1 max-desk:col-start-2 group-open:rotate-180"
          aria-hidden="true"
        />
      </summary>
      <div class="pb-3 grid desk:grid-cols-2 gap-x-6 gap-y-2 leading-snug">
        <ul class="grid gap-1" aria-label="How likely each is">
          <li v-for="c in one.categories" :key="c.name" class="grid grid-cols-[1fr_auto] gap-x-2">
            <span>{{ c.name }}</span><span>{{ c.percent }} %</span>
            <svg class="col-span-2 w-full" height="8" aria-hidden="true">
              <rect class="estimate" :width="`${c.percent}%`" height="8" rx="4" />
            </svg>
          </li>
        </ul>
        <div class="grid gap-1 content-start">
          <p v-for="m in one.measured" :key="m" class="font-semibold" data-measured>{{ m }}</p>
          <p v-if="one.says">{{ one.says }}</p>
          <p>
            By class:
            {{
              Object.entries(one.one_class_off.classes)
                .map(([code, category]) => `${code} ${category ?? 'open'}`)
                .join(', ')
            }}.
          </p>
          <p class="text-pencil">
            {{ one.source }}. The range is the texture's 80 % interval<template v-if="one.id === 'ksat'"
              >, with the equation's own error</template
            >; organic matter {{ figures(layer.organic_matter.percent) }} %{{
              layer.organic_matter.assumed ? ', assumed' : ''
            }}.
          </p>
        </div>
      </div>
    </details>
  </div>
</template>
