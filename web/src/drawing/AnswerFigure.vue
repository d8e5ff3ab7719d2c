<script setup lang="ts">
import { computed } from 'vue'
import { figureOf, meansItsSize } from './answerFigures'
import { useScreenScale } from './useScreenScale'

// The answer as it looks in the hand; its words stand beside it, so it is no text of its own.
const props = defineProps<{ test: string; state: unknown; scale?: number }>()
const { pxPerMm } = useScreenScale()
const parts = computed(() => figureOf(props.test, props.state, pxPerMm.value))
const factor = computed(() => (meansItsSize(props.test) ? 1 : (props.scale ?? 1)))
const CLASS = {
  ink: 'inked',
  ground: 'ground',
  hair: 'hair',
  sand: 'g-sand',
  silt: 'g-silt',
  clay: 'g-clay',
  solid: 'g-solid',
}
</script>

<template>
  <svg
    v-if="parts"
    viewBox="0 0 120 72"
    :width="120 * factor"
    :height="72 * factor"
    class="block shrink-0"
    aria-hidden="true"
  >
    <path
      v-for="(p, i) in parts"
      :key="i"
      :d="p.d"
      :class="CLASS[p.kind]"
      :style="p.kind === 'silt' || p.kind === 'clay' ? 'stroke-width: 2.2' : ''"
    />
  </svg>
</template>
