<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { request, trianglesQuery, type Schemas } from '@/api'
import { linear } from '@/drawing/scale'
import TextureTriangle from '@/drawing/TextureTriangle.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { day } from '@/shared/dates'
import { regionPath } from './regions'

// Two to six readings from anywhere: their ribbons on one scale, their estimates in one triangle, and what differs.
type Item = Schemas['SideBySide']['items'][number]
const route = useRoute()
const router = useRouter()
const triangles = useQuery(trianglesQuery)
const ids = computed(() => String(route.query.readings ?? ''))
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['reading', 'side-by-side', ids.value],
    queryFn: () => request<Schemas['SideBySide']>('GET', `/api/side-by-side?readings=${encodeURIComponent(ids.value)}`),
    retry: false,
  })),
)
const items = computed(() => data.value?.items ?? [])
const naming = computed(() =>
  (triangles.data.value?.triangles.find(({ system }) => system === data.value?.system)?.classes ?? []).map(
    ({ polygon, ...one }) => ({
      ...one,
      system: data.value!.system,
      kind: 'region' as const,
      regions: [polygon],
      clay: null,
    }),
  ),
)
const MARKS = ['', '7 4', '2 3', '12 3 2 3', '1 5', '14 5']
const without = (id: number) =>
  router.replace({
    query: {
      readings: items.value
        .map((one) => one.id)
        .filter((one) => one !== id)
        .join(','),
    },
  })

const box = useTemplateRef('box')
const { width } = useElementSize(box)
const NAMES = 150
const ROW = 58
const end = computed(() =>
  Math.max(60, ...items.value.flatMap(({ ribbons, lengths_mm }) => [...lengths_mm, ribbons?.interval_mm?.[1] ?? 0])),
)
const x = computed(() => linear(0, end.value * 1.05, NAMES, Math.max(width.value - 12, NAMES + 60)))
const ticks = computed(() => Array.from({ length: Math.floor(end.value / 25) + 1 }, (_, i) => i * 25))
/** Whether there is no room for a word behind its interval. */
const full = ({ ribbons }: Item) => x.value(ribbons!.interval_mm![1]!) > width.value - 60
const clayOf = ({ clay, own_clay }: Item) =>
  [
    own_clay !== null && own_clay !== undefined ? `${own_clay} % by the hand` : '',
    clay ? `${clay.range[0]} to ${clay.range[1]} %` : '',
  ]
    .filter(Boolean)
    .join('; ') || 'not known'
const seenOf = (item: Item) => item.described as Record<string, string>
const ribbonsLabel = computed(() =>
  items.value
    .map(({ name, lengths_mm, ribbons }) =>
      ribbons?.mean_mm ? `${name}: ${lengths_mm.join(', ')} mm, mean ${ribbons.mean_mm}` : `${name}: no ribbon`,
    )
    .join('. '),
)
</script>

