<script setup lang="ts">
import TextField from './TextField.vue'

// Who feels the soil, and who writes it down.
type People = { textured_by: string; recorded_by: string }
defineProps<{ at: (field: string) => string | undefined }>()
const model = defineModel<People>({ required: true })
const ROLES = [
  { name: 'textured_by', label: 'Textured by' },
  { name: 'recorded_by', label: 'Recorded by' },
] as const
</script>

<template>
  <div class="grid desk:grid-cols-2 gap-4 items-start">
    <TextField
      v-for="r in ROLES"
      :key="r.name"
      :model-value="model[r.name]"
      :label="r.label"
      :error="at(r.name)"
      @update:model-value="model = { ...model, [r.name]: $event }"
    />
  </div>
</template>
