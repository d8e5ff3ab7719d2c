<script setup lang="ts">
import { useWindowSize } from '@vueuse/core'
import { computed } from 'vue'
import type { Profile } from '@/api'
import { fillOf } from '@/drawing/grain'
import { linear } from '@/drawing/scale'

// The column again, small, so that it stays in view beside what is read of it further down the page.
const props = defineProps<{ profile: Profile }>()
const { height: windowHeight } = useWindowSize()
const depth = computed(() => Math.max(...props.profile.horizons.map(({ lower_cm }) => lower_cm), 1))
const height = computed(() => Math.min(Math.max(windowHeight.value - 90, 240), 520))
const y = computed(() => linear(0, depth.value, 22, height.value - 8))
const COLUMN = { x: 40, width: 46 }
</script>

<template>
  <svg width="132" :height="height" class="sticky top-3 max-desk:hidden print:hidden" aria-hidden="true" data-sticky>
    <text x="0" y="14" font-size="16" font-weight="640">{{ profile.name }}</text>
    <g v-for="h in profile.horizons" :key="h.id">
      <rect
        class="ground"
        :x="COLUMN.x"
        :y="y(h.upper_cm)"
        :width="COLUMN.width"
        :height="y(h.lower_cm) - y(h.upper_cm)"
      />
      <rect
        v-if="h.named && h.named.kind !== 'no_texture'"
        :fill="fillOf(h.named, true)"
        :x="COLUMN.x"
        :y="y(h.upper_cm)"
        :width="COLUMN.width"
        :height="y(h.lower_cm) - y(h.upper_cm)"
      />
      <rect
        :class="h.named ? 'inked' : 'undone'"
        style="stroke-width: 1.5"
        :x="COLUMN.x"
        :y="y(h.upper_cm)"
        :width="COLUMN.width"
        :height="y(h.lower_cm) - y(h.upper_cm)"
      />
      <text
        :x="COLUMN.x + COLUMN.width + 6"
        :y="Math.min((y(h.upper_cm) + y(h.lower_cm)) / 2 + 5, height - 2)"
        font-size="15"
        font-weight="800"
      >
        {{ h.designation }}
      </text>
      <text :x="COLUMN.x - 5" :y="y(h.upper_cm) + 11" font-size="13" text-anchor="end" class="pencil">
        {{ h.upper_cm }}
      </text>
    </g>
    <text :x="COLUMN.x - 5" :y="y(depth) + 4" font-size="13" text-anchor="end" class="pencil">{{ depth }}</text>
  </svg>
</template>
