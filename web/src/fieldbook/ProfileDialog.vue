<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useWords, type Profile, type Site } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import MethodFields from '@/shared/MethodFields.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import { useForm } from '@/shared/useForm'
import ExposureFields from './ExposureFields.vue'

const props = defineProps<{ site: Site }>()
defineEmits<{ close: [] }>()
const router = useRouter()
const words = useWords()
// Who works and how they measure rarely changes from pit to pit.
const METHOD = { key: 'ribbon_and_rub', system: 'usda', limit_set: 'metric', ribbon_counts_from: 'five_mm', older_grades: false, curve: 'consensus' }
const habits = useLocalStorage('grittle.habits', { hand: '', pen: '', unit: 'mm', ...METHOD }, { mergeDefaults: true })
const form = ref({ name: `${props.site.name} ${props.site.profiles.length + 1}`, kind: 'pit', ...habits.value })
const { saving, at, general, send } = useForm<Profile>()
const FIELDS = ['name', 'kind', 'hand', 'pen']

async function save(): Promise<void> {
  const profile = await send('POST', `/api/sites/${props.site.id}/profiles`, form.value)
  if (!profile) return
  const { hand, pen, unit, key, system, limit_set, ribbon_counts_from, older_grades, curve } = form.value
  habits.value = { hand, pen, unit, key, system, limit_set, ribbon_counts_from, older_grades, curve }
  void router.push(`/profiles/${profile.id}`)
}
</script>

<template>
  <SheetDialog open :title="`New profile at ${site.name}`" wide @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <ExposureFields :model-value="form" :at="at" @update:model-value="form = { ...form, ...$event }" />
      <MethodFields :model-value="form" @update:model-value="form = { ...form, ...$event }" />
      <ChoiceField v-model="form.unit" label="Lengths in" :options="words.units.map(({ value }) => ({ value, name: value }))" />
      <p v-if="general(FIELDS)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(FIELDS) }}</p>
      <button class="key key-main" type="submit" :disabled="saving">Open the profile</button>
    </form>
  </SheetDialog>
</template>
