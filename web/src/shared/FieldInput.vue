<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Field } from './described'
import MunsellField from './MunsellField.vue'
import TextField from './TextField.vue'
import { useMended } from './useMended'

// One line of what can be described: a choice, yes or no, a date, a number, a text.
const props = defineProps<{ field: Field; error?: string }>()
const model = defineModel<string>({ required: true })
const id = useId()
const { wrong, mend } = useMended(() => props.error)
const YES_NO = [
  { value: 'true', name: 'Yes' },
  { value: 'false', name: 'No' },
]
const options = computed(() => (props.field.type === 'flag' ? YES_NO : props.field.words))
</script>

<template>
  <div v-if="options" class="grid gap-1 content-start">
    <label :for="id" class="font-semibold">{{ field.label }}</label>
    <select
      :id="id"
      v-model="model"
      class="field"
      :aria-invalid="wrong ? 'true' : undefined"
      :aria-describedby="wrong || field.hint ? `${id}-about` : undefined"
      @change="mend"
    >
      <option value="">Not recorded</option>
      <option v-for="o in options" :key="o.value" :value="o.value">{{ o.name }}</option>
    </select>
    <p v-if="wrong" :id="`${id}-about`" class="border-l-8 border-iron bg-warn px-3 py-1">{{ wrong }}</p>
    <p v-else-if="field.hint" :id="`${id}-about`" class="text-pencil text-lg">{{ field.hint }}</p>
  </div>
  <MunsellField
    v-else-if="field.type === 'munsell'"
    v-model="model"
    :label="field.label"
    :hint="field.hint ?? undefined"
    :error="error"
  />
  <TextField
    v-else
    v-model="model"
    :label="field.label"
    :hint="field.hint ?? undefined"
    :unit="field.unit ?? undefined"
    :error="error"
    :suggestions="field.suggestions ?? undefined"
    :type="field.type === 'date' ? 'date' : 'text'"
    :inputmode="field.type === 'number' ? 'decimal' : undefined"
  />
</template>
