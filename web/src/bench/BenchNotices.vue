<script setup lang="ts">
import { useBench } from './useReading'

// What has to be told of an answer. It stands where nothing that is pressed for every answer is covered or moved.
const bench = useBench()
</script>

<template>
  <div v-if="bench.told.value.length" class="grid gap-2 text-lg leading-tight">
    <p
      v-for="note in bench.told.value"
      :key="note.text"
      :role="note.refused ? 'alert' : 'status'"
      class="flex items-center justify-between border-l-8"
      :class="note.refused ? 'border-iron bg-warn' : 'border-lit-line bg-lit text-lit-ink'"
      :data-superseded="note.refused ? undefined : ''"
    >
      <span class="px-3 py-2">{{ note.text }}</span><button
        type="button"
        class="min-h-14 px-3 underline underline-offset-4"
        @click="note.close()"
      >
        Close
      </button>
    </p>
  </div>
</template>
