<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useRouter } from 'vue-router'
import { queryClient, request, type Schemas } from '@/api'
import { usePractiser } from '@/practice/keys'
import { signed } from '@/practice/usePractice'
import ControlChart from '@/drawing/ControlChart.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { useAttempt } from '@/shared/useAttempt'
import TextField from '@/shared/TextField.vue'

// Samples that are read twice during a survey: which wait, what the two said, and whether the hands keep together.
type Doubles = Schemas['Doubles']
const router = useRouter()
const KEY = ['double-readings']
const { data, error, refetch } = useQuery({
  queryKey: KEY,
  queryFn: () => request<Doubles>('GET', '/api/double-readings'),
  staleTime: 0,
})
const name = usePractiser()
const { trouble, attempt: tried } = useAttempt()
const put = async (found: Promise<Doubles>) => queryClient.setQueryData(KEY, await found)
const draw = (drawn: boolean) => tried(() => put(request<Doubles>('PUT', '/api/double-readings', { drawn })))
const decline = (id: number) => tried(() => put(request<Doubles>('POST', `/api/double-readings/${id}/decline`, {})))
const begin = (id: number) =>
  tried(async () => {
    const body = { name: name.value }
    const { reading_id: reading } = await request<{ reading_id: number }>(
      'POST',
      `/api/double-readings/${id}/begin`,
      body,
    )
    await router.push(`/readings/${reading}`)
  })
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Double readings" line="The same soil by two hands, the second not knowing of the first">
      <RouterLink to="/practice" class="button button-desk">Practice</RouterLink>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-8 content-start">
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
      <section aria-label="Whether samples are drawn" class="border-2 border-ink p-3 flex flex-wrap gap-3 items-center">
        <p class="grow basis-72 leading-snug">
          <b>{{ data.drawn ? 'Samples are drawn.' : 'No sample is drawn.' }}</b> Of closed readings in profiles,
          {{ data.shares.other }} % for another person and {{ data.shares.self }} % for the same again, one a day at
          least; nobody knows beforehand.
        </p>
        <button type="button" class="button" :class="data.drawn ? '' : 'button-main'" @click="draw(!data.drawn)">
          {{ data.drawn ? 'Draw no more' : 'Draw from now on' }}
        </button>
      </section>
      <section aria-labelledby="waiting-title" class="grid gap-3">
        <h2 id="waiting-title" class="text-2xl border-b-2 border-ink pb-1">To be read again</h2>
        <p v-if="!data.waiting.length" class="text-pencil">None waits.</p>
        <template v-else>
          <TextField v-model="name" label="Who reads" class="max-w-md" />
          <ul class="grid" aria-label="Waiting">
            <li
              v-for="w in data.waiting"
              :key="w.id"
              class="border-b border-rule py-1 flex flex-wrap items-center gap-x-4 gap-y-1"
            >
              <span class="grow"
                ><b>{{ w.sample }}</b
                >{{ w.place ? `, ${w.place}` : '' }}: {{ w.says
                }}{{ w.first_by ? `; first read by ${w.first_by}` : '' }}</span
              >
              <span class="flex gap-2"
                ><button type="button" class="button button-desk" :disabled="!name.trim()" @click="begin(w.id)">
                  {{ w.reading_id ? 'Go on' : 'Read it' }}<span class="sr-only"> again: {{ w.sample }}</span></button
                ><button v-if="!w.reading_id" type="button" class="button button-desk" @click="decline(w.id)">
                  Not possible<span class="sr-only">: {{ w.sample }}</span>
                </button></span
              >
            </li>
          </ul>
        </template>
      </section>
      <section aria-labelledby="charts-title" class="grid gap-3">
        <h2 id="charts-title" class="text-2xl border-b-2 border-ink pb-1">Do the hands keep together?</h2>
        <p class="font-semibold" data-asked>{{ data.charts.sentence }}</p>
        <p>
          Within one step: {{ data.charts.within }} of {{ data.charts.steps }}.
          <span class="text-pencil"
            >Batches of {{ data.charts.batch }} are held against those before from {{ data.charts.from }} on.</span
          >
        </p>
        <ol v-if="data.charts.batches.length" class="flex flex-wrap gap-2" aria-label="Batches">
          <li
            v-for="(b, i) in data.charts.batches"
            :key="i"
            class="border-2 px-3 py-1 tabular-nums"
            :class="b.signal ? 'border-iron bg-warn font-bold' : 'border-ink'"
          >
            {{ b.within }} of {{ b.count
            }}<span v-if="b.limit !== null" class="text-pencil">, signal at {{ b.limit }}</span>
          </li>
        </ol>
        <ControlChart
          v-if="data.charts.limits && data.charts.clay.length > 1"
          :values="data.charts.clay"
          :low="data.charts.limits.low"
          :high="data.charts.limits.high"
          :middle="data.charts.limits.mean"
          :beyond="data.charts.limits.outside"
          :least="5"
          :label="`Differences of clay, limits ${data.charts.limits.low} to ${data.charts.limits.high} points`"
          axis="Second less first, points of clay, in their order"
        />
      </section>
      <section v-if="data.done.length" aria-labelledby="done-title" class="grid gap-2">
        <h2 id="done-title" class="text-2xl border-b-2 border-ink pb-1">Read twice</h2>
        <ul class="grid" aria-label="Read twice">
          <li v-for="d in data.done" :key="d.id" class="border-b border-rule py-1">
            <b>{{ d.sample }}</b>: {{ d.first.by ?? 'somebody' }} {{ d.first.named }}, {{ d.second.by }}
            {{ d.second.named
            }}<span class="text-pencil"
              >{{ d.steps === null ? '' : d.steps === 1 ? '; 1 step apart' : `; ${d.steps} steps apart`
              }}{{ d.clay === null ? '' : `; clay ${signed(d.clay)}` }}</span
            >
          </li>
        </ul>
      </section>
    </main>
  </div>
</template>
