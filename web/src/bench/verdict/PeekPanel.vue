<script setup lang="ts">
import { mainKey } from '@/api'
import { ChevronUp } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import { useBench } from '@/bench/useReading'
import VerdictPanel from './VerdictPanel.vue'

// The verdict on a phone: one line, always in sight, that opens.
defineProps<{ step: string }>()
const bench = useBench()
const open = ref(false)
// Whatever was pressed in it leads somewhere: the way there must be in sight.
watch([bench.step, bench.test], () => (open.value = false))
const key = computed(() => mainKey(bench.reading.value!))
</script>

<template>
  <button
    type="button"
    class="min-w-0 grid grid-cols-[minmax(0,1fr)_24px] items-center gap-2 text-left min-h-11 leading-tight"
    aria-haspopup="dialog"
    :aria-label="`Verdict so far: ${key.sentence}`"
    @click="open = true"
  >
    <span class="line-clamp-2 text-lg leading-[1.15] font-semibold" data-peek>{{ key.sentence }}</span><ChevronUp
      aria-hidden="true"
    />
  </button>
  <SheetDialog :open="open" title="Verdict so far" @close="open = false"><VerdictPanel :step="step" /></SheetDialog>
</template>
