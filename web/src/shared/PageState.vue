<script setup lang="ts">
import { computed } from 'vue'
import { isProblem } from '@/api'

// What stands while a page has nothing to show yet, or cannot.
const props = defineProps<{ error?: unknown }>()
defineEmits<{ retry: [] }>()
const sentence = computed(() =>
  isProblem(props.error)
    ? props.error.message
    : 'This needs the server, which cannot be reached. What you saved is safe.',
)
</script>

<template>
  <main class="min-h-screen grid place-content-center gap-4 p-6 text-xl text-center">
    <template v-if="error">
      <h1 class="text-3xl">{{ sentence }}</h1>
      <div class="flex justify-center gap-3">
        <button class="button button-main" type="button" @click="$emit('retry')">Try again</button>
        <RouterLink class="button" to="/">To the fieldbook</RouterLink>
      </div>
    </template>
    <p v-else role="status" class="text-pencil">Opening the fieldbook</p>
  </main>
</template>
