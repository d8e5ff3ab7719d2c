<script setup lang="ts">
import { computed } from 'vue'
import { useWords } from '@/api'
import ChoiceField from './ChoiceField.vue'

// How a class is reached: the key, and what only that key leaves open. Answers belong to tests, so nothing is lost by a change.
export type MethodChoice = { key: string; system: string; limit_set: string; ribbon_counts_from: string; older_grades: boolean; curve: string }
const model = defineModel<MethodChoice>({ required: true })
const words = useWords()
const keys = computed(() => words.value.keys.map(({ id, name }) => ({ value: id, name })))
const chosen = computed(() => words.value.keys.find(({ id }) => id === model.value.key)!)
const systemOf = computed(() => (model.value.key === 'field_grades' ? 'Australia' : words.value.systems.find(({ value }) => value === (model.value.key === 'two_numbers' ? model.value.system : chosen.value.system))?.name))
const LISTS = [{ value: 'newer', name: 'Light clays, sandy and silty' }, { value: 'older', name: 'Sandy clay and silty clay' }]
const set = (part: Partial<MethodChoice>) => (model.value = { ...model.value, ...part })
</script>

<template>
  <div class="grid gap-4">
    <ChoiceField :model-value="model.key" label="Key" :options="keys" @update:model-value="set({ key: $event })" />
    <p class="text-pencil text-lg leading-tight">Names: {{ systemOf }}. {{ chosen.source }}.</p>
    <template v-if="model.key === 'ribbon_and_rub'">
      <ChoiceField :model-value="model.limit_set" label="Limits of the key" :options="words.limit_sets" @update:model-value="set({ limit_set: $event })" />
      <ChoiceField :model-value="model.ribbon_counts_from" label="What counts as a ribbon" :options="words.ribbon_counts_from" @update:model-value="set({ ribbon_counts_from: $event })" />
    </template>
    <ChoiceField v-else-if="model.key === 'two_numbers'" :model-value="model.system" label="Triangle" :options="words.systems" @update:model-value="set({ system: $event })" />
    <ChoiceField v-else-if="model.key === 'field_grades'" :model-value="model.older_grades ? 'older' : 'newer'" label="Gritty and silky ribbons of 50 to 75 mm" :options="LISTS" @update:model-value="set({ older_grades: $event === 'older' })" />
    <ChoiceField :model-value="model.curve" label="Clay from a ribbon's length, for the estimate and two numbers" :options="words.curves" @update:model-value="set({ curve: $event })" />
  </div>
</template>
