<script setup lang="ts">
import { computed, ref } from 'vue'
import { isProblem, useWords } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import CsvFile from '@/shared/CsvFile.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// A laboratory's table: samples are found by their label, every bad row is named, and all is imported or nothing.
const emit = defineEmits<{ close: [] }>()
const { saving, problem, general, send } = useForm<{ kept: number }>()
const words = useWords()
const methods = computed(() => [{ value: '', name: 'As the table says' }, ...words.value.laboratory.methods])
const method = ref('')
const laboratory = ref('')
const chosen = ref('')
const file = ref<InstanceType<typeof CsvFile>>()
const kept = ref<number>()
const rows = computed(() => (isProblem(problem.value) ? (problem.value.body.errors ?? []) : []))

async function save(): Promise<void> {
  const csv = await file.value!.read()
  if (csv === null) return
  const body = { name: chosen.value, csv, method: method.value || null, laboratory: laboratory.value || null }
  const saved = await send('POST', '/api/laboratory-results', body)
  if (saved) kept.value = saved.kept
}
</script>

<template>
  <SheetDialog open title="Laboratory results" :saved="kept" @close="$emit('close')">
    <div v-if="kept !== undefined" class="grid gap-4">
      <p role="status">{{ kept }} {{ kept === 1 ? 'result was' : 'results were' }} imported.</p>
      <button type="button" class="button button-main" @click="emit('close')">Close</button>
    </div>
    <form v-else class="grid gap-4" novalidate @submit.prevent="save">
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
      <button class="button button-main" type="submit" :disabled="saving || !chosen">Import the results</button>
    </form>
  </SheetDialog>
</template>
