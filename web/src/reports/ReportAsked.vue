<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { request, type Schemas } from '@/api'
import TextField from '@/shared/TextField.vue'
import { useForm } from '@/shared/useForm'

// What a draft is made for and with.
type Report = Schemas['Report']
const props = defineProps<{ report: Report }>()
const emit = defineEmits<{ saved: [report: Report] }>()
const LINES: [string, string, string?][] = [
  ['client', 'Made for'],
  ['reference', 'Reference'],
  ['root_depth_cm', 'Root depth', 'cm'],
  ['amount_mm', 'Rain or watering', 'mm'],
  ['daily_mm', 'Used a day', 'mm'],
  ['base_cm', 'Intended base', 'cm'],
  ['interest_cm', 'Depth of interest', 'cm'],
]
const asked = computed(() => props.report.asked as Record<string, unknown>)
const form = ref<Record<string, string>>(
  Object.fromEntries(
    [...LINES.map(([name]) => name), 'question', 'table_id'].map((name) => [name, String(asked.value[name] ?? '')]),
  ),
)
const { data } = useQuery({
  queryKey: ['tables'],
  queryFn: () => request<{ tables: Schemas['AssessorTable'][] }>('GET', '/api/assessor-tables'),
})
const { saving, at, general, send } = useForm<Report>()
async function save(): Promise<void> {
  const saved = await send('PATCH', `/api/reports/${props.report.id}`, {
    version: props.report.version,
    asked: form.value,
  })
  if (saved) emit('saved', saved)
}
</script>

<template>
  <details class="print:hidden border-b-2 border-ink pb-3" :open="!asked.question">
    <summary class="summary-line text-xl">What it is made for and with</summary>
    <form class="grid gap-4 pt-2 max-w-5xl" novalidate @submit.prevent="save">
      <label class="grid gap-1 font-semibold">
        Question
        <textarea v-model="form.question" rows="2" class="field !py-2 font-normal"></textarea>
      </label>
      <div class="grid desk:grid-cols-3 gap-4 items-start">
        <TextField
          v-for="[name, label, unit] in LINES"
          :key="name"
          :model-value="form[name] ?? ''"
          :label="label"
          :unit="unit"
          :error="at(name)"
          :inputmode="unit ? 'decimal' : undefined"
          @update:model-value="form[name] = $event"
        />
        <label v-if="data?.tables.length" class="grid gap-1 font-semibold content-start">
          Authority's table
          <select v-model="form.table_id" class="field">
            <option value="">None</option>
            <option v-for="t in data.tables" :key="t.id" :value="String(t.id)">{{ t.name }}</option>
          </select>
        </label>
      </div>
      <p v-if="general(LINES.map(([name]) => name))" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ general([]) }}
      </p>
      <div class="flex flex-wrap gap-4 items-center">
        <button class="button button-desk" type="submit" :disabled="saving">Save</button>
        <span class="text-pencil"
          >Name, address and logo of whoever reports stand in
          <RouterLink to="/settings" class="underline underline-offset-4">Settings</RouterLink>.</span
        >
      </div>
    </form>
  </details>
</template>
