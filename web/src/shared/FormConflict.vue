<script setup lang="ts" generic="T">
import { computed, type Ref } from 'vue'
import { forgetLists } from '@/api'
import type { Field } from './described'
import type { FormConflict } from './useForm'
import ConflictTable from './ConflictTable.vue'

// Somebody changed it meanwhile: what is saved and what is not stand side by side, and the person chooses.
const props = defineProps<{
  form: { conflict: Ref<FormConflict | null>; saving: Ref<boolean>; onTop: () => Promise<T | undefined> }
  labels: Record<string, string>
  /** Words of the fields that are chosen and not typed. */
  words?: Record<string, { value: string; name: string }[]>
  fields?: Field[]
}>()
/** With what was saved on top, or with nothing where what stands is kept. */
const emit = defineEmits<{ done: [saved: T | undefined] }>()

const EMPTY = 'Not recorded'
const plain = (value: unknown): string => {
  if (Array.isArray(value)) return value.map((one) => Object.values(one as object).join(' ')).join('; ') || EMPTY
  return value === null || value === undefined || value === '' ? EMPTY : String(value)
}
const say = (name: string, value: unknown): string => {
  const field = props.fields?.find((one) => one.name === name)
  const words = props.words?.[name] ?? field?.words
  return words?.find((word) => word.value === value)?.name ?? plain(value)
}
const inside = (name: string, value: unknown): [string, unknown][] =>
  name === 'described' ? Object.entries((value ?? {}) as Record<string, unknown>) : [[name, value]]
const lines = computed(() => {
  const { theirs: standing, yours } = props.form.conflict.value!
  const theirs = Object.fromEntries(Object.entries(standing).flatMap(([name, value]) => inside(name, value)))
  return Object.entries(yours)
    .filter(([name]) => name !== 'version')
    .flatMap(([name, value]) => inside(name, value))
    .map(([name, value]) => ({
      key: name,
      label: props.labels[name] ?? props.fields?.find((one) => one.name === name)?.label ?? name,
      theirs: say(name, theirs[name]),
      mine: say(name, value),
    }))
    .filter(({ theirs: there, mine }) => there !== mine)
})
async function saveMine(): Promise<void> {
  const saved = await props.form.onTop()
  if (saved) emit('done', saved)
}
function keepTheirs(): void {
  forgetLists()
  emit('done', undefined)
}
</script>

<template>
  <section
    v-if="form.conflict.value"
    role="alert"
    aria-labelledby="conflict-title"
    class="border-l-8 border-iron bg-warn px-4 py-3 grid gap-3"
    data-conflict
  >
    <h2 id="conflict-title" class="text-xl leading-tight">
      Changed in another window, or by somebody else. Yours is not saved yet.
    </h2>
    <ConflictTable v-if="lines.length" :lines="lines" />
    <p v-else>What you typed is the same as what is saved there.</p>
    <div class="grid desk:grid-cols-2 gap-2">
      <button type="button" class="button" :disabled="form.saving.value" @click="keepTheirs">Keep what is saved</button>
      <button type="button" class="button" :disabled="form.saving.value" @click="saveMine">Save mine on top</button>
    </div>
    <p class="text-lg">Saving yours keeps the earlier values in the record.</p>
  </section>
</template>
