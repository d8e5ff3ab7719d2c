<script setup lang="ts">
import { mainKey } from '@/api'
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import { fillOf } from '@/drawing/grain'
import TextureTriangle from '@/drawing/TextureTriangle.vue'
import CautionNote from '@/shared/CautionNote.vue'
import AssignActions from './AssignActions.vue'
import OwnHandLine from '@/bench/verdict/OwnHandLine.vue'
import EstimateBars from '@/bench/verdict/EstimateBars.vue'
import SetScale from '@/bench/ribbon/SetScale.vue'
import { useAnswers } from '@/bench/useAnswers'
import { useNaming } from '@/bench/useNaming'
import { useBench } from '@/bench/useReading'

// The key proposes, the person decides. Solid ink is what was assigned; dashed is what the key says.
const bench = useBench()
const reading = computed(() => bench.reading.value!)
const key = computed(() => mainKey(reading.value))
const { key: leading, nameOf, clayOf, named, names, lines, short } = useNaming()
// A class given by another key stands for itself; it has no place among this one's.
const assignedHere = computed(() =>
  reading.value.assigned?.system === key.value.system ? reading.value.assigned.code : null,
)
const AGREEMENT: Record<string, string> = {
  agree: 'it agrees',
  one_off: 'one class away',
  two_off: 'two or more classes away',
}
const expected = computed(() => reading.value.expected)
const percent = (weight: number) => Math.round(weight * 100)
const phone = useMediaQuery('(max-width: 720px)')
const evidence = computed(() => reading.value.assessment.evidence!)
const given = computed(() => reading.value.assigned?.estimate)
const behaviour = computed(() => names.value[0]?.kind === 'grade')
const { test } = useAnswers()
// What misleads the hand, in the words of the test that is ticked for it.
const blind = computed(() =>
  test('blind_spots')
    .answers.map(({ name }) => name.toLowerCase())
    .join(', '),
)
type Parts = { sand: number; silt: number; clay: number }
const parts = ({ sand, silt, clay }: Parts, range: number[]) =>
  `sand ${Math.round(sand)}, silt ${Math.round(silt)}, clay ${Math.round(clay)} %; ` +
  `clay ${range[0]} to ${range[1]} % (80 % interval)`
</script>

