<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { readingQuery, useWords } from '@/api'
import { linear } from '@/drawing/scale'
import PageState from '@/shared/PageState.vue'
import { schoolsOf, type School } from './schools'
import { day } from '@/shared/dates'
import { useDepths } from '@/shared/useDepths'

// The fuller comparison behind the strip, made to be printed: the same observations, answered by every school.
const props = defineProps<{ id: number }>()
const { range } = useDepths()
const router = useRouter()
const words = useWords()
const query = useQuery({ ...readingQuery(props.id), staleTime: 0 })
const reading = computed(() => query.data.value)
const assessment = computed(() => reading.value!.assessment)
const main = computed(() => assessment.value.keys[0]!)
const schools = computed(() => schoolsOf(reading.value!))
const STANCE: Record<School['stance'], string> = {
  agree: '● agrees',
  one_off: '◐ one class away',
  two_off: '○ two or more classes away',
  group: 'names a group',
  asks: '',
}
const short = (test: string | null | undefined) => words.value.tests.find(({ name }) => name === test)?.short ?? ''
const x = linear(0, 80, 8, 552)
const title = computed(() => {
  const { horizon, profile, label } = reading.value!
  return horizon
    ? `${profile!.name}, ${horizon.designation}, ${range(horizon.upper_cm, horizon.lower_cm)}`
    : (label ?? 'Quick reading')
})
const facts = computed(() => {
  const { textured_by, recorded_by, started_at, ribbons } = reading.value!
  return [
    textured_by && `textured by ${textured_by}`,
    recorded_by && `recorded by ${recorded_by}`,
    day(started_at),
    ribbons.length && `ribbons ${ribbons.map(({ length_mm }) => Math.round(length_mm)).join(', ')} mm`,
    `rules ${assessment.value.rules_version}`,
  ]
    .filter(Boolean)
    .join('; ')
})
const details = (id: string) => assessment.value.keys.find(({ key }) => key === id)
const sources = computed(() => words.value.keys.map(({ name, source }) => `${name}: ${source}`))
const print = () => window.print()
const back = () => void router.push(`/readings/${props.id}`)
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key === 'Backspace' || event.key === 'Escape') back()
})
</script>

