<script setup lang="ts">
import type { Field, Written } from './described'
import FieldInput from './FieldInput.vue'

// Fields side by side, as many as there is room for.
defineProps<{ fields: Field[]; error: (name: string) => string | undefined }>()
const model = defineModel<Written>({ required: true })
</script>

<template>
  <div class="grid desk:grid-cols-2 gap-4 items-start">
    <FieldInput
      v-for="f in fields"
      :key="f.name"
      :model-value="model[f.name] ?? ''"
      :field="f"
      :error="error(f.name)"
      @update:model-value="model = { ...model, [f.name]: $event }"
    />
  </div>
</template>
