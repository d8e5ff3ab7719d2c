<script setup lang="ts">
import { computed, ref } from 'vue'
import { served, isProblem, queryClient, type Schemas } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import CsvFile from '@/shared/CsvFile.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// A table of an authority as CSV: whose it is, of what date, and which of its values limit.
const emit = defineEmits<{ close: []; made: [id: number] }>()
const { saving, problem, at, general, send } = useForm<Schemas['AssessorTable']>()
const form = ref({ name: '', authority: '', dated_on: '', limiting: 'lowest' })
const chosen = ref('')
const file = ref<InstanceType<typeof CsvFile>>()
const LIMITS = [
  { value: 'lowest', name: 'The lowest value limits' },
  { value: 'highest', name: 'The highest value limits' },
]
/** What is wrong in single rows, as a spreadsheet counts them. */
const rows = computed(() =>
  (isProblem(problem.value) ? (problem.value.body.errors ?? []) : []).flatMap(({ pointer, detail }) => {
    const row = pointer.match(/^\/rows\/(\d+)/)?.[1]
    return row ? [`Row ${Number(row) + 2}: ${detail}`] : []
  }),
)

async function save(): Promise<void> {
  const csv = await file.value!.read()
  if (csv === null) return
  const made = await send('POST', '/api/assessor-tables', { ...form.value, csv })
  if (!made) return
  await queryClient.invalidateQueries({ queryKey: ['tables'] })
  emit('made', made.id)
}
</script>

<template>
  <SheetDialog open title="Your authority's table" @close="$emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <TextField v-model="form.name" label="Name of the table" :error="at('name')" first />
      <TextField v-model="form.authority" label="Authority" :error="at('authority')" />
      <TextField v-model="form.dated_on" label="Date of issue" type="date" :error="at('dated_on')" />
      <ChoiceField v-model="form.limiting" label="In it" :options="LIMITS" />
      <CsvFile ref="file" v-model="chosen" :error="at('csv')">
        Columns match, structure_grade, structure_type, value, unit, note.
        <a :href="served('/api/assessor-tables/template')" download class="underline underline-offset-4"
          >An empty table</a
        >
      </CsvFile>
      <ul v-if="rows.length" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        <li v-for="r in rows" :key="r">{{ r }}</li>
      </ul>
      <p
        v-else-if="general(['name', 'authority', 'dated_on', 'csv'])"
        role="alert"
        class="border-l-8 border-iron bg-warn px-3 py-2"
      >
        {{ general([]) }}
      </p>
      <button class="button button-main" type="submit" :disabled="saving || !chosen">Import the table</button>
    </form>
  </SheetDialog>
</template>
