<script setup lang="ts">
// The head of a page: the way back, what it is, and what can be done with it.
withDefaults(defineProps<{ title: string; line?: string; back?: string; backName?: string }>(), {
  line: '',
  back: '/',
  backName: 'Fieldbook',
})
</script>

<template>
  <header class="bg-leaf border-b-[2.5px] border-ink px-4 desk:px-6 py-3 flex flex-wrap items-center gap-x-6 gap-y-2">
    <RouterLink :to="back" class="min-h-14 grid content-center font-semibold no-underline print:hidden"
      >‹ {{ backName }}</RouterLink
    >
    <div class="grow min-w-0">
      <h1 class="text-3xl leading-tight truncate" :title="title">{{ title }}</h1>
      <p v-if="line" class="text-pencil leading-tight text-base">{{ line }}</p>
    </div>
    <div class="flex flex-wrap gap-1.5 items-center print:hidden"><slot /></div>
  </header>
</template>
