<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useWords, type Profile, type Schemas, type Site } from '@/api'
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
const METHOD = Object.fromEntries(
  words.value.method.map(({ name, default: usual }) => [name, usual]),
) as Schemas['Method']
const habits = useLocalStorage('grittle.habits', { hand: '', pen: '', ...METHOD }, { mergeDefaults: true })
const form = ref({ name: `${props.site.name} ${props.site.profiles.length + 1}`, kind: 'pit', ...habits.value })
const { saving, at, general, send } = useForm<Profile>()
const FIELDS = ['name', 'kind', 'hand', 'pen']

async function save(): Promise<void> {
  const profile = await send('POST', `/api/sites/${props.site.id}/profiles`, form.value)
  if (!profile) return
  habits.value = Object.fromEntries(
    Object.keys(habits.value).map((name) => [name, form.value[name as keyof typeof form.value]]),
  ) as typeof habits.value
  void router.push(`/profiles/${profile.id}`)
}
</script>

<template>
  <SheetDialog open :title="`New profile at ${site.name}`" wide @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <ExposureFields :model-value="form" :at="at" @update:model-value="form = { ...form, ...$event }" />
      <MethodFields :model-value="form" @update:model-value="form = { ...form, ...$event }" />
      <ChoiceField
        v-model="form.unit"
        label="Lengths in"
        :options="words.units.map(({ value }) => ({ value, name: value }))"
      />
      <p v-if="general(FIELDS)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(FIELDS) }}</p>
      <button class="key key-main" type="submit" :disabled="saving">Open the profile</button>
    </form>
  </SheetDialog>
</template>
