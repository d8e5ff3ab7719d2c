<script setup lang="ts">
import { LocateFixed } from '@lucide/vue'
import { computed, ref } from 'vue'
import { queryClient, useWords, type Schemas } from '@/api'
import { changes, written } from '@/shared/described'
import FormConflict from '@/shared/FormConflict.vue'
import PhotoStrip from '@/shared/PhotoStrip.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'
import { useGps } from '@/shared/useGps'
import PlacePicker from './PlacePicker.vue'
import FieldGrid from '@/shared/FieldGrid.vue'

// What is written down of a palmful: its name, its looks, where it was taken, and where it belongs.
const props = defineProps<{
  reading: {
    id: number
    label: string | null
    sample: Schemas['Palmful']
    site: { id: number; name: string } | null
    photos?: Schemas['Photo'][]
  }
}>()
const emit = defineEmits<{ close: []; saved: [] }>()
const words = useWords()
const SHOWN = ['moist_colour', 'odour', 'organic_matter', 'fragments_percent', 'note']
const fields = computed(() =>
  SHOWN.map((name) => words.value.fields.sample!.find((field) => field.name === name)!).filter(Boolean),
)
const all = computed(() => words.value.fields.sample!)
const start = { label: props.reading.label ?? '', position: '' }
const form = ref({ ...start })
const before = written(all.value, props.reading.sample.described)
const described = ref({ ...before })
const place = ref<Record<string, unknown>>(props.reading.site ? { site_id: props.reading.site.id } : {})
const placed = JSON.stringify(place.value)
const sending = useForm<unknown>()
const placing = useForm<unknown>()
const { said, trouble, locate } = useGps()
const NAMES = computed(() => ['label', 'position', ...all.value.map(({ name }) => `described/${name}`)])
const general = computed(() => sending.general(NAMES.value) ?? placing.general(['upper_cm']))
const id = props.reading.sample.id

async function useReceiver(): Promise<void> {
  const here = await locate()
  if (!here) return
  described.value = { ...described.value, latitude: String(here.latitude), longitude: String(here.longitude) }
  form.value.position = ''
}
async function save(): Promise<void> {
  const body = { ...changes(form.value, start), described: changes(described.value, before) }
  let version = props.reading.sample.version
  const changed = Object.keys(body).length > 1 || Object.keys(body.described).length > 0
  if (changed) {
    if (!(await sending.send('PATCH', `/api/samples/${id}`, { ...body, version }))) return
    version += 1
  }
  if (JSON.stringify(place.value) !== placed)
    if (!(await placing.send('PUT', `/api/samples/${id}/place`, { ...place.value, version }))) return
  done()
}
function done(): void {
  void queryClient.invalidateQueries({ queryKey: ['reading'] })
  emit('saved')
  emit('close')
}
</script>

<template>
  <SheetDialog open wide :title="reading.label ?? 'Quick reading'" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <TextField v-model="form.label" label="Name" first :error="sending.at('label')" />
      <FieldGrid v-model="described" :fields="fields" :error="(name) => sending.at(`described/${name}`)" />
      <div class="grid desk:grid-cols-[1fr_auto] gap-3 items-start">
        <TextField
          v-model="form.position"
          label="Position"
          :hint="
            reading.sample.position ? `Now ${reading.sample.position}` : 'Where it was taken, such as 48.2082, 16.3738'
          "
          :error="sending.at('position')"
        />
        <button type="button" class="button desk:mt-8" @click="useReceiver">
          <LocateFixed aria-hidden="true" />Use GPS
        </button>
      </div>
      <p v-if="said" role="status" class="text-pencil">{{ said }}</p>
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">{{ trouble }}</p>
      <PlacePicker v-model="place" :error="placing.at" />
      <PhotoStrip v-if="reading.photos" of="reading" :id="reading.id" :photos="reading.photos" what="this palmful" />
      <FormConflict :form="sending" :labels="{ label: 'Name', position: 'Position' }" :fields="all" @done="done" />
      <p v-if="general" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general }}</p>
      <button class="button button-main" type="submit" :disabled="sending.saving.value || placing.saving.value">
        Save
      </button>
    </form>
  </SheetDialog>
</template>
