<script setup lang="ts">
import { computed } from 'vue'
import type { Naming } from '@/api'
import { grainId, TILE, tile } from './grain'

// The fills of all names, each drawn from the middle of what it stands for. Shown nowhere itself; drawings refer to it
// by id.
const props = defineProps<{ names: Naming[] }>()
const SCALES = [
  { fine: false, scale: 0.85 },
  { fine: true, scale: 0.55 },
]
const patterns = computed(() =>
  props.names.flatMap((name) =>
    name.middle ? SCALES.map(({ fine, scale }) => ({ id: grainId(name, fine), scale, ...tile(name.middle!) })) : [],
  ),
)
</script>

<template>
  <svg width="0" height="0" class="absolute" aria-hidden="true">
    <defs>
      <pattern
        v-for="p in patterns"
        :id="p.id"
        :key="p.id"
        :width="TILE"
        :height="TILE"
        patternUnits="userSpaceOnUse"
        :patternTransform="`scale(${p.scale})`"
      >
        <path class="g-clay" :d="p.lines" />
        <path class="g-silt" :d="p.dashes" />
        <path class="g-sand" :d="p.dots" />
      </pattern>
      <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path class="hair" d="M0 0V7" />
      </pattern>
    </defs>
  </svg>
</template>
