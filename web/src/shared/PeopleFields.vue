<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { membersQuery } from '@/people/useSession'
import TextField from './TextField.vue'

// Who feels the soil, and who writes it down.
type People = { textured_by: string; recorded_by: string }
defineProps<{ at: (field: string) => string | undefined }>()
const model = defineModel<People>({ required: true })
const members = useQuery(membersQuery)
/** Who is of this fieldbook, with an account or a name only; another name makes another person. */
const known = computed(() => [...(members.data.value?.members ?? []), ...(members.data.value?.people ?? [])])
const names = computed(() => known.value.map(({ name }) => name))
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
      :suggestions="names"
      @update:model-value="model = { ...model, [r.name]: $event }"
    />
  </div>
</template>
