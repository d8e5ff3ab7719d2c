<script lang="ts">
import type { Schemas } from '@/api'
export type TubRow = { label?: string } & { [name in keyof Schemas['TubInput']]?: unknown }
</script>

<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { useWords } from '@/api'

// Tubs as a table to type into: Tab goes along, Enter in the last row begins the next.
defineProps<{
  truth: Schemas['Tub'][]
  /** Whether a class and its clay suffice, as a teacher may know them. */ byClass?: boolean
}>()
const emit = defineEmits<{ changed: [] }>()
const rows = defineModel<TubRow[]>({ required: true })
const words = useWords()
const body = ref<HTMLElement>()
const COLUMNS = [
  ['label', 'Label', 'w-28'],
  ['sand', 'Sand, %', 'w-20'],
  ['silt', 'Silt, %', 'w-20'],
  ['clay', 'Clay, %', 'w-20'],
  ['uncertainty', '±', 'w-16'],
  ['determinations', 'Determinations', 'w-16'],
] as const

function write(row: number, name: string, value: string): void {
  const written = rows.value.map((one, at) => (at === row ? { ...one, [name]: value } : one))
  rows.value = row === written.length - 1 && value ? [...written, { label: '' }] : written
  emit('changed')
}
function remove(row: number): void {
  const left = rows.value.filter((_, at) => at !== row)
  rows.value = left.length ? left : [{ label: '' }]
  emit('changed')
}
/** Enter goes to the row below. */
async function below(row: number): Promise<void> {
  await nextTick()
  body.value?.querySelectorAll<HTMLInputElement>('input[data-label]')[row + 1]?.focus()
}
const text = (value: unknown): string => (value === undefined || value === null ? '' : String(value))
</script>

<template>
  <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="Tubs">
    <table class="border-collapse">
      <thead>
        <tr class="text-left border-b-2 border-ink">
          <th v-for="[name, title] in COLUMNS" :key="name" scope="col" class="pr-2 py-1 font-semibold">{{ title }}</th>
          <th v-if="byClass" scope="col" class="pr-2 font-semibold">Or class and clay</th>
          <th scope="col" class="pr-2 font-semibold">Method</th>
          <th scope="col" class="font-semibold">Class</th>
          <td />
        </tr>
      </thead>
      <tbody ref="body">
        <tr v-for="(row, i) in rows" :key="i" class="border-b border-rule">
          <td v-for="[name, title, width] in COLUMNS" :key="name" class="pr-2 py-1">
            <input
              class="field !min-h-11 !text-lg !px-2"
              :class="width"
              :value="text(row[name])"
              :aria-label="`${title}, row ${i + 1}`"
              :inputmode="name === 'label' ? 'text' : 'decimal'"
              :data-label="name === 'label' ? '' : undefined"
              autocomplete="off"
              @input="write(i, name, ($event.target as HTMLInputElement).value)"
              @keydown.enter.prevent="below(i)"
            />
          </td>
          <td v-if="byClass" class="pr-2">
            <select
              class="field !min-h-11 !text-lg !px-2 w-44"
              :value="text(row.class)"
              :aria-label="`Class without sand, row ${i + 1}`"
              @change="write(i, 'class', ($event.target as HTMLSelectElement).value)"
            >
              <option value=""></option>
              <option v-for="c in words.practice.classes" :key="c.value" :value="c.value">{{ c.name }}</option>
            </select>
          </td>
          <td class="pr-2">
            <select
              class="field !min-h-11 !text-lg !px-2 w-36"
              :value="text(row.method) || words.laboratory.methods[0]!.value"
              :aria-label="`Method, row ${i + 1}`"
              @change="write(i, 'method', ($event.target as HTMLSelectElement).value)"
            >
              <option v-for="m in words.laboratory.methods" :key="m.value" :value="m.value">{{ m.name }}</option>
            </select>
          </td>
          <td class="pr-2 whitespace-nowrap first-letter:uppercase">
            {{ truth.find(({ id }) => id === row.id)?.named }}
          </td>
          <td>
            <button
              v-if="i < rows.length - 1"
              type="button"
              class="min-h-11 px-2 underline underline-offset-4"
              :aria-label="`Remove row ${i + 1}`"
              @click="remove(i)"
            >
              Remove
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
