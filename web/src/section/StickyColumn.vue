<script setup lang="ts">
import { useWindowSize } from '@vueuse/core'
import { computed } from 'vue'
import type { Profile } from '@/api'
import ProfileColumn from '@/drawing/ProfileColumn.vue'
import { linear } from '@/drawing/scale'
import { useDepths } from '@/shared/useDepths'

// The column again, small, so that it stays in view beside what is read of it further down the page.
const props = defineProps<{ profile: Profile }>()
const { show } = useDepths()
const { height: windowHeight } = useWindowSize()
const depth = computed(() => Math.max(...props.profile.horizons.map(({ lower_cm }) => lower_cm), 1))
const height = computed(() => Math.min(Math.max(windowHeight.value - 90, 240), 520))
const y = computed(() => linear(0, depth.value, 22, height.value - 8))
const COLUMN = { x: 40, width: 46 }
</script>

<template>
  <svg width="132" :height="height" class="sticky top-3 max-desk:hidden print:hidden" aria-hidden="true" data-sticky>
    <text x="0" y="14" font-size="16" font-weight="640">{{ profile.name }}</text>
    <ProfileColumn :layers="profile.horizons" :x="COLUMN.x" :width="COLUMN.width" :y="y" :line="1.5" fine />
    <g v-for="h in profile.horizons" :key="h.id">
      <text
        :x="COLUMN.x + COLUMN.width + 6"
        :y="Math.min((y(h.upper_cm) + y(h.lower_cm)) / 2 + 5, height - 2)"
        font-size="15"
        font-weight="800"
      >
        {{ h.designation }}
      </text>
      <text :x="COLUMN.x - 5" :y="y(h.upper_cm) + 11" font-size="13" text-anchor="end" class="pencil">
        {{ show(h.upper_cm) }}
      </text>
    </g>
    <text :x="COLUMN.x - 5" :y="y(depth) + 4" font-size="13" text-anchor="end" class="pencil">{{ show(depth) }}</text>
  </svg>
</template>
