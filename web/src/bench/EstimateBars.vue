<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api'

// The classes by the estimate's probability, those under 3 % together; a model's estimate, never an accuracy.
const props = defineProps<{ evidence: Schemas['Evidence']; most?: number }>()
const LEAST = 0.03
const shown = computed(() => props.evidence.classes.filter(({ probability }) => probability >= LEAST).slice(0, props.most ?? 12))
const others = computed(() => 1 - shown.value.reduce((sum, { probability }) => sum + probability, 0))
const percent = (share: number) => Math.round(share * 100)
</script>

<template>
  <ul class="grid gap-1 leading-none" data-estimate>
    <li v-for="c in shown" :key="c.code" class="grid grid-cols-[1fr_auto] gap-x-2">
      <span>{{ c.name }}</span><span>{{ percent(c.probability) }} %</span>
      <svg class="col-span-2 w-full" height="8" aria-hidden="true"><rect class="estimate" :width="`${percent(c.probability)}%`" height="8" rx="4" /></svg>
    </li>
    <li v-if="percent(others) > 0" class="flex justify-between text-pencil"><span>others</span><span>{{ percent(others) }} %</span></li>
  </ul>
</template>
