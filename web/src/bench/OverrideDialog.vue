<script setup lang="ts">
import { mainKey } from '@/api'
import { computed, ref, watch } from 'vue'
import { fillOf } from '@/drawing/grain'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useAnswers } from './useAnswers'
import { useBench } from './useReading'

// Another class than the key's: the person's call, with one line of reason.
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const { words } = useAnswers()
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
      <div class="grid grid-cols-2 desk:grid-cols-3 gap-2" role="group" aria-label="Class">
        <button v-for="c in words.classes" :key="c.code" type="button" class="key !justify-start text-left px-2" :aria-pressed="code === c.code" @click="code = c.code">
          <svg width="34" height="34" class="shrink-0" aria-hidden="true"><rect class="ground" width="34" height="34" /><rect width="34" height="34" :fill="fillOf(c.code, true)" /><rect class="inked" x="1" y="1" width="32" height="32" style="stroke-width: 1.5" /></svg>
          {{ c.name }}
        </button>
      </div>
      <TextField v-model="reason" label="Why, in one line" :error="error" :hint="proposed ? 'The key names this class: no reason is needed.' : 'Kept with the class.'" />
      <button class="key key-main" type="submit" :disabled="!code">Assign {{ code ? words.classes.find((c) => c.code === code)?.name : 'a class' }}</button>
    </form>
  </SheetDialog>
</template>
