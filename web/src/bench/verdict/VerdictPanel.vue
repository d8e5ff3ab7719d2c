<script setup lang="ts">
import { mainKey } from '@/api'
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import { fillOf } from '@/drawing/grain'
import TextureTriangle from '@/drawing/TextureTriangle.vue'
import SchoolStrip from '@/schools/SchoolStrip.vue'
import ContradictionNotes from './ContradictionNotes.vue'
import EstimateBars from './EstimateBars.vue'
import SetScale from '@/bench/ribbon/SetScale.vue'
import { useNaming } from '@/bench/useNaming'
import { useBench } from '@/bench/useReading'
import WhatNext from './WhatNext.vue'
import KeyNotes from './KeyNotes.vue'
import OwnHandLine from './OwnHandLine.vue'

// The verdict so far, alive from the first answer: what is still possible and why, how near a limit, and beside the key
// the estimate from everything that was felt.
const props = defineProps<{ step: string }>()
const bench = useBench()
const { nameOf, named, names, lines, short } = useNaming()
const phone = useMediaQuery('(max-width: 720px)')
const reading = computed(() => bench.reading.value!)
const key = computed(() => mainKey(reading.value))
const evidence = computed(() => reading.value.assessment.evidence!)
const assignedHere = computed(() =>
  reading.value.assigned?.system === key.value.system ? reading.value.assigned.code : null,
)
const headline = computed(() => {
  const [first, second] = key.value.outcomes
  if (!first)
    return key.value.possible.length <= 3
      ? key.value.possible.map(nameOf).join(', ')
      : `${key.value.possible.length} classes possible`
  return second ? `${nameOf(first.code)} or ${nameOf(second.code)}` : nameOf(first.code)
})
const showSet = computed(() => props.step !== 'ribbon' && reading.value.assessment.ribbon_set?.mean_mm !== undefined)
</script>

<template>
  <section aria-label="Verdict so far" class="flex flex-col gap-2 *:shrink-0" :data-estimating="bench.estimating.value">
    <div class="grid grid-cols-[minmax(0,1fr)_156px] gap-2 items-start">
      <div data-by-key>
        <h2 class="text-2xl leading-[1.1] first-letter:uppercase hyphens-auto">{{ headline }}</h2>
        <p class="text-pencil leading-tight">
          {{
            key.on_the_limit ? 'on the limit' : key.outcomes.length ? 'by the key' : `next: ${short(key.next_question)}`
          }}
        </p>
      </div>
      <TextureTriangle
        :classes="names"
        :lines="lines"
        :possible="key.possible"
        :outcomes="key.outcomes.map(({ code }) => code)"
        :assigned="assignedHere"
        :region="evidence.felt ? evidence.region : undefined"
        :width="156"
      />
    </div>
    <ContradictionNotes />
    <div v-if="evidence.felt" class="leading-tight estimate-part" data-evidence>
      <p>
        <svg width="22" height="10" class="inline mr-1" aria-hidden="true">
          <rect class="estimate" width="22" height="10" rx="5" /></svg
        ><b>Estimate:</b> {{ evidence.sentence
        }}<template v-if="evidence.system === 'usda' && key.system === 'australia'"> In USDA classes.</template>
      </p>
      <p
        v-if="evidence.beside_key && evidence.beside_key.agreement !== 'agree'"
        class="text-pencil"
        :data-beside="evidence.beside_key.rule ?? evidence.beside_key.agreement"
      >
        {{ evidence.beside_key.sentence }}
      </p>
      <OwnHandLine v-if="reading.own_hand" :hand="reading.own_hand" />
      <p v-if="evidence.widened" class="text-pencil" data-widened>Wider uncertainty, because of what you ticked.</p>
    </div>
    <WhatNext v-if="phone" :most="3" />
    <EstimateBars v-if="evidence.felt" :evidence="evidence" :most="4" class="estimate-part" />
    <ul v-if="key.outcomes.length > 1" class="grid gap-1.5 border-t-[1.5px] border-ink pt-2" aria-label="By the key">
      <li v-for="o in key.outcomes" :key="o.code" class="grid grid-cols-[1fr_auto] items-end leading-none">
        <span>{{ nameOf(o.code) }}</span><b>{{ o.percent }} %</b>
        <svg class="col-span-2 w-full mt-1" height="14" aria-hidden="true">
          <rect class="ground" :width="`${o.percent}%`" height="14" />
          <rect :width="`${o.percent}%`" height="14" :fill="fillOf(named(o.code), true)" />
          <rect class="inked" x="1" y="1" :width="`calc(${o.percent}% - 2px)`" height="12" style="stroke-width: 1.5" />
        </svg>
      </li>
    </ul>
    <p v-else-if="!key.outcomes.length && key.possible.length > 3 && key.possible.length < 10" class="leading-tight">
      {{ key.possible.map(nameOf).join(', ') }}
    </p>
    <SchoolStrip :reading="reading" :short="short" class="border-y-[1.5px] border-ink pb-2" />
    <KeyNotes :notes="key.notes" />
    <ol v-if="key.path.length" class="border-t-[1.5px] border-ink pt-2 leading-tight" aria-label="Path of the key">
      <li v-for="p in key.path" :key="p.question" class="flex gap-2">
        <span aria-hidden="true">›</span
        ><span
          >{{ p.text }}<span v-if="p.from" class="text-pencil">, from {{ p.from.replaceAll('_', ' ') }}</span></span
        >
      </li>
    </ol>
    <SetScale v-if="showSet" :reading="reading" :unit="bench.unit.value" class="border-t-[1.5px] border-ink pt-2" />
  </section>
</template>
