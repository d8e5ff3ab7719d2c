<script setup lang="ts">
import { fillOf } from '@/drawing/grain'
import { useNaming } from './useNaming'

// Every class that the reading's key can give, each with its fill.
defineProps<{ label: string }>()
const code = defineModel<string>()
const { classes } = useNaming()
</script>

<template>
  <div class="grid grid-cols-2 desk:grid-cols-3 gap-2" role="group" :aria-label="label">
    <button v-for="c in classes" :key="c.code" type="button" class="key !justify-start text-left px-2" :aria-pressed="code === c.code" @click="code = c.code">
      <svg width="34" height="34" class="shrink-0" aria-hidden="true"><rect class="ground" width="34" height="34" /><rect width="34" height="34" :fill="fillOf(c, true)" /><rect class="inked" x="1" y="1" width="32" height="32" style="stroke-width: 1.5" /></svg>
      {{ c.name }}
    </button>
  </div>
</template>
