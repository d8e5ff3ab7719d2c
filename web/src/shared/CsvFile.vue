<script setup lang="ts">
import { ref, useId } from 'vue'

// A CSV file to choose; it is read when it is sent. The slot says which columns it has.
defineProps<{ error?: string }>()
const chosen = defineModel<string>({ default: '' })
const id = useId()
const input = ref<HTMLInputElement>()
/** A file that was edited since it was chosen cannot be read any more. */
const stale = ref(false)

/** @returns the text of the file; nothing where it has changed since, which is then told. */
async function read(): Promise<string | null> {
  const text = await input.value!.files![0]!.text().catch(() => null)
  stale.value = text === null
  if (text === null) {
    // Or choosing the same file again would be no change.
    input.value!.value = ''
    chosen.value = ''
  }
  return text
}
defineExpose({ read })
</script>

<template>
  <div class="grid gap-1">
    <label :for="id" class="font-semibold">File, CSV</label>
    <input
      :id="id"
      ref="input"
      type="file"
      accept=".csv,text/csv"
      class="field !py-2"
      @change="chosen = input?.files?.[0]?.name ?? ''"
    />
    <p v-if="stale" role="alert" class="border-l-8 border-iron bg-warn px-3 py-1">
      The file has changed since it was chosen: choose it again.
    </p>
    <p v-else-if="error" class="border-l-8 border-iron bg-warn px-3 py-1">{{ error }}</p>
    <p class="text-pencil text-lg"><slot /></p>
  </div>
</template>
