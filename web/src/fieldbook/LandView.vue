<script setup lang="ts">
import { useElementSize, useWindowSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { useWords, type Site } from '@/api'
import ProfileColumn from '@/drawing/ProfileColumn.vue'
import { useDepths } from '@/shared/useDepths'
import { groundLine, layOut, standing, type Plot, type Row } from './land'

// The land is the list: each profile hangs from the ground where it was dug, all to one depth scale.
const props = defineProps<{ sites: Site[]; here?: number | null }>()
defineEmits<{ addProfile: [site: Site]; open: [site: Site] }>()
const words = useWords()
const { show, ticks } = useDepths()
const box = useTemplateRef('box')
const { width } = useElementSize(box)

const COLUMN = 58
const LABELS = 30 // px for the depths at the left
const HEAD = 76 // px for a site's name above its ground
const GROUND = 90 // px between the highest and the lowest ground
const FOOT = 98 // px for a profile's words below its column
const plotWidth = computed(() => (width.value < 500 ? 118 : 142))
const siteGap = computed(() => (width.value < 500 ? 66 : 80))
const rows = computed(() =>
  width.value ? layOut(props.sites, width.value, plotWidth.value, siteGap.value, LABELS) : [],
)
const deepest = computed(() =>
  Math.max(
    ...props.sites.flatMap(({ profiles }) =>
      profiles.flatMap(({ horizons }) => horizons.map(({ lower_cm }) => lower_cm)),
    ),
    60,
  ),
)
const { height: windowHeight } = useWindowSize()
const perCm = computed(
  () => (rows.value.length > 1 ? 230 : Math.min(Math.max(windowHeight.value - 500, 240), 460)) / deepest.value,
)
const y = (ground: number) => HEAD + GROUND - ground
const bottom = (plot: Plot) =>
  y(plot.ground) +
  (plot.profile ? Math.max(...plot.profile.horizons.map(({ lower_cm }) => lower_cm), 30) : 50) * perCm.value
const height = (row: Row) => Math.max(...row.plots.map(bottom)) + FOOT
const depths = computed(() =>
  ticks(deepest.value, deepest.value * perCm.value, 60).filter((cm) => cm > 0 && cm < deepest.value),
)
const landform = (site: Site) => words.value.landforms.find(({ value }) => value === site.landform)?.name.toLowerCase()
const left = (plot: Plot) => plot.x + 16
const wooded = (plot: Plot) =>
  plot.profile === (plot.site.profiles.at(-1) ?? null) &&
  ['crest', 'shoulder', 'upper_slope', 'backslope', 'mid_slope'].includes(plot.site.landform ?? '')
/** Blades of grass along a plot's ground; rushes where water stands. */
const grass = (plot: Plot) => {
  const wet = plot.site.landform === 'drainage_line'
  const top = y(plot.ground)
  return [0.03, 0.08, 0.62, 0.84, 0.9, 0.96]
    .map((at, i) => `M${plot.x + plotWidth.value * at} ${top}l${(i % 3) - 1} ${-(wet ? 18 : 8) - (i % 2) * 3}`)
    .join('')
}
</script>

<template>
  <div ref="box" class="mt-2">
    <section v-for="(row, i) in rows" :key="i" class="relative" :style="{ height: `${height(row)}px` }">
      <svg class="absolute inset-0" :width="width" :height="height(row)" aria-hidden="true">
        <g v-for="cm in depths" :key="cm">
          <path
            :transform="`translate(0 ${cm * perCm})`"
            :d="groundLine(row, plotWidth, width, y)"
            class="hair"
            style="stroke: var(--rule); stroke-width: 1; stroke-dasharray: 2 6"
          />
          <text
            v-if="row.plots[0]"
            x="0"
            :y="y(row.plots[0].ground) + cm * perCm - 5"
            font-size="16"
            class="halo pencil"
            style="stroke-width: 5px"
          >
            {{ show(cm) }}
          </text>
        </g>
        <path v-for="plot in row.plots" :key="`grass-${plot.x}`" class="hair" :d="grass(plot)" />
        <path :d="groundLine(row, plotWidth, width, y)" class="inked" style="stroke-width: 4" />
        <template v-for="plot in row.plots" :key="`tree-${plot.x}`">
          <g v-if="wooded(plot)" :transform="`translate(${plot.x + plotWidth * 0.86} ${y(plot.ground)})`">
            <path class="hair" d="M0 0v-14M0 -8l5 -6" />
            <path
              class="inked"
              style="stroke-width: 1.8; fill: var(--paper)"
              d="M-13 -16c-6 -9 2 -17 9 -15c3 -7 15 -6 16 2c7 1 7 12 0 14c-7 3 -20 3 -25 -1z"
            />
          </g>
        </template>
        <template v-for="plot in row.plots" :key="plot.x">
          <rect
            v-if="plot.profile && plot.profile.id === here"
            class="here"
            :x="left(plot) - 9"
            :y="y(plot.ground)"
            :width="COLUMN + 18"
            :height="bottom(plot) - y(plot.ground) + 9"
            style="stroke-width: 2.5"
          />
          <ProfileColumn
            :layers="(plot.profile?.horizons ?? []).map((h) => ({ ...h, named: h }))"
            :x="left(plot)"
            :width="COLUMN"
            :y="(cm) => y(plot.ground) + cm * perCm"
            :line="1.5"
            fine
          />
          <rect
            v-if="!plot.profile?.horizons.length"
            class="undone"
            :x="left(plot)"
            :y="y(plot.ground)"
            :width="COLUMN"
            :height="bottom(plot) - y(plot.ground)"
          />
        </template>
      </svg>
      <template v-for="plot in row.plots" :key="`words-${plot.x}`">
        <div
          v-if="plot.first"
          class="absolute leading-tight"
          :style="{
            left: `${plot.x + 12}px`,
            top: `${y(plot.ground) - 72}px`,
            maxWidth: `${plotWidth * Math.max(plot.site.profiles.length, 1) + siteGap - 16}px`,
          }"
        >
          <h2 class="text-2xl truncate">
            <button
              type="button"
              class="max-w-full truncate named-link"
              :aria-label="`Site details: ${plot.site.name}`"
              @click="$emit('open', plot.site)"
            >
              {{ plot.site.name }}
            </button>
          </h2>
          <p class="flex items-baseline gap-3 text-pencil">
            <span v-if="landform(plot.site)" class="truncate">{{ landform(plot.site) }}</span><RouterLink
              v-if="plot.site.profile_count > plot.site.profiles.length"
              :to="`/sites/${plot.site.id}`"
              class="font-semibold whitespace-nowrap"
              >all {{ plot.site.profile_count }} profiles</RouterLink
            >
          </p>
        </div>
        <RouterLink
          v-if="plot.profile"
          :to="`/profiles/${plot.profile.id}`"
          class="absolute no-underline rounded-sm"
          :style="{
            left: `${plot.x + 10}px`,
            top: `${y(plot.ground) - 4}px`,
            width: `${plotWidth - 14}px`,
            height: `${bottom(plot) - y(plot.ground) + FOOT - 6}px`,
          }"
        >
          <span
            class="absolute left-1.5 text-base leading-snug text-pencil whitespace-nowrap"
            :style="{ top: `${bottom(plot) - y(plot.ground) + 16}px` }"
          >
            <b class="block text-lg text-ink">{{ plot.profile.name }} </b>{{ standing(plot.profile).done }} of
            {{ standing(plot.profile).total }}, {{ plot.profile.kind_name.toLowerCase() }}
            <span class="block font-semibold text-ink">{{ standing(plot.profile).next }}</span>
          </span>
        </RouterLink>
        <button
          v-if="plot.profile === plot.site.profiles.at(-1) || !plot.profile"
          type="button"
          class="absolute button button-desk !min-h-14 w-[5.5rem] px-1 !text-base"
          :style="{ left: `${left(plot) + COLUMN + 16}px`, top: `${y(plot.ground) + 14}px` }"
          @click="$emit('addProfile', plot.site)"
        >
          Add profile<span class="sr-only"> at {{ plot.site.name }}</span>
        </button>
      </template>
    </section>
  </div>
</template>
