<script setup lang="ts">
import { computed } from 'vue'
import type { ProfileSummary } from '@/api'
import { fillOf } from '@/drawing/grain'

// A profile as a small drawn column.
const props = defineProps<{ profile: Pick<ProfileSummary, 'horizons'>; height: number; here?: number | null }>()
const depth = computed(() => Math.max(...props.profile.horizons.map(({ lower_cm }) => lower_cm), 1))
const layers = computed(() =>
  props.profile.horizons.map((h) => ({
    id: h.id,
    y: (h.upper_cm / depth.value) * props.height,
    h: ((h.lower_cm - h.upper_cm) / depth.value) * props.height,
    assigned: h.code ? { code: h.code, system: h.system! } : null,
  })),
)
</script>

<template>
  <svg width="44" :height="height + 4" aria-hidden="true">
    <g v-for="l in layers" :key="l.id" transform="translate(2 2)">
      <rect class="ground" width="40" :y="l.y" :height="l.h" />
      <rect v-if="l.assigned" width="40" :y="l.y" :height="l.h" :fill="fillOf(l.assigned, true)" />
      <rect
        width="40"
        :y="l.y"
        :height="l.h"
        :class="l.assigned ? 'inked' : 'undone'"
        :style="l.id === here ? 'stroke-width:3.5;stroke:var(--lit-ink);stroke-dasharray:none' : 'stroke-width:1.5'"
      />
    </g>
  </svg>
</template>
