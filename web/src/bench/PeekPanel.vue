<script setup lang="ts">
import { mainKey } from '@/api'
import { ChevronUp } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import TextureTriangle from '@/drawing/TextureTriangle.vue'
import SheetDialog from '@/shared/SheetDialog.vue'
import SchoolStrip from '@/schools/SchoolStrip.vue'
import { useNaming } from './useNaming'
import { useBench } from './useReading'
import VerdictPanel from './VerdictPanel.vue'

// The verdict on a phone: one line that opens.
defineProps<{ step: string }>()
const bench = useBench()
const { names, lines, short } = useNaming()
const open = ref(false)
// Whatever was pressed in it leads somewhere: the way there must be in sight.
watch([bench.step, bench.test], () => (open.value = false))
const key = computed(() => mainKey(bench.reading.value!))
</script>

<template>
  <button
    type="button"
    class="w-full grid grid-cols-[64px_1fr_24px] items-center gap-3 text-left bg-leaf border-y-2 border-ink px-2 min-h-16 leading-tight"
    aria-haspopup="dialog"
    @click="open = true"
  >
    <TextureTriangle :classes="names" :lines="lines" :possible="key.possible" :outcomes="[]" :width="64" />
    <span class="py-1"
      >{{ key.sentence
      }}<SchoolStrip
        :reading="bench.reading.value!"
        :short="short"
        brief
        class="mt-0.5 [&_ul]:!flex [&_ul]:flex-wrap [&_ul]:gap-x-3" /></span
    ><ChevronUp aria-hidden="true" />
  </button>
  <SheetDialog :open="open" title="Verdict so far" @close="open = false"><VerdictPanel :step="step" /></SheetDialog>
</template>
