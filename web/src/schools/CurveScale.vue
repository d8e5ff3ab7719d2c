<script setup lang="ts">
import { computed } from 'vue'
import { linear } from '@/drawing/scale'
import type { Reading } from '@/api'

// What each curve makes of this ribbon, in clay percent on one scale: the disagreement that nobody writes down.
const props = defineProps<{ reading: Reading; width: number }>()
const curves = computed(() => props.reading.assessment.curves)
const clay = computed(() => curves.value.map(({ clay_percent }) => clay_percent))
const x = computed(() => linear(0, 80, 12, props.width - 12))
const label = computed(
  () =>
    'Clay by this ribbon: ' +
    curves.value.map(({ name, clay_percent }) => `${name} ${Math.round(clay_percent)} %`).join(', ') +
    '.',
)
</script>

<template>
  <svg :viewBox="`0 0 ${width} 56`" class="w-full block" role="img" :aria-label="label">
    <rect
      class="wash"
      :x="x(Math.min(...clay))"
      y="4"
      :width="Math.max(x(Math.max(...clay)) - x(Math.min(...clay)), 2)"
      height="24"
    />
    <path class="hair" :d="`M12 28H${width - 12}`" style="stroke-width: 2" />
    <template v-for="t in [0, 20, 40, 60, 80]" :key="t">
      <path class="hair" :d="`M${x(t)} 28v6`" />
      <text class="pencil" font-size="20" text-anchor="middle" :x="x(t)" y="53">{{ t }}</text>
    </template>
    <path
      v-for="c in curves"
      :key="c.curve"
      :d="`M${x(c.clay_percent)} 28V6`"
      style="stroke: var(--ink); stroke-width: 4"
    />
  </svg>
</template>
