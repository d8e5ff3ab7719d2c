<script setup lang="ts">
import { computed, ref } from 'vue'
import { useWords, type Profile } from '@/api'
import ExposureFields from '@/fieldbook/ExposureFields.vue'
import { changes, numberOr, written, type Written } from '@/shared/described'
import FieldInput from '@/shared/FieldInput.vue'
import FormConflict from '@/shared/FormConflict.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// What is written down of the exposure itself, and the pulls of the auger.
const props = defineProps<{ profile: Profile }>()
const emit = defineEmits<{ close: [] }>()
const words = useWords()
const fields = computed(() => words.value.fields.profile!)
const pullFields = computed(() => words.value.fields.increment!)
const form = ref({
  name: props.profile.name,
  kind: props.profile.kind,
  textured_by: props.profile.textured_by ?? '',
  recorded_by: props.profile.recorded_by ?? '',
  note: props.profile.note ?? '',
})
const before = written(fields.value, props.profile.described)
const described = ref({ ...before })
const pulls = ref<Written[]>((props.profile.increments ?? []).map((pull) => written(pullFields.value, pull)))
const augered = computed(() => form.value.kind.endsWith('auger') || pulls.value.length > 0)
const sending = useForm<Profile>()
const { saving, conflict, at, general, send } = sending
const OWN = ['name', 'kind', 'textured_by', 'recorded_by', 'note']
const all = computed(() => [
  ...OWN,
  ...fields.value.map(({ name }) => `described/${name}`),
  ...pulls.value.flatMap((_, i) => [
    ...pullFields.value.map(({ name }) => `increments/${i}/${name}`),
    `increments/${i}/upper_cm`,
    `increments/${i}/lower_cm`,
  ]),
])
const pullError = (i: number, name: string) =>
  at(`increments/${i}/${name}`) ??
  (name === 'from_cm' ? at(`increments/${i}/upper_cm`) : name === 'to_cm' ? at(`increments/${i}/lower_cm`) : undefined)
const addPull = () =>
  pulls.value.push({ ...written(pullFields.value, { condition: 'whole' }), from_cm: pulls.value.at(-1)?.to_cm ?? '0' })

const start = { ...form.value }
const pulled = JSON.stringify(pulls.value)
/** The lines of one pull, its depths as numbers. */
const read = (pull: Written) =>
  Object.fromEntries(
    Object.entries(pull).map(([name, value]) => [name, name.endsWith('_cm') ? (numberOr(value) ?? null) : value]),
  )
const LABELS = {
  name: 'Name',
  kind: 'Exposure type',
  textured_by: 'Textured by',
  recorded_by: 'Recorded by',
  note: 'Note',
  increments: 'Auger increments',
}
async function save(): Promise<void> {
  const increments = JSON.stringify(pulls.value) === pulled ? {} : { increments: pulls.value.map(read) }
  const body = { ...changes(form.value, start), described: changes(described.value, before), ...increments }
  const saved = await send('PATCH', `/api/profiles/${props.profile.id}`, { version: props.profile.version, ...body })
  if (saved) emit('close')
}
</script>

<template>
  <SheetDialog open wide :title="`Profile details: ${profile.name}`" @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <ExposureFields :model-value="form" :at="at" @update:model-value="form = { ...form, ...$event }" />
      <div class="grid desk:grid-cols-2 gap-4 items-start">
        <FieldInput
          v-for="f in fields"
          :key="f.name"
          v-model="described[f.name]!"
          :field="f"
          :error="at(`described/${f.name}`)"
        />
      </div>
      <section v-if="augered" aria-labelledby="pulls-title" class="grid gap-2 border-t-[1.5px] border-ink pt-2">
        <h2 id="pulls-title" class="text-xl">Auger increments</h2>
        <p class="text-pencil text-lg">
          Soil that fell in or was smeared does not speak for its depth: readings of it are set aside.
        </p>
        <fieldset
          v-for="(pull, i) in pulls"
          :key="i"
          class="grid grid-cols-2 desk:grid-cols-[1fr_1fr_1fr_1.6fr_auto] gap-2 items-start"
        >
          <legend class="sr-only">Pull {{ i + 1 }}</legend>
          <FieldInput
            v-for="f in pullFields"
            :key="f.name"
            v-model="pull[f.name]!"
            :field="f"
            :error="pullError(i, f.name)"
          />
          <button type="button" class="button mt-7" :aria-label="`Take pull ${i + 1} away`" @click="pulls.splice(i, 1)">
            ✕
          </button>
        </fieldset>
        <button type="button" class="button justify-self-start" @click="addPull">Add a pull</button>
      </section>
      <TextField v-model="form.note" label="Note" :error="at('note')" />
      <FormConflict
        :form="sending"
        :labels="LABELS"
        :words="{ kind: words.exposures }"
        :fields="fields"
        @done="emit('close')"
      />
      <p v-if="general(all)" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general(all) }}</p>
      <button class="button button-main" type="submit" :disabled="saving || conflict !== null">Save</button>
    </form>
  </SheetDialog>
</template>
