<script setup lang="ts">
import { ref } from 'vue'
import { queryClient, type Reading } from '@/api'
import ResultDialog from '@/laboratory/ResultDialog.vue'

// What a laboratory found in this palmful, beside what the hand made of it; the estimate stays the hand's.
const props = defineProps<{ reading: Reading }>()
const writing = ref(false)
function close(): void {
  writing.value = false
  void queryClient.invalidateQueries({ queryKey: ['reading', props.reading.id] })
}
</script>

<template>
  <section aria-labelledby="laboratory-title" class="border-t-2 border-ink pt-2 grid gap-1">
    <h2 id="laboratory-title" class="text-2xl leading-tight">Laboratory</h2>
    <template v-if="reading.laboratory[0]">
      <p class="font-semibold leading-tight" data-laboratory>{{ reading.laboratory[0].said }}</p>
      <p class="leading-tight text-lg">
        {{ reading.laboratory[0].beside?.sentence }}
        <span v-if="reading.laboratory.length > 1" class="text-pencil"
          >{{ reading.laboratory.length - 1 }} earlier.</span
        >
      </p>
    </template>
    <p>
      <button type="button" class="min-h-14 underline underline-offset-4" @click="writing = true">
        {{ reading.laboratory.length ? 'Another result' : 'Write down a result' }}
      </button>
    </p>
    <ResultDialog v-if="writing" :sample="reading.sample" :called="reading.name" @close="close" />
  </section>
</template>
