<script setup lang="ts">
// From page to page of a long list.
defineProps<{ pages: number; what: string }>()
const page = defineModel<number>({ required: true })
</script>

<template>
  <nav v-if="pages > 1" :aria-label="`Pages of ${what}`" class="flex gap-2 items-center">
    <button type="button" class="button button-desk" :disabled="page === 1" @click="page--">Previous</button>
    <span>{{ page }} of {{ pages }}</span>
    <button type="button" class="button button-desk" :disabled="page === pages" @click="page++">Next</button>
  </nav>
</template>
