<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { request, useWords, type Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import AgreementPlot from './AgreementPlot.vue'
import { keyOf } from './keys'
import MatrixTable from './MatrixTable.vue'
import ScoreLines from './ScoreLines.vue'
import { signed } from './usePractice'

// Several people on the same samples: each one's effect, every two beside one another, and each against the truth.
const props = defineProps<{ id: number }>()
type Line = Schemas['PracticeLine']
const words = useWords()
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['practice-session', props.id, 'comparison'],
    queryFn: async () => {
      const path = `/api/practice-sessions/${props.id}`
      const line = await request<Line>('GET', path)
      const key = keyOf(`set/${line.set_id}`) ?? keyOf(`session/${props.id}`)
      const found = await request<Schemas['PeopleCompared']>('GET', `${path}/comparison`, undefined, undefined, key)
      return { ...found, line }
    },
    staleTime: 0,
  })),
)
const chosen = ref(0)
const pair = computed(() => data.value?.pairs[chosen.value])
const most = computed(() => Math.max(...(data.value?.people.map(({ effect }) => Math.abs(effect ?? 0)) ?? []), 5))
const range = (interval: number[] | null | undefined) =>
  interval ? ` (95 % interval ${interval.map((k) => k.toFixed(2)).join(' to ')})` : ''
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      title="People compared"
      :line="data.line.set ?? ''"
      :back="keyOf(`set/${data.line.set_id}`) ? `/practice/sessions/${id}/keeper` : `/practice/sessions/${id}`"
      back-name="The session"
    />
    <main class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-8 content-start">
      <section aria-labelledby="effects-title" class="grid grid-cols-[minmax(0,1fr)] gap-2 max-w-3xl">
        <h2 id="effects-title" class="text-2xl border-b-2 border-ink pb-1">Who reads more clay, who less</h2>
        <p class="text-pencil">
          Mean over samples of a person’s clay less the mean of all who read the sample, points.
        </p>
        <ul class="grid gap-1" aria-label="Effect of each person">
          <li
            v-for="p in data.people"
            :key="p.name"
            class="grid grid-cols-[8rem_minmax(0,1fr)_4rem] gap-3 items-center"
          >
            <span class="truncate">{{ p.name }}</span>
            <svg viewBox="-100 0 200 18" preserveAspectRatio="none" class="w-full h-[18px]" aria-hidden="true">
              <path d="M-100 9H100" stroke="var(--rule)" />
              <rect
                :x="Math.min(0, ((p.effect ?? 0) / most) * 100)"
                y="3"
                :width="(Math.abs(p.effect ?? 0) / most) * 100"
                height="12"
                fill="var(--ochre)"
                stroke="var(--ink)"
                vector-effect="non-scaling-stroke"
              />
              <path d="M0 0V18" stroke="var(--ink)" stroke-width="2" vector-effect="non-scaling-stroke" />
            </svg>
            <b class="tabular-nums text-right">{{ p.effect === null ? '–' : signed(p.effect) }}</b>
          </li>
        </ul>
      </section>
      <section aria-labelledby="pairs-title" class="grid grid-cols-[minmax(0,1fr)] gap-3">
        <h2 id="pairs-title" class="text-2xl border-b-2 border-ink pb-1">Two people</h2>
        <p v-if="!data.pairs.length" class="text-pencil">No two people have closed the same sample yet.</p>
        <template v-else>
          <label class="grid gap-1 max-w-md">
            <span class="font-semibold">Which two</span>
            <select v-model="chosen" class="field">
              <option v-for="(p, i) in data.pairs" :key="i" :value="i">{{ p.one }} and {{ p.other }}</option>
            </select>
          </label>
          <div v-if="pair" class="grid desk:grid-cols-2 gap-x-10 gap-y-4 items-start">
            <div class="grid gap-2">
              <p>
                {{ pair.count }} common {{ pair.count === 1 ? 'sample' : 'samples' }}: the same class in
                {{ pair.exact }}, within one step in {{ pair.within_one }}.
              </p>
              <p v-if="pair.kappa !== null">
                Kappa {{ pair.kappa!.toFixed(2) }}{{ range(pair.interval) }}; weighted by steps
                {{ pair.weighted?.toFixed(2) }}.
              </p>
              <p v-else class="text-pencil">
                No kappa under {{ words.practice.kappa_least }} common samples, or where chance alone agrees.
              </p>
              <MatrixTable
                v-if="pair.codes.length"
                :codes="pair.codes"
                :rows="pair.rows"
                :down="pair.one"
                :across="pair.other"
              />
            </div>
            <div v-if="pair.clay" class="grid gap-2">
              <AgreementPlot :clay="pair.clay" :one="pair.one" :other="pair.other" />
              <p>
                {{ pair.one }} reads {{ Math.abs(pair.clay.bias) }} points
                {{ pair.clay.bias < 0 ? 'less' : 'more' }} clay than {{ pair.other }} (standard error
                {{ pair.clay.se_bias }}). 19 of 20 differences lie between {{ signed(pair.clay.limits[0]!) }} and
                {{ signed(pair.clay.limits[1]!) }} (± {{ pair.clay.se_limit }}).
                {{
                  pair.clay.gains_differ
                    ? `The difference changes by ${signed(pair.clay.slope!)} a point of clay: their gains differ.`
                    : ''
                }}
              </p>
            </div>
          </div>
        </template>
      </section>
      <section aria-labelledby="truth-title" class="grid grid-cols-[minmax(0,1fr)] gap-3">
        <h2 id="truth-title" class="text-2xl border-b-2 border-ink pb-1">Each against the truth</h2>
        <div class="grid desk:grid-cols-2 gap-x-10 gap-y-6 items-start">
          <div v-for="p in data.against_truth" :key="p.name" class="grid gap-3">
            <h3 class="text-xl">{{ p.name }}</h3>
            <ScoreLines v-if="p.scores.count" :scores="p.scores" />
            <p v-else class="text-pencil">Nothing closed.</p>
            <MatrixTable v-if="p.matrix" v-bind="p.matrix" down="the truth" :across="`what ${p.name} called`" />
            <p v-if="p.matrix && p.matrix.kappa !== null">
              Kappa {{ p.matrix.kappa!.toFixed(2) }}{{ range(p.matrix.interval) }}.
            </p>
          </div>
        </div>
      </section>
    </main>
  </div>
</template>