<template>
  <PageState v-if="!data && !error" :error="null" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Side by side" :line="items.map(({ name }) => name).join(', ')" />
    <main class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-6 content-start">
      <div v-if="error" class="grid gap-3 py-8 justify-items-center text-center">
        <p role="alert" class="text-2xl font-extrabold">{{ error.message }}</p>
        <p>Choose them in the list of quick readings, or with “Set beside” at a horizon.</p>
        <p class="flex gap-2">
          <RouterLink class="button" to="/readings">Quick readings</RouterLink>
          <button type="button" class="button" @click="refetch()">Try again</button>
        </p>
      </div>
      <template v-else-if="data">
        <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Answers side by side">
          <table class="border-collapse w-full table-fixed min-w-[34rem]">
            <thead>
              <tr class="border-b-2 border-ink text-left align-bottom">
                <td class="w-40"></td>
                <th v-for="(item, i) in items" :key="item.id" scope="col" class="pr-4 py-1">
                  <RouterLink :to="`/readings/${item.id}`" class="font-extrabold text-xl leading-tight">{{
                    item.name
                  }}</RouterLink>
                  <svg viewBox="0 0 60 8" width="60" class="my-1" aria-hidden="true">
                    <path d="M0 4h60" class="inked" style="stroke-width: 2.5" :stroke-dasharray="MARKS[i]" />
                  </svg>
                  <span class="block font-normal text-pencil text-base leading-tight"
                    >{{ item.place ?? 'of no site' }}<br />{{ day(item.started_at)
                    }}{{ item.textured_by ? `, ${item.textured_by}` : '' }}</span
                  >
                </th>
              </tr>
            </thead>
            <tbody>
              <tr class="border-b border-rule">
                <th scope="row" class="text-left pr-3 py-1">Class</th>
                <td v-for="item in items" :key="item.id" class="pr-4">
                  <b v-if="item.class">{{ item.class }}</b><span v-else class="text-pencil"
                    >none yet. {{ item.sentence }}</span
                  >
                </td>
              </tr>
              <tr class="border-b border-rule">
                <th scope="row" class="text-left pr-3 py-1">Clay (80 % interval)</th>
                <td v-for="item in items" :key="item.id" class="pr-4">{{ clayOf(item) }}</td>
              </tr>
              <tr class="border-b border-rule">
                <th scope="row" class="text-left pr-3 py-1">Colour, moist</th>
                <td v-for="item in items" :key="item.id" class="pr-4">
                  {{ seenOf(item).moist_colour ?? 'not recorded' }}
                </td>
              </tr>
              <tr v-for="a in data.answers" :key="a.test" class="border-b border-rule" :data-differ="a.differ">
                <th
                  scope="row"
                  class="text-left pr-3 py-1 first-letter:uppercase"
                  :class="a.differ ? '' : 'font-normal'"
                >
                  {{ a.name }}
                </th>
                <td
                  v-for="(said, i) in a.said"
                  :key="i"
                  class="pr-4"
                  :class="said === null ? 'text-pencil' : a.differ ? 'font-semibold' : ''"
                >
                  {{ said ?? 'not tested' }}
                </td>
              </tr>
              <tr class="print:hidden">
                <td></td>
                <td v-for="item in items" :key="item.id" class="pr-4 py-2">
                  <button v-if="items.length > 2" type="button" class="button button-desk" @click="without(item.id)">
                    Leave out<span class="sr-only"> {{ item.name }}</span>
                  </button>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <section aria-labelledby="differs-title" class="border-t-2 border-ink pt-2">
          <h2 id="differs-title" class="text-2xl">What differs</h2>
          <ul v-if="data.differences.length" class="grid gap-0.5">
            <li v-for="sentence in data.differences" :key="sentence" data-difference>{{ sentence }}</li>
          </ul>
          <p v-else>Nothing that their ribbons, their clay or their classes tell apart.</p>
        </section>
        <div class="grid desk:grid-cols-[minmax(0,1fr)_420px] gap-6">
          <section aria-labelledby="ribbons-title" class="border-t-2 border-ink pt-2 min-w-0">
            <h2 id="ribbons-title" class="text-2xl">Ribbons, mm, with their 90 % intervals</h2>
            <div ref="box" :style="{ height: `${items.length * ROW + 34}px` }">
              <svg
                v-if="width"
                :width="width"
                :height="items.length * ROW + 34"
                role="img"
                :aria-label="ribbonsLabel"
                class="max-w-full"
              >
                <g v-for="mm in ticks" :key="mm">
                  <path class="feint" :d="`M${x(mm)} 4V${items.length * ROW + 8}`" />
                  <text :x="x(mm)" :y="items.length * ROW + 28" text-anchor="middle" font-size="16" class="pencil">
                    {{ mm }}
                  </text>
                </g>
                <g v-for="(item, i) in items" :key="item.id" :transform="`translate(0 ${i * ROW + 8})`">
                  <text x="0" y="24" font-size="18" font-weight="700">
                    {{ item.name.length > 15 ? `${item.name.slice(0, 14)}…` : item.name }}
                  </text>
                  <template v-if="item.ribbons?.mean_mm">
                    <rect
                      class="wash"
                      :x="x(Math.max(item.ribbons.interval_mm![0]!, 0))"
                      y="2"
                      :width="x(item.ribbons.interval_mm![1]!) - x(Math.max(item.ribbons.interval_mm![0]!, 0))"
                      height="34"
                    />
                    <path
                      v-for="(mm, k) in item.lengths_mm"
                      :key="k"
                      :d="`M${x(mm)} 36v-22`"
                      style="stroke: var(--ink); stroke-width: 3"
                    />
                    <path :d="`M${x(item.ribbons.mean_mm) - 7} 0h14l-7 11z`" style="fill: var(--ink)" />
                    <text
                      :x="
                        full(item)
                          ? x(Math.max(item.ribbons.interval_mm![0]!, 0)) - 8
                          : x(item.ribbons.interval_mm![1]!) + 8
                      "
                      y="26"
                      font-size="17"
                      class="halo"
                      :text-anchor="full(item) ? 'end' : 'start'"
                    >
                      {{ Math.round(item.ribbons.mean_mm) }}
                    </text>
                  </template>
                  <text v-else :x="NAMES" y="24" font-size="17" class="pencil">no ribbon</text>
                  <path class="hair" :d="`M${NAMES} 36H${width}`" />
                </g>
              </svg>
            </div>
          </section>
          <section aria-labelledby="triangle-title" class="border-t-2 border-ink pt-2">
            <h2 id="triangle-title" class="text-2xl">Estimates, 80 %</h2>
            <TextureTriangle :classes="naming" :possible="[]" :width="400" axes codes>
              <template #default="{ frame }">
                <path
                  v-for="(item, i) in items.filter(({ estimate }) => estimate)"
                  :key="item.id"
                  :d="regionPath(frame, item.estimate!.region.runs)"
                  class="inked"
                  style="stroke-width: 2.5; fill: none"
                  :stroke-dasharray="MARKS[items.indexOf(item)]"
                  :data-region="i"
                />
              </template>
            </TextureTriangle>
          </section>
        </div>
      </template>
    </main>
  </div>
</template>
