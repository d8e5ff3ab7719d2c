<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useElementSize, useWindowSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { request, sitesQuery, useProfile, type Profile } from '@/api'
import ProfileColumn from '@/drawing/ProfileColumn.vue'
import { linear } from '@/drawing/scale'
import { useDepths } from '@/shared/useDepths'
import PageState from '@/shared/PageState.vue'

// Two profiles on one depth scale, and what differs between them, depth by depth.
const route = useRoute()
const router = useRouter()
const sites = useQuery(sitesQuery(1))
const listed = computed(() =>
  (sites.data.value?.sites ?? []).flatMap((site) => site.profiles.filter(({ horizons }) => horizons.length)),
)
const leftId = computed(() => Number(route.query.left) || listed.value[0]?.id || 0)
const rightId = computed(() => Number(route.query.right) || listed.value.find(({ id }) => id !== leftId.value)?.id || 0)
const left = useProfile(leftId)
const right = useProfile(rightId)
// One that was asked for may be further down a long site than the list goes.
const all = computed(() => [
  ...listed.value,
  ...[left.data.value, right.data.value].filter(
    (one): one is Profile => !!one && !listed.value.some(({ id }) => id === one.id),
  ),
])
const beside = useQuery(
  computed(() => ({
    queryKey: ['profile', 'beside', leftId.value, rightId.value],
    queryFn: () =>
      request<{ differences: { upper_cm: number; lower_cm: number; sentence: string }[] }>(
        'GET',
        `/api/profiles/${leftId.value}/beside/${rightId.value}`,
      ),
    enabled: leftId.value > 0 && rightId.value > 0,
  })),
)
const choose = (side: 'left' | 'right', id: string) =>
  router.replace({ query: { left: String(leftId.value), right: String(rightId.value), [side]: id } })

const { unit, show, ticks } = useDepths()
const box = useTemplateRef('box')
const { width } = useElementSize(box)
const { height: windowHeight } = useWindowSize()
const phone = computed(() => width.value < 620)
const pair = computed(() => [left.data.value, right.data.value].filter((one): one is Profile => !!one))
const depth = computed(() =>
  Math.max(...pair.value.flatMap(({ horizons }) => horizons.map(({ lower_cm }) => lower_cm)), 50),
)
const height = computed(() => Math.max(windowHeight.value - 330, 380))
const y = computed(() => linear(0, depth.value, 34, height.value - 14))
const TAPE = 46
const each = computed(() => (width.value - TAPE) / 2)
const column = computed(() => (phone.value ? 52 : 120))
const x = (side: number) => TAPE + side * each.value
const nameOf = (p: Profile, i: number) => p.horizons[i]!.named?.full_name ?? 'not textured'
const shortOf = (p: Profile, i: number) =>
  phone.value && p.horizons[i]!.named ? p.horizons[i]!.named!.full_code : nameOf(p, i)
const words = (p: Profile) => {
  let lowest = 0
  return p.horizons.map(
    (h) =>
      (lowest = Math.max(
        y.value((h.upper_cm + h.lower_cm) / 2) - (phone.value ? 6 : 0),
        lowest + (phone.value ? 34 : 40),
      )),
  )
}
const layer = (p: Profile, i: number) => {
  const { designation, upper_cm, lower_cm } = p.horizons[i]!
  return `${designation} ${upper_cm} to ${lower_cm} cm, ${nameOf(p, i)}`
}
const label = computed(() =>
  pair.value.map((p) => `${p.name}: ${p.horizons.map((_, i) => layer(p, i)).join('; ')}`).join('. '),
)
</script>

<template>
  <PageState v-if="!sites.data.value" :error="sites.error.value" @retry="sites.refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <header class="page-head">
      <RouterLink to="/" class="way-back">‹ Fieldbook</RouterLink>
      <h1 class="text-3xl leading-tight grow">Side by side</h1>
      <label
        v-for="side in ['left', 'right'] as const"
        :key="side"
        class="grid gap-0.5 text-base font-semibold max-w-full"
        ><span>{{ side === 'left' ? 'Left' : 'Right' }}</span
        ><select
          class="field !min-h-11 !text-lg"
          :value="side === 'left' ? leftId : rightId"
          @change="choose(side, ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="p in all" :key="p.id" :value="p.id">{{ p.name }}, {{ p.site.name }}</option>
        </select></label
      >
    </header>
    <main class="px-4 desk:px-6 py-3 grid grid-cols-[minmax(0,1fr)] gap-4 content-start grow">
      <p v-if="all.length < 2" class="py-16 text-2xl font-extrabold text-center">
        Two profiles with horizons are needed.
      </p>
      <div v-else ref="box" :style="{ height: `${height}px` }">
        <svg
          v-if="width && pair.length === 2"
          :width="width"
          :height="height"
          :viewBox="`0 0 ${width} ${height}`"
          class="max-w-full"
          role="img"
          :aria-label="label"
        >
          <text x="0" y="16" font-size="16" font-weight="640">{{ unit }}</text>
          <g v-for="cm in ticks(depth, height - 40, 46)" :key="cm">
            <path class="feint" :d="`M${TAPE} ${y(cm)}H${width}`" />
            <text :x="TAPE - 8" :y="y(cm) + 5" text-anchor="end" font-size="16" class="pencil">{{ show(cm) }}</text>
          </g>
          <g v-for="(p, side) in pair" :key="side" :data-side="p.name">
            <text :x="x(side)" y="18" font-size="20" font-weight="800">{{ p.name }}</text>
            <ProfileColumn :layers="p.horizons" :x="x(side)" :width="column" :y="y" />
            <g v-for="(h, i) in p.horizons" :key="h.id">
              <rect
                v-if="h.moist_colour"
                class="inked"
                :x="x(side) + column - 28"
                :y="y(h.upper_cm) + 5"
                width="22"
                :height="Math.min(y(h.lower_cm) - y(h.upper_cm) - 10, 22)"
                :style="`fill: ${h.moist_colour.chip}; stroke-width: 1.5`"
              />
              <text class="halo" :x="x(side) + column + 10" :y="words(p)[i]" font-size="18" font-weight="800">
                {{ h.designation }}
              </text>
              <text
                class="halo"
                :x="x(side) + column + (phone ? 10 : 60)"
                :y="words(p)[i]! + (phone ? 17 : 0)"
                font-size="16"
              >
                {{ shortOf(p, i) }}
              </text>
              <text v-if="!phone" class="halo pencil" :x="x(side) + column + 60" :y="words(p)[i]! + 18" font-size="15">
                {{
                  [h.reading?.clay ? `clay ${Math.round(h.reading.clay.mean)} %` : '', h.moist_colour?.notation]
                    .filter(Boolean)
                    .join(', ')
                }}
              </text>
            </g>
          </g>
        </svg>
      </div>
      <section
        v-if="beside.data.value && all.length > 1"
        aria-labelledby="differences-title"
        class="border-t-2 border-ink pt-2"
      >
        <h2 id="differences-title" class="text-2xl">What differs</h2>
        <ol v-if="beside.data.value.differences.length" class="grid gap-0.5">
          <li v-for="d in beside.data.value.differences" :key="d.sentence" data-difference>{{ d.sentence }}</li>
        </ol>
        <p v-else>Nothing worth a word, at any depth that both have.</p>
      </section>
    </main>
  </div>
</template>
