<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Profile } from '@/api'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// The next hole, with the horizons of this one by name and depth.
const props = defineProps<{ profile: Profile }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
/** "Tare 1" is followed by "Tare 2". */
const next = (name: string): string =>
  /\d+$/.test(name) ? name.replace(/\d+$/, (number) => String(Number(number) + 1)) : `${name} 2`
const name = ref(next(props.profile.name))
const { saving, at, general, send } = useForm<Profile>()
async function save(): Promise<void> {
  const made = await send('POST', `/api/profiles/${props.profile.id}/duplicate`, { name: name.value })
  if (!made) return
  emit('close')
  void router.push(`/profiles/${made.id}`)
}
</script>

<template>
  <SheetDialog open title="Duplicate for the next hole" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <p>
        {{ profile.horizons.length }} {{ profile.horizons.length === 1 ? 'horizon' : 'horizons' }} by name and depth,
        the method and the people. What was seen and textured stays with {{ profile.name }}.
      </p>
      <TextField v-model="name" label="Name" first :error="at('name')" />
      <p v-if="general(['name'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ general(['name']) }}
      </p>
      <button class="button button-main" type="submit" :disabled="saving">Open the new profile</button>
    </form>
  </SheetDialog>
</template>
