<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '@/api'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import ClassChoice from './ClassChoice.vue'
import { useNaming } from '@/bench/useNaming'
import { useBench } from '@/bench/useReading'

// Another class than the key's, by any of the names that are ready for it: the person's call, with one line of reason.
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const { nameOf } = useNaming()
const code = ref<string>()
const chosen = ref<Schemas['Offer']>()
const reason = ref('')
const sent = ref(false)
const proposed = computed(() => bench.reading.value!.proposals.some((offer) => offer.code === code.value))
// A word that the hand says of the class, though nothing felt says so.
const POSITIONS = ['light', 'heavy']
const names = computed(() => bench.reading.value!.offers.find((offer) => offer.code === code.value)?.names ?? [])
const positions = computed(() =>
  names.value.at(-1)?.system === 'organic'
    ? []
    : POSITIONS.filter(
        (word) => !names.value.some(({ added }) => (added as Record<string, unknown>).position === word),
      ),
)
// The server decides what needs a reason; its sentence comes back here.
const error = computed(() => {
  const refused = bench.refused.value
  return sent.value && refused?.write.label === 'class'
    ? (refused.problem.at('reason') ?? refused.problem.message)
    : undefined
})

watch(
  () => props.open,
  (open) => {
    if (open) [code.value, chosen.value, reason.value, sent.value] = [undefined, undefined, '', false]
  },
)
watch(code, () => (chosen.value = names.value.at(-1)))
watch(
  () => bench.reading.value?.assigned?.assigned_at,
  () => emit('close'),
)

function choose(position: string): void {
  const plain = names.value.at(-1)!
  chosen.value = { ...plain, full_name: `${position} ${plain.full_name}`, added: { position } as never }
}
function assign(): void {
  if (!chosen.value) return
  sent.value = true
  bench.assign(chosen.value, reason.value.trim() || undefined)
}
</script>

<template>
  <SheetDialog :open="open" title="Another class" wide @close="$emit('close')">
    <form class="grid gap-4" @submit.prevent="assign">
      <ClassChoice v-model="code" label="Class" organic />
      <div v-if="names.length > 1 || positions.length" class="flex flex-wrap gap-2" role="group" aria-label="Its name">
        <button
          v-for="n in names"
          :key="n.full_name"
          type="button"
          class="button"
          :aria-pressed="chosen?.full_name === n.full_name"
          @click="chosen = n"
        >
          {{ n.full_name }}
        </button>
        <button
          v-for="p in positions"
          :key="p"
          type="button"
          class="button"
          :aria-pressed="(chosen?.added as Record<string, unknown> | undefined)?.position === p"
          @click="choose(p)"
        >
          {{ p }} {{ nameOf(code!) }}
        </button>
      </div>
      <TextField
        v-model="reason"
        label="Why, in one line"
        :error="error"
        :hint="proposed ? 'The key names this class: no reason is needed.' : 'Kept with the class.'"
      />
      <button class="button button-main" type="submit" :disabled="!chosen">
        Assign {{ chosen ? chosen.full_name : 'a class' }}
      </button>
    </form>
  </SheetDialog>
</template>
