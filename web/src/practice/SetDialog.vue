<script setup lang="ts">
import { ref } from 'vue'
import { useWords, type Schemas } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'
import { forgetSession } from './usePractice'
import { freshKey, keepKey, usePractiser } from './keys'

// A new set: its name, and who fills the tubs. Its key is made here and stays on this device.
const emit = defineEmits<{ close: []; made: [number] }>()
const words = useWords()
const { saving, at, general, send } = useForm<Schemas['ReferenceSet']>()
const practiser = usePractiser()
const form = ref({ name: '', owner: practiser.value, truth_by: words.value.practice.truth_by[0]!.value })
const key = freshKey()
async function save(): Promise<void> {
  const made = await send('POST', '/api/reference-sets', { ...form.value, key })
  if (!made) return
  keepKey(`set/${made.id}`, key)
  forgetSession(0)
  emit('made', made.id)
}
</script>

<template>
  <SheetDialog open title="Make a set" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <TextField v-model="form.name" label="Name" :error="at('name')" first />
      <TextField
        v-model="form.owner"
        label="Who fills the tubs"
        hint="Their own readings of the set count nowhere"
        :error="at('owner')"
      />
      <ChoiceField v-model="form.truth_by" label="Sand, silt and clay come from" :options="words.practice.truth_by" />
      <p class="text-pencil text-lg">
        What is in the tubs is seen with the key of this set alone. The key is kept on this device: readers take another
        device, or another browser.
      </p>
      <p v-if="general(['name', 'owner'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ general(['name', 'owner']) }}
      </p>
      <button class="button button-main" type="submit" :disabled="saving">Make the set</button>
    </form>
  </SheetDialog>
</template>
