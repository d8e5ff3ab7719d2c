<script setup lang="ts">
import { ref, watch } from 'vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import ClassChoice from '@/bench/assign/ClassChoice.vue'
import { useBench } from '@/bench/useReading'

// Before any water: what the hand expects. It is put away until a class is assigned, so that it leads nobody.
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const code = ref<string>()
watch(code, (chosen) => {
  if (!chosen) return
  bench.expect(chosen)
  code.value = undefined
  emit('close')
})
</script>

<template>
  <SheetDialog :open="open" title="What do you expect?" wide @close="$emit('close')">
    <p class="mb-4">
      By the look and the place alone. It is hidden until you have assigned a class, and then held against it.
    </p>
    <ClassChoice v-model="code" label="Expected class" />
  </SheetDialog>
</template>
