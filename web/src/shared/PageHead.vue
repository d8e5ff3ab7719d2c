<script setup lang="ts">
// The head of a page: the way back, what it is, and what can be done with it.
withDefaults(defineProps<{ title: string; line?: string; back?: string; backName?: string }>(), {
  line: '',
  back: '/',
  backName: 'Fieldbook',
})
</script>

<template>
  <header class="page-head">
    <RouterLink :to="back" class="way-back print:hidden">‹ {{ backName }}</RouterLink>
    <div class="grow min-w-0">
      <h1 class="text-3xl leading-tight truncate" :title="title">{{ title }}</h1>
      <p v-if="line" class="text-pencil leading-tight text-base">{{ line }}</p>
    </div>
    <div class="flex flex-wrap gap-1.5 items-center print:hidden"><slot /></div>
  </header>
</template>
