<script setup lang="ts">
import { LocateFixed } from '@lucide/vue'
import { computed, ref } from 'vue'
import { served, useWords, type Site } from '@/api'
import { useBin } from '@/bin/useBin'
import CautionNote from '@/shared/CautionNote.vue'
import ChoiceField from '@/shared/ChoiceField.vue'
import { changes, written } from '@/shared/described'
import FieldGroups from '@/shared/FieldGroups.vue'
import FormConflict from '@/shared/FormConflict.vue'
import PhotoStrip from '@/shared/PhotoStrip.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'
import { useGps } from '@/shared/useGps'

// A new site, or all that is written down of one.
const props = defineProps<{ site?: Site | null }>()
const emit = defineEmits<{ close: []; made: [site: Site]; addProfile: [site: Site] }>()
const words = useWords()
const fields = computed(() => words.value.fields.site!)
const form = ref({
  name: props.site?.name ?? '',
  landform: props.site?.landform ?? '',
  note: props.site?.note ?? '',
  position: '',
})
const start = { ...form.value }
const before = written(fields.value, props.site?.described)
const described = ref({ ...before })
const sending = useForm<Site>()
const { saving, conflict, at, general, send } = sending
const { said, trouble, locate } = useGps()
const { ask } = useBin()
const FIELDS = ['name', 'note', 'position', 'landform']
const fieldError = (name: string) => at(`described/${name}`)
const unplaced = computed(() => general([...FIELDS, ...fields.value.map(({ name }) => `described/${name}`)]))

const LABELS = { name: 'Name', landform: 'Landform position', note: 'Note', position: 'Position' }
async function save(): Promise<void> {
  const own = changes(form.value, start)
  for (const field of ['landform', 'note']) if (own[field] === '') Object.assign(own, { [field]: null })
  if (!props.site) own.name = form.value.name
  const body = { ...own, described: changes(described.value, before) }
  const site = props.site
    ? await send('PATCH', `/api/sites/${props.site.id}`, { ...body, version: props.site.version })
    : await send('POST', '/api/sites', body)
  if (site) emit('made', site)
}
/** The mean of the receiver's fixes goes into the fields, to be seen before it is saved. */
async function useReceiver(): Promise<void> {
  const here = await locate()
  if (!here) return
  described.value = {
    ...described.value,
    latitude: String(here.latitude),
    longitude: String(here.longitude),
    accuracy_m: String(here.accuracy_m ?? ''),
    elevation_m: String(here.elevation_m ?? ''),
  }
  form.value.position = ''
}
</script>

<template>
  <SheetDialog open wide :title="site ? site.name : 'New site'" @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <CautionNote name="site" />
      <TextField v-model="form.name" label="Name" :first="!site" :error="at('name')" />
      <ChoiceField v-model="form.landform" label="Landform position" :options="words.landforms" />
      <TextField
        v-model="form.note"
        label="Note"
        :error="at('note')"
        hint="What grows there, how wet it is, what was done before"
      />
      <div class="grid desk:grid-cols-[1fr_auto] gap-3 items-start">
        <TextField
          v-model="form.position"
          label="Position"
          :hint="
            site?.position
              ? `Now ${[site.position, site.grid].filter(Boolean).join('; ')}`
              : 'Such as 48.2082, 16.3738, degrees, minutes and seconds, or UTM 33U 602094 5340368'
          "
          :error="at('position')"
        />
        <button type="button" class="button desk:mt-8" @click="useReceiver">
          <LocateFixed aria-hidden="true" />Use GPS
        </button>
      </div>
      <p v-if="said" role="status" class="text-pencil">{{ said }}</p>
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">{{ trouble }}</p>
      <FieldGroups v-model="described" :fields="fields" :error="fieldError" />
      <PhotoStrip v-if="site" of="site" :id="site.id" :photos="site.photos" :what="site.name" />
      <FormConflict
        :form="sending"
        :labels="LABELS"
        :words="{ landform: words.landforms }"
        :fields="fields"
        @done="$event ? emit('made', $event) : emit('close')"
      />
      <p v-if="unplaced" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ unplaced }}</p>
      <div class="flex flex-wrap gap-2">
        <button class="button button-main for-writers grow" type="submit" :disabled="saving || conflict !== null">
          {{ site ? 'Save' : 'Add the site' }}
        </button>
        <button v-if="site" class="button for-writers" type="button" @click="$emit('addProfile', site)">
          Add a profile
        </button>
        <RouterLink v-if="site" class="button" :to="`/sites/${site.id}`">All its profiles</RouterLink>
        <a v-if="site" class="button" :href="served(`/api/export?format=package&of=site&id=${site.id}`)" download
          >Package of this site</a
        >
        <RouterLink v-if="site" class="button" :to="`/history/site/${site.id}`">History</RouterLink>
        <button v-if="site" class="button for-writers" type="button" @click="ask('site', site.id, () => emit('close'))">
          Delete site
        </button>
      </div>
    </form>
  </SheetDialog>
</template>
