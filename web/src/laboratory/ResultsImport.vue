<script setup lang="ts">
import { computed, ref } from 'vue'
import { isProblem } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// A laboratory's table: samples are found by their label, every bad row is named, and all is imported or nothing.
const emit = defineEmits<{ close: [] }>()
const { saving, problem, general, send } = useForm<{ kept: number }>()
const METHODS = [
  { value: '', name: 'As the table says' },
  { value: 'pipette', name: 'Pipette' },
  { value: 'hydrometer', name: 'Hydrometer' },
  { value: 'laser', name: 'Laser' },
]
const method = ref('')
const laboratory = ref('')
const file = ref<File>()
const input = ref<HTMLInputElement>()
const stale = ref(false)
const kept = ref<number>()
const rows = computed(() => (isProblem(problem.value) ? (problem.value.body.errors ?? []) : []))

async function save(): Promise<void> {
  const csv = await file.value!.text().catch(() => null)
  stale.value = csv === null
  if (csv === null) {
    // Or choosing the same file again would be no change.
    input.value!.value = ''
    file.value = undefined
    return
  }
  const body = { name: file.value!.name, csv, method: method.value || null, laboratory: laboratory.value || null }
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
      <div class="grid gap-1">
        <label for="results-file" class="font-semibold">File, CSV</label>
        <input
          id="results-file"
          ref="input"
          type="file"
          accept=".csv,text/csv"
          class="field !py-2"
          @change="file = ($event.target as HTMLInputElement).files?.[0]"
        />
        <p v-if="stale" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">
          The file has changed since it was chosen: choose it again.
        </p>
        <p class="text-pencil text-lg">
          Columns label, sand, silt, clay; also method, uncertainty, date, laboratory, number, remark. Samples are found
          by their label.
        </p>
      </div>
      <ChoiceField v-model="method" label="Method" :options="METHODS" />
      <TextField v-model="laboratory" label="Laboratory" />
      <ul v-if="rows.length" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        <li v-for="r in rows" :key="r.pointer + r.detail">{{ r.detail }}</li>
      </ul>
      <p v-else-if="problem" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
      <button class="button button-main" type="submit" :disabled="saving || !file">Import the results</button>
    </form>
  </SheetDialog>
</template>
