<script setup lang="ts">
import { computed, ref } from 'vue'
import { isProblem, useWords, type Schemas } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import CsvFile from '@/shared/CsvFile.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// A laboratory's table: samples are found by their label and shown before anything is kept, what the file leaves open
// is asked, every bad row is named, and all is imported or nothing.
const emit = defineEmits<{ close: [] }>()
type Import = Schemas['LaboratoryImport']
const { saving, problem, general, send } = useForm<Import>()
const words = useWords()
const methods = computed(() => [{ value: '', name: 'As the table says' }, ...words.value.laboratory.methods])
const method = ref('')
const laboratory = ref('')
const chosen = ref('')
const file = ref<InstanceType<typeof CsvFile>>()
const csv = ref('')
const found = ref<Import>()
const said = ref<Record<string, string>>({})
const kept = ref<number>()
const rows = computed(() => (isProblem(problem.value) ? (problem.value.body.errors ?? []) : []))
const open = computed(() => found.value?.questions.some(({ name }) => !said.value[name]) ?? false)

const post = (check: boolean) =>
  send('POST', '/api/laboratory-results', {
    name: chosen.value,
    csv: csv.value,
    method: method.value || null,
    laboratory: laboratory.value || null,
    check,
    ...said.value,
  })
async function look(): Promise<void> {
  const text = await file.value!.read()
  if (text === null) return
  csv.value = text
  said.value = {}
  found.value = await post(true)
}
async function save(): Promise<void> {
  const saved = await post(false)
  if (saved?.kept) kept.value = saved.kept
  else if (saved) found.value = saved
}
</script>

<template>
  <SheetDialog open wide title="Laboratory results" :saved="kept" @close="$emit('close')">
    <div v-if="kept !== undefined" class="grid gap-4">
      <p role="status">{{ kept }} {{ kept === 1 ? 'result was' : 'results were' }} imported.</p>
      <button type="button" class="button button-main" @click="emit('close')">Close</button>
    </div>
    <form v-else-if="found" class="grid gap-4" novalidate @submit.prevent="save">
      <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="What would be imported">
        <table class="w-full text-lg">
          <thead>
            <tr class="border-b-2 border-ink text-left">
              <th scope="col" class="pr-3">Label in the file</th>
              <th scope="col" class="pr-3">Sample</th>
              <th scope="col">Result</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(r, i) in found.rows" :key="i" class="border-b border-rule align-top">
              <td class="pr-3">{{ r.label }}</td>
              <td class="pr-3">{{ r.sample }}</td>
              <td>
                {{ r.said }} <span class="text-pencil">{{ r.done.join('; ') }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="found.without.length" class="text-pencil">
        Without a result: {{ found.without.map((w) => [w.label, w.remark].filter(Boolean).join(', ')).join('; ') }}.
      </p>
      <ChoiceField
        v-for="q in found.questions"
        :key="q.name"
        :model-value="said[q.name] ?? ''"
        :label="q.sentence"
        :options="q.choices"
        @update:model-value="said = { ...said, [q.name]: $event }"
      />
      <p v-if="problem" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
      <div class="flex flex-wrap gap-2">
        <button class="button button-main" type="submit" :disabled="saving || open">
          These are the samples: import
        </button>
        <button class="button" type="button" @click="found = undefined">Another file</button>
      </div>
    </form>
    <form v-else class="grid gap-4" novalidate @submit.prevent="look">
      <CsvFile ref="file" v-model="chosen">
        Columns label, sand, silt, clay; also method, uncertainty, date, laboratory, number, remark. Samples are found
        by their label.
      </CsvFile>
      <ChoiceField v-model="method" label="Method" :options="methods" />
      <TextField v-model="laboratory" label="Laboratory" />
      <ul v-if="rows.length" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        <li v-for="r in rows" :key="r.pointer + r.detail">{{ r.detail }}</li>
      </ul>
      <p v-else-if="problem" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
      <button class="button button-main" type="submit" :disabled="saving || !chosen">Look at the file</button>
    </form>
  </SheetDialog>
</template>
