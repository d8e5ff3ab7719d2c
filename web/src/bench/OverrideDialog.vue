<script setup lang="ts">
import { mainKey } from '@/api'
import { computed, ref, watch } from 'vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import ClassChoice from './ClassChoice.vue'
import { useNaming } from './useNaming'
import { useBench } from './useReading'

// Another class than the key's: the person's call, with one line of reason.
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const { nameOf } = useNaming()
const code = ref<string>()
const reason = ref('')
const sent = ref(false)
const proposed = computed(() => mainKey(bench.reading.value!).outcomes.some((o) => o.code === code.value))
// The server decides what needs a reason; its sentence comes back here.
const error = computed(() => {
  const refused = bench.refused.value
  return sent.value && refused?.write.label === 'class' ? (refused.problem.at('reason') ?? refused.problem.message) : undefined
})

watch(() => props.open, (open) => {
  if (open) [code.value, reason.value, sent.value] = [undefined, '', false]
})
watch(() => bench.reading.value?.assigned?.assigned_at, () => emit('close'))

function assign(): void {
  if (!code.value) return
  sent.value = true
  bench.assign(code.value, reason.value.trim() || undefined)
}
</script>

<template>
  <SheetDialog :open="open" title="Another class" wide @close="$emit('close')">
    <form class="grid gap-4" @submit.prevent="assign">
      <ClassChoice v-model="code" label="Class" />
      <TextField v-model="reason" label="Why, in one line" :error="error" :hint="proposed ? 'The key names this class: no reason is needed.' : 'Kept with the class.'" />
      <button class="key key-main" type="submit" :disabled="!code">Assign {{ code ? nameOf(code) : 'a class' }}</button>
    </form>
  </SheetDialog>
</template>
