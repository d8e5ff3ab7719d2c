<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { request, type Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import HandCurve from './HandCurve.vue'

// One person's hand: the curve that samples with a laboratory's clay teach, and how it fares beside the consensus.
const props = defineProps<{ id: number }>()
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['hand', props.id],
    queryFn: () => request<Schemas['Hand']>('GET', `/api/hands/${props.id}`),
  })),
)
const fits = computed(() => [
  ['Own curve', data.value!.own] as const,
  ['Consensus curve', data.value!.consensus] as const,
])
const points = (value: number | null) => (value === null ? '' : value.toFixed(1))
const signed = (value: number | null) =>
  value === null ? '' : value > 0 ? `+${points(value)}` : points(value).replace('-', '−')
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      :title="data.name"
      line="Ribbons beside a laboratory’s clay; nothing here changes a reading"
      back="/hands"
      back-name="Hands"
    />
    <main class="px-4 desk:px-6 py-4 grid gap-x-10 gap-y-6 desk:grid-cols-[3fr_2fr] content-start items-start">
      <div class="grid gap-4">
        <div class="grid gap-1" role="status">
          <p v-for="(s, i) in data.sentences" :key="s" :class="i ? '' : 'text-2xl font-semibold'">{{ s }}</p>
          <p v-if="data.closed" class="border-l-8 border-ochre pl-3" data-closed>
            Not enough for a curve of one’s own: {{ data.closed }}
          </p>
        </div>
        <HandCurve :hand="data" />
        <table v-if="data.pairs.length" class="w-full tabular-nums" aria-label="How the curves fare">
          <thead>
            <tr class="border-b-2 border-ink text-left">
              <th scope="col" class="py-1">On samples left out in turn</th>
              <th scope="col" class="text-right">RMSE</th>
              <th scope="col" class="text-right">Mean error</th>
              <th scope="col" class="text-right">In 80 %</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="[name, fit] in fits" :key="name" class="border-b border-rule">
              <th scope="row" class="py-1 text-left font-normal">{{ name }}</th>
              <td class="text-right">{{ points(fit.rmse) }}</td>
              <td class="text-right">{{ signed(fit.bias) }}</td>
              <td class="text-right">{{ fit.inside }} of {{ data.pairs.length }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="grid gap-6">
        <section v-if="data.pairs.length" aria-labelledby="pairs-title">
          <h2 id="pairs-title" class="text-2xl">Samples</h2>
          <table class="w-full tabular-nums">
            <thead>
              <tr class="border-b-2 border-ink text-left">
                <th scope="col" class="py-1">Sample</th>
                <th scope="col" class="text-right">Ribbon, mm</th>
                <th scope="col" class="text-right">Clay, %</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="p in data.pairs" :key="p.sample" class="border-b border-rule">
                <td class="py-1">
                  {{ p.said }}
                  <b v-if="!p.fits" class="text-iron">does not fit</b>
                </td>
                <td class="text-right">{{ p.length_mm }}</td>
                <td class="text-right">{{ p.clay.toFixed(1) }} ± {{ p.clay_sd.toFixed(1) }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section v-if="data.left_out.length" aria-labelledby="left-out-title">
          <h2 id="left-out-title" class="text-2xl">Left out</h2>
          <ul>
            <li v-for="p in data.left_out" :key="p.sample" class="border-b border-rule py-1">
              {{ p.said }}: <span class="text-pencil">{{ p.reason }}</span>
            </li>
          </ul>
        </section>
      </div>
    </main>
  </div>
</template>
