<script setup lang="ts">
import { ref, watch } from 'vue'
import { useQuery } from '@tanstack/vue-query'
import { useRouter } from 'vue-router'
import { request, useWords, type Profile, type Schemas, type Site } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import MethodFields from '@/shared/MethodFields.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import { useForm } from '@/shared/useForm'
import ExposureFields from './ExposureFields.vue'
import { useHabits } from './useHabits'

const props = defineProps<{ site: Site }>()
defineEmits<{ close: [] }>()
const router = useRouter()
const words = useWords()
const { habits, usual } = useHabits()
const { data: settings } = useQuery({
  queryKey: ['settings'],
  queryFn: () => request<Schemas['Settings']>('GET', '/api/settings'),
})
const form = ref({
  name: `${props.site.name} ${props.site.profiles.length + 1}`,
  kind: 'pit',
  ...usual,
  ...habits.value,
})
// What this device has no habit of is as the fieldbook's settings have it.
watch(
  settings,
  (found) => {
    if (!found) return
    form.value = {
      ...form.value,
      ...found,
      textured_by: found.textured_by ?? '',
      recorded_by: found.recorded_by ?? '',
      ...habits.value,
    }
  },
  { immediate: true },
)
const { saving, at, general, send } = useForm<Profile>()
const FIELDS = ['name', 'kind', 'textured_by', 'recorded_by']

async function save(): Promise<void> {
  const profile = await send('POST', `/api/sites/${props.site.id}/profiles`, form.value)
  if (!profile) return
  const kept = Object.keys(usual) as (keyof typeof usual)[]
  habits.value = Object.fromEntries(kept.map((name) => [name, form.value[name]]))
  void router.push(`/profiles/${profile.id}`)
}
</script>

<template>
  <SheetDialog open :title="`New profile at ${site.name}`" wide @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <ExposureFields first :model-value="form" :at="at" @update:model-value="form = { ...form, ...$event }" />
      <MethodFields :model-value="form" @update:model-value="form = { ...form, ...$event }" />
      <ChoiceField
        v-model="form.unit"
        label="Lengths in"
        :options="words.units.map(({ value }) => ({ value, name: value }))"
      />
      <p v-if="general(FIELDS)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(FIELDS) }}</p>
      <button class="button button-main" type="submit" :disabled="saving">Open the profile</button>
    </form>
  </SheetDialog>
</template>
