<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useWords, type Profile, type Site } from '@/api'
import CautionNote from '@/shared/CautionNote.vue'
import ChoiceField from '@/shared/ChoiceField.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

const props = defineProps<{ site: Site }>()
defineEmits<{ close: [] }>()
const router = useRouter()
const words = useWords()
// Who works and how they measure rarely changes from pit to pit.
const habits = useLocalStorage('grittle.habits', { hand: '', pen: '', limit_set: 'metric', ribbon_counts_from: 'five_mm', unit: 'mm' })
const form = ref({ name: `${props.site.name} ${props.site.profiles.length + 1}`, kind: 'pit', ...habits.value })
const { saving, at, general, send } = useForm<Profile>()
const FIELDS = ['name', 'kind', 'hand', 'pen']

async function save(): Promise<void> {
  const profile = await send('POST', `/api/sites/${props.site.id}/profiles`, form.value)
  if (!profile) return
  const { hand, pen, limit_set, ribbon_counts_from, unit } = form.value
  habits.value = { hand, pen, limit_set, ribbon_counts_from, unit }
  void router.push(`/profiles/${profile.id}`)
}
</script>

<template>
  <SheetDialog open :title="`New profile at ${site.name}`" wide @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <CautionNote name="exposure" />
      <TextField v-model="form.name" label="Name" :error="at('name')" />
      <ChoiceField v-model="form.kind" label="How the ground is opened" :options="words.exposures" />
      <div class="grid desk:grid-cols-2 gap-4">
        <TextField v-model="form.hand" label="Hand" hint="who textures" :error="at('hand')" />
        <TextField v-model="form.pen" label="Pen" hint="who writes it down" :error="at('pen')" />
      </div>
      <ChoiceField v-model="form.limit_set" label="Limits of the key" :options="words.limit_sets" />
      <div class="flex flex-wrap gap-x-8 gap-y-4">
      <ChoiceField v-model="form.ribbon_counts_from" label="What counts as a ribbon" :options="words.ribbon_counts_from" />
      <ChoiceField v-model="form.unit" label="Lengths in" :options="words.units.map(({ value }) => ({ value, name: value }))" />
      </div>
      <p v-if="general(FIELDS)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(FIELDS) }}</p>
      <button class="key key-main" type="submit" :disabled="saving">Open the profile</button>
    </form>
  </SheetDialog>
</template>
