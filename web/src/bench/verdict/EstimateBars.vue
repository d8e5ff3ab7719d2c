<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api'

// The classes by the estimate's probability, those that have little together; a model's estimate, never an accuracy.
const props = defineProps<{ evidence: Schemas['Evidence']; most?: number }>()
const shown = computed(() => props.evidence.classes.filter(({ other }) => !other).slice(0, props.most ?? 12))
const others = computed(() => 100 - shown.value.reduce((sum, { percent }) => sum + percent, 0))
</script>

<template>
  <ul class="grid gap-1 leading-none" data-estimate>
    <li v-for="c in shown" :key="c.code" class="grid grid-cols-[1fr_auto] gap-x-2">
      <span>{{ c.name }}</span><span>{{ c.percent }} %</span>
      <svg class="col-span-2 w-full" height="8" aria-hidden="true">
        <rect class="estimate" :width="`${c.percent}%`" height="8" rx="4" />
      </svg>
    </li>
    <li v-if="others > 0" class="flex justify-between text-pencil">
      <span>others</span><span>{{ others }} %</span>
    </li>
  </ul>
</template>
