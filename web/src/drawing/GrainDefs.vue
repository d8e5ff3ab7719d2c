<script setup lang="ts">
import { computed } from 'vue'
import type { TextureClass } from '@/api'
import { TILE, tile } from './grain'

// The fills of all classes, each drawn from the middle of its class. Shown nowhere itself; drawings refer to it by id.
const props = defineProps<{ classes: TextureClass[] }>()
const SCALES = [
  { suffix: '', scale: 0.85 },
  { suffix: '-fine', scale: 0.55 },
]
const patterns = computed(() =>
  props.classes.flatMap(({ code, middle }) => SCALES.map(({ suffix, scale }) => ({ id: `grain-${code}${suffix}`, scale, ...tile(middle) }))),
)
</script>

<template>
  <svg width="0" height="0" class="absolute" aria-hidden="true">
    <defs>
      <pattern v-for="p in patterns" :id="p.id" :key="p.id" :width="TILE" :height="TILE" patternUnits="userSpaceOnUse" :patternTransform="`scale(${p.scale})`">
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
