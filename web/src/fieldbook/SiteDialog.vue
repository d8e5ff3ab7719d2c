<script setup lang="ts">
import { ref } from 'vue'
import { useWords, type Site } from '@/api'
import CautionNote from '@/shared/CautionNote.vue'
import ChoiceField from '@/shared/ChoiceField.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

const emit = defineEmits<{ close: []; made: [site: Site] }>()
const words = useWords()
const form = ref({ name: '', landform: '', note: '' })
const { saving, at, general, send } = useForm<Site>()

async function save(): Promise<void> {
  const site = await send('POST', '/api/sites', { name: form.value.name, landform: form.value.landform || null, note: form.value.note || null })
  if (site) emit('made', site)
}
</script>

<template>
  <SheetDialog open title="New site" @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <CautionNote name="site" />
      <TextField v-model="form.name" label="Name" :error="at('name')" />
      <ChoiceField v-model="form.landform" label="Where in the land" :options="words.landforms" />
      <TextField v-model="form.note" label="Note" :error="at('note')" hint="What grows there, how wet it is, what was done before" />
      <p v-if="general(['name', 'note'])" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(['name', 'note']) }}</p>
      <button class="key key-main" type="submit" :disabled="saving">Add the site</button>
    </form>
  </SheetDialog>
</template>
