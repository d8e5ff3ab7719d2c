<script setup lang="ts">
import CautionNote from '@/shared/CautionNote.vue'
import type { Schemas } from '@/api'

// What a step is about, and the caution that belongs to it.
defineProps<{ step: Schemas['Step'] }>()
</script>

<template>
  <div class="grid gap-2">
    <h1 class="text-3xl leading-tight">{{ step.title }}</h1>
    <p>{{ step.how }}</p>
    <CautionNote v-for="name in step.cautions" :key="name" :name="name" />
  </div>
</template>