<template>
  <PageState v-if="!reading" :error="query.error.value" @retry="query.refetch()" />
  <main v-else class="max-w-[66rem] mx-auto p-4 desk:p-6 text-lg grid gap-5 print:p-0 print:gap-3">
    <div class="flex flex-wrap justify-between gap-3 print:hidden">
      <button type="button" class="button" @click="back"><span aria-hidden="true">‹</span> Back to the bench</button>
      <button type="button" class="button" @click="print">Print</button>
    </div>
    <header class="border-b-[2.5px] border-ink pb-3">
      <h1 class="text-[2.125rem] leading-tight">What other methods say</h1>
      <p class="text-xl font-semibold">{{ title }}</p>
      <p class="text-pencil">{{ facts }}</p>
    </header>

    <section aria-labelledby="main-title">
      <h2 id="main-title" class="text-2xl mb-1">By your key: {{ main.name }}</h2>
      <p class="text-xl font-extrabold first-letter:uppercase">{{ main.sentence }}</p>
      <p v-if="reading.assigned">
        Assigned: <b>{{ reading.assigned.name }}</b>{{
          reading.assigned.override ? `, not the key's class. ${reading.assigned.reason}` : ''
        }}
      </p>
      <p class="text-pencil">{{ main.path.map(({ text }) => text).join(', ') || 'nothing answered yet' }}</p>
    </section>

    <section aria-labelledby="keys-title" class="overflow-x-auto print:overflow-visible">
      <h2 id="keys-title" class="text-2xl mb-1">The class, by the same answers</h2>
      <table class="w-full leading-tight">
        <thead class="max-desk:not-print:sr-only">
          <tr class="text-left border-b-2 border-ink">
            <th scope="col" class="py-1.5 pr-3">Method</th>
            <th scope="col" class="pr-3">Says</th>
            <th scope="col" class="pr-3">Beside yours</th>
            <th scope="col">Against it</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="s in schools"
            :key="`${s.kind}-${s.id}`"
            class="border-b border-feint align-top max-desk:not-print:grid max-desk:not-print:py-1.5"
            :data-school="s.id"
          >
            <th scope="row" class="text-left font-semibold desk:py-1.5 print:py-1 pr-3">
              {{ s.name
              }}<span v-if="s.kind !== 'key'" class="font-normal text-pencil"
                >, {{ s.kind === 'limits' ? 'limits of the flow key' : 'triangle' }}</span
              >
            </th>
            <td class="pr-3 desk:py-1.5 print:py-1">
              <span v-if="s.says" class="first-letter:uppercase inline-block">{{ s.says }}</span><span
                v-else
                class="text-pencil"
                >still needs: {{ short(s.asks) }}</span
              >
            </td>
            <td class="pr-3 desk:py-1.5 print:py-1 whitespace-nowrap">{{ STANCE[s.stance] }}</td>
            <td class="desk:py-1.5 print:py-1 text-pencil">
              {{ details(s.id)?.disagreeing_tests.map(short).join(', ')
              }}<span
                v-for="n in details(s.id)?.notes.filter(({ rule }) => rule === 'not_this_schools_ribbon') ?? []"
                :key="n.rule"
                class="block"
                >{{ n.sentence }}</span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </section>

    <section v-if="assessment.curves.length" aria-labelledby="curves-title">
      <h2 id="curves-title" class="text-2xl mb-1">Clay, by this ribbon</h2>
      <p class="text-pencil">
        {{ Math.round(assessment.curve_spread!) }} points apart for one ribbon of
        {{ Math.round(assessment.ribbon_set!.mean_mm!) }} mm.
      </p>
      <table class="w-full leading-tight">
        <tbody>
          <tr v-for="c in assessment.curves" :key="c.curve" class="border-b border-feint">
            <th scope="row" class="text-left font-semibold py-1 pr-3 whitespace-nowrap">{{ c.name }}</th>
            <td class="w-full max-desk:not-print:hidden">
              <svg viewBox="0 0 560 22" class="w-full block" aria-hidden="true">
                <path class="hair" d="M8 11H552" />
                <path v-for="t in [0, 20, 40, 60, 80]" :key="t" class="hair" :d="`M${x(t)} 6v10`" />
                <circle :cx="x(c.clay_percent)" cy="11" r="8" style="fill: var(--ink)" />
              </svg>
            </td>
            <td class="text-right whitespace-nowrap pl-3 font-semibold">{{ Math.round(c.clay_percent) }} %</td>
          </tr>
        </tbody>
      </table>
    </section>

    <section
      v-if="assessment.reworked || assessment.contradictions.length || assessment.rules_of_thumb.length"
      aria-labelledby="checks-title"
    >
      <h2 id="checks-title" class="text-2xl mb-1">Cross-checks</h2>
      <ul class="grid gap-1">
        <li v-if="assessment.reworked" class="border-l-8 border-iron bg-warn px-3 py-1">
          {{ assessment.reworked.sentence }}
        </li>
        <li v-for="c in assessment.contradictions" :key="c.rule" class="border-l-8 border-iron bg-warn px-3 py-1">
          {{ c.sentence }}<template v-if="c.kept"> Both kept: {{ c.kept }}</template>
        </li>
        <li v-for="r in assessment.rules_of_thumb" :key="r.rule">{{ r.sentence }}</li>
      </ul>
    </section>

    <section aria-labelledby="sources-title" class="print:break-inside-avoid text-pencil text-base leading-snug">
      <h2 id="sources-title" class="text-lg text-ink">Where this comes from</h2>
      <p>
        Names are compared by the part of the triangle they stand for, not as words: they agree where at least half of
        the smaller one overlaps. Field grades are grades of behaviour; Australian laboratories part silt from sand at
        20 µm, so their sand and silt do not compare with the other systems. Hand texture is an estimate.
      </p>
      <ul class="mt-1">
        <li v-for="s in sources" :key="s">{{ s }}</li>
      </ul>
    </section>
  </main>
</template>
