<script setup lang="ts">
import { ref, watch } from 'vue'
import { useWords } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useBench } from './useReading'

// Who textures, who writes, and by which limits. The answers stay as they are.
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const words = useWords()
const form = ref({ limit_set: '', ribbon_counts_from: '', hand: '', pen: '', label: '' })

watch(
  () => props.open,
  () => {
    const { method, hand, pen, label } = bench.reading.value!
    form.value = { limit_set: method.limit_set, ribbon_counts_from: method.ribbon_counts_from, hand: hand ?? '', pen: pen ?? '', label: label ?? '' }
  },
  { immediate: true },
)
function save(): void {
  const { label, ...rest } = form.value
  bench.change(bench.reading.value!.horizon ? rest : { ...rest, label })
  emit('close')
}
</script>

<template>
  <SheetDialog :open="open" title="Method and people" @close="$emit('close')">
    <form class="grid gap-4" @submit.prevent="save">
      <TextField v-if="!bench.reading.value!.horizon" v-model="form.label" label="What is it?" hint="Such as: bed by the gate" />
      <ChoiceField v-model="form.limit_set" label="Limits of the key" :options="words.limit_sets" />
      <ChoiceField v-model="form.ribbon_counts_from" label="What counts as a ribbon" :options="words.ribbon_counts_from" />
      <div class="grid grid-cols-2 gap-4">
        <TextField v-model="form.hand" label="Hand" hint="who textures" />
        <TextField v-model="form.pen" label="Pen" hint="who writes it down" />
      </div>
      <button class="key key-main" type="submit">Save</button>
    </form>
  </SheetDialog>
</template>
