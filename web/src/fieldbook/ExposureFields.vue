<script setup lang="ts">
import { useWords } from '@/api'
import CautionNote from '@/shared/CautionNote.vue'
import ChoiceField from '@/shared/ChoiceField.vue'
import TextField from '@/shared/TextField.vue'
import PeopleFields from '@/shared/PeopleFields.vue'

// What every exposure has: its name, the type of exposure, and who works there.
export type Exposure = { name: string; kind: string; textured_by: string; recorded_by: string }
defineProps<{
  at: (field: string) => string | undefined
  /** Whether a dialog begins with the name. */ first?: boolean
}>()
const model = defineModel<Exposure>({ required: true })
const words = useWords()
const set = (part: Partial<Exposure>) => (model.value = { ...model.value, ...part })
</script>

<template>
  <CautionNote name="exposure" />
  <TextField
    :first="first"
    :model-value="model.name"
    label="Name"
    :error="at('name')"
    @update:model-value="set({ name: $event })"
  />
  <ChoiceField
    :model-value="model.kind"
    label="Exposure type"
    :options="words.exposures"
    @update:model-value="set({ kind: $event })"
  />
  <PeopleFields :model-value="model" :at="at" @update:model-value="set($event)" />
</template>
