<script setup lang="ts">
import { computed } from 'vue'
import type { ProfileSummary } from '@/api'
import ProfileColumn from '@/drawing/ProfileColumn.vue'

// A profile as a small drawn column.
const props = defineProps<{ profile: Pick<ProfileSummary, 'horizons'>; height: number; here?: number | null }>()
const depth = computed(() => Math.max(...props.profile.horizons.map(({ lower_cm }) => lower_cm), 1))
const layers = computed(() => props.profile.horizons.map((h) => ({ ...h, named: h })))
const y = (cm: number) => 2 + (cm / depth.value) * props.height
</script>

<template>
  <svg width="44" :height="height + 4" aria-hidden="true">
    <ProfileColumn :layers="layers" :x="2" :width="40" :y="y" :line="1.5" :here="here" fine />
  </svg>
</template>
