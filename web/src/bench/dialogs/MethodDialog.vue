<script setup lang="ts">
import { ref, watch } from 'vue'
import MethodFields from '@/shared/MethodFields.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useBench } from '@/bench/useReading'

// By which key, who textures and who writes. The answers stay as they are: a key asks only for what is missing.
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const reading = () => bench.reading.value!
const method = ref({ ...reading().method })
const people = ref({ textured_by: '', recorded_by: '', label: '' })

watch(
  () => props.open,
  () => {
    method.value = { ...reading().method }
    people.value = {
      textured_by: reading().textured_by ?? '',
      recorded_by: reading().recorded_by ?? '',
      label: reading().label ?? '',
    }
  },
  { immediate: true },
)
function save(): void {
  // The unit is changed at the ruler.
  const parts = Object.fromEntries(Object.entries(method.value).filter(([name]) => name !== 'unit'))
  const { label, ...named } = people.value
  bench.change({ ...parts, ...named, ...(reading().horizon ? {} : { label }) })
  emit('close')
}
</script>

<template>
  <SheetDialog :open="open" title="Method and people" wide @close="$emit('close')">
    <form class="grid gap-4" @submit.prevent="save">
      <TextField v-if="!reading().horizon" v-model="people.label" label="What is it?" hint="Such as: bed by the gate" />
      <MethodFields v-model="method" />
      <div class="grid grid-cols-2 gap-4">
        <TextField v-model="people.textured_by" label="Textured by" />
        <TextField v-model="people.recorded_by" label="Recorded by" />
      </div>
      <button class="button button-main" type="submit">Save</button>
    </form>
  </SheetDialog>
</template>
