<script setup lang="ts">
import { ref } from 'vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useBench } from '@/bench/useReading'

// Two answers that speak against each other, and both stand: one line why.
const props = defineProps<{ rule: string; sentence: string }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const reason = ref('')
const wrong = ref<string>()
function keep(): void {
  if (!reason.value.trim()) {
    wrong.value = 'Write one line why you keep both.'
    return
  }
  bench.keepBoth(props.rule, reason.value.trim())
  emit('close')
}
</script>

<template>
  <SheetDialog open title="Keep both" @close="$emit('close')">
    <form class="grid gap-4" @submit.prevent="keep">
      <p>{{ sentence }}</p>
      <TextField v-model="reason" label="Why, in one line" :error="wrong" hint="Kept with the reading." />
      <button class="button button-main" type="submit">Keep both</button>
    </form>
  </SheetDialog>
</template>