<template>
  <div
    class="grid gap-4 content-start desk:grid-cols-[minmax(0,1fr)_376px] desk:gap-5"
    :data-estimating="bench.estimating.value"
  >
    <div class="grid gap-2 content-start">
      <p v-if="reading.assigned" class="grid gap-1" data-assigned>
        <span class="text-pencil leading-tight">{{
          bench.foreign.value ? `${reading.textured_by ?? 'Somebody'} assigned` : 'You assigned'
        }}</span>
        <span class="text-4xl font-extrabold leading-none first-letter:uppercase">{{
          reading.assigned.full_name
        }}</span>
        <span v-if="reading.assigned.full_name !== reading.assigned.name" class="text-pencil leading-tight"
          >Class: {{ reading.assigned.name }}</span
        >
        <span v-if="reading.assigned.override" class="border-l-8 border-iron bg-warn px-3 py-1.5 leading-tight"
          >Not the key's class. {{ reading.assigned.reason }}</span
        >
        <span v-if="expected && !expected.hidden" class="leading-tight" data-expected
          >You expected {{ expected.name }}: {{ AGREEMENT[expected.agreement ?? ''] }}.</span
        >
      </p>
      <h1 class="leading-tight" :class="reading.assigned ? 'text-2xl' : 'text-[2.125rem]'">
        {{ key.outcomes.length ? (key.on_the_limit ? 'On the limit' : 'The key says') : 'The key is not at its end' }}
      </h1>
      <ul v-if="key.outcomes.length" class="grid gap-2 border-t-2 border-ink pt-2">
        <li
          v-for="o in key.outcomes"
          :key="o.code"
          class="grid grid-cols-[1fr_auto] gap-x-3 items-center leading-tight"
        >
          <span class="text-2xl font-extrabold first-letter:uppercase"
            >{{ nameOf(o.code)
            }}<span v-if="clayOf(o.code)" class="block text-xl font-normal text-pencil">{{
              clayOf(o.code)
            }}</span></span
          ><b class="text-right text-2xl whitespace-nowrap">{{ key.outcomes.length > 1 ? `${o.percent} %` : '' }}</b>
          <svg class="col-span-2 w-full mt-1" height="20" aria-hidden="true">
            <rect class="ground" :width="`${o.percent}%`" height="20" />
            <rect :width="`${o.percent}%`" height="20" :fill="fillOf(named(o.code))" />
            <rect class="inked" x="1" y="1" :width="`calc(${o.percent}% - 2px)`" height="18" />
          </svg>
        </li>
      </ul>
      <p v-else class="border-t-2 border-ink pt-2">
        Still possible: {{ key.possible.map(nameOf).join(', ') }}. The key asks for {{ short(key.next_question) }}; or
        give the class yourself with a reason.
      </p>
      <AssignActions v-if="phone" />
      <p class="border-t-2 border-ink pt-2 leading-snug">
        <span class="font-semibold">{{ leading.name }}:</span>
        {{ key.path.map(({ text }) => text).join(', ') || 'nothing answered yet' }}.
      </p>
      <p v-if="behaviour" class="text-pencil leading-snug">
        A grade of behaviour, not a region of a triangle. Australian laboratories part silt from sand at 20 µm: their
        sand and silt do not compare with the 50 µm systems.
      </p>
      <section
        v-if="evidence.felt"
        aria-labelledby="estimate-title"
        class="border-t-2 border-ink pt-2 grid gap-1.5 estimate-part"
      >
        <h2 id="estimate-title" class="text-2xl leading-tight">
          The estimate<span v-if="behaviour" class="font-normal text-pencil text-xl">, in USDA classes</span>
        </h2>
        <EstimateBars :evidence="evidence" :most="3" />
        <p class="leading-tight text-lg">{{ parts(evidence.mean, evidence.clay_range) }}</p>
        <p v-if="given" class="leading-tight text-lg" data-given>
          {{
            given.uniform
              ? `By the class alone, for the estimate gave it ${percent(given.probability)} %:`
              : `Given ${reading.assigned!.name}:`
          }}
          {{ parts(given.mean, given.clay_range) }}
        </p>
        <OwnHandLine v-if="reading.own_hand" :hand="reading.own_hand" />
        <p v-if="evidence.beside_key" class="leading-tight text-lg text-pencil" data-beside>
          {{ evidence.beside_key.sentence }}
        </p>
      </section>
    </div>
    <figure class="grid gap-2 content-start">
      <TextureTriangle
        :classes="names"
        :lines="lines"
        :possible="key.possible"
        :outcomes="key.outcomes.map(({ code }) => code)"
        :assigned="assignedHere"
        :region="evidence.felt ? evidence.region : undefined"
        :width="phone ? 366 : 376"
        axes
        names
      />
      <figcaption class="leading-tight text-pencil flex flex-wrap gap-x-4">
        <span
          ><svg width="34" height="8" class="inline align-middle" aria-hidden="true">
            <path d="M0 4h34" class="key-region" />
          </svg>
          the key</span
        ><span v-if="reading.assigned"
          ><svg width="34" height="8" class="inline align-middle" aria-hidden="true">
            <path d="M0 4h34" class="assigned-region" />
          </svg>
          assigned</span
        ><span v-if="evidence.felt"
          ><svg width="34" height="12" class="inline align-middle" aria-hidden="true">
            <rect class="estimate" width="34" height="12" rx="6" />
          </svg>
          the estimate, 80 %</span
        >
      </figcaption>
      <SetScale
        v-if="reading.assessment.ribbon_set?.mean_mm !== undefined"
        :reading="reading"
        :unit="bench.unit.value"
        class="border-t-2 border-ink pt-2 mt-1 [&>svg]:max-w-[20rem]"
      />
      <CautionNote name="results" />
      <p v-if="evidence.felt" class="text-lg leading-tight text-pencil" data-limits>
        Limits of this estimate: a model's,
        {{ reading.own_hand ? 'fitted to one hand’s known samples' : 'fitted to no laboratory yet' }}. It is blind to
        what is {{ blind }}.
        <button type="button" class="min-h-14 underline underline-offset-4" @click="bench.goTo('more', 'blind_spots')">
          Tick what applies
        </button>
      </p>
    </figure>
  </div>
</template>
