<script setup lang="ts">
import { computed } from 'vue'
import { useWords, type Schemas } from '@/api'
import ChoiceField from './ChoiceField.vue'

// How a class is reached: the key, and what only that key leaves open, as the server lists it. Answers belong to tests,
// so nothing is lost by a change.
export type MethodChoice = Schemas['Method']
const model = defineModel<MethodChoice>({ required: true })
const words = useWords()
const parts = computed(() =>
  words.value.method.filter(
    ({ name, keys }) => name !== 'key' && name !== 'unit' && (keys === null || keys.includes(model.value.key)),
  ),
)
const keyPart = computed(() => words.value.method.find(({ name }) => name === 'key')!)
const chosen = computed(() => words.value.keys.find(({ id }) => id === model.value.key)!)
const set = (name: string, value: unknown) => (model.value = { ...model.value, [name]: value })
const valueOf = (name: string) => JSON.stringify((model.value as Record<string, unknown>)[name])
// A form's choices are texts; some values are not.
const options = (choices: { value?: unknown; name: string }[]) =>
  choices.map(({ value, name }) => ({ value: JSON.stringify(value), name }))
</script>

<template>
  <div class="grid gap-4">
    <ChoiceField
      :model-value="valueOf('key')"
      :label="keyPart.label"
      :options="options(keyPart.choices)"
      @update:model-value="set('key', JSON.parse($event))"
    />
    <p class="text-pencil text-lg leading-tight">{{ chosen.source }}.</p>
    <ChoiceField
      v-for="p in parts"
      :key="p.name"
      :model-value="valueOf(p.name)"
      :label="p.label"
      :options="options(p.choices)"
      @update:model-value="set(p.name, JSON.parse($event))"
    />
  </div>
</template>
