<script setup lang="ts">
import { computed } from 'vue'

// A crumb in a dish of water: whole, crumbling, or fallen apart; the water clear, with a halo, or milky throughout.
const props = defineProps<{ slaking: string; milky: string }>()
const GRAINS: Record<string, [number, number, number][]> = {
  not: [[30, 22, 8]],
  a_little: [
    [30, 23, 6.5],
    [20, 27, 2.4],
    [40, 27.5, 2.2],
    [37, 18, 1.8],
  ],
  fully: [
    [18, 27, 2.6],
    [24, 25, 2.8],
    [29, 28, 2.6],
    [34, 25, 2.8],
    [40, 27.5, 2.6],
    [45, 28.5, 2],
    [13, 29, 1.8],
  ],
}
const grains = computed(() => GRAINS[props.slaking] ?? [])
</script>

<template>
  <svg viewBox="0 0 60 36" class="h-9 w-15" aria-hidden="true">
    <rect v-if="milky === 'complete'" x="4" y="10" width="52" height="21" fill="var(--ochre)" fill-opacity="0.45" />
    <ellipse v-if="milky === 'some'" cx="30" cy="27" rx="20" ry="7" fill="var(--ochre)" fill-opacity="0.45" />
    <path d="M4 5V31H56V5" fill="none" stroke="currentColor" stroke-width="2" />
    <path d="M4 10H56" stroke="var(--water)" stroke-width="1.6" />
    <circle v-for="([x, y, r], i) in grains" :key="i" :cx="x" :cy="y" :r="r" fill="var(--iron)" />
  </svg>
</template>
