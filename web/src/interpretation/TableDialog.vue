<script setup lang="ts">
import { computed, ref } from 'vue'
import { isProblem, queryClient, type Schemas } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// A table of an authority as CSV: whose it is, of what date, and which of its values limit.
const emit = defineEmits<{ close: []; made: [id: number] }>()
const { saving, problem, at, general, send } = useForm<Schemas['AssessorTable']>()
const form = ref({ name: '', authority: '', dated_on: '', limiting: 'lowest' })
const file = ref<File>()
const input = ref<HTMLInputElement>()
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

/** A file that was edited since it was chosen cannot be read any more. */
const stale = ref(false)
async function save(): Promise<void> {
  const csv = await file.value!.text().catch(() => null)
  stale.value = csv === null
  if (csv === null) {
    // Or choosing the same file again would be no change.
    input.value!.value = ''
    file.value = undefined
    return
  }
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
      <div class="grid gap-1">
        <label for="table-file" class="font-semibold">File, CSV</label>
        <input
          id="table-file"
          ref="input"
          type="file"
          accept=".csv,text/csv"
          class="field !py-2"
          @change="file = ($event.target as HTMLInputElement).files?.[0]"
        />
        <p v-if="stale" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">
          The file has changed since it was chosen: choose it again.
        </p>
        <p v-else-if="at('csv')" class="border-l-8 border-iron bg-warn px-3 py-1">{{ at('csv') }}</p>
        <p class="text-pencil text-lg">
          Columns match, structure_grade, structure_type, value, unit, note.
          <a href="/api/assessor-tables/template" download class="underline underline-offset-4">An empty table</a>
        </p>
      </div>
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
      <button class="button button-main" type="submit" :disabled="saving || !file">Import the table</button>
    </form>
  </SheetDialog>
</template>
