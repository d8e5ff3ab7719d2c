<script setup lang="ts">
import { nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Ribbon } from '@/api'
import SheetDialog from '@/shared/SheetDialog.vue'
import TextField from '@/shared/TextField.vue'
import { useAnswers } from '@/bench/useAnswers'
import { useBench } from '@/bench/useReading'

// Every ribbon, to correct or take back. The record keeps what was there.
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const bench = useBench()
const { test, word } = useAnswers()
const chosen = ref<Ribbon | null>(null)
const length = ref('')
const ended = ref('broke')
const carried = ref<boolean | null>(null)
const CARRIED: [boolean | null, string][] = [
  [true, 'Held its own weight'],
  [false, 'Did not'],
  [null, 'Not recorded'],
]
const facts = ({
  thickness_mm,
  width_mm,
  working_minute,
  carried_own_weight,
  ended: how,
  photo_id,
  reading_error_mm,
}: Ribbon): string =>
  [
    photo_id && `on a photo, give or take ${reading_error_mm} mm`,
    thickness_mm && `${thickness_mm} mm thick`,
    width_mm && `${width_mm} wide`,
    word('ribbons', how),
    carried_own_weight && 'held its own weight',
    working_minute !== null && `minute ${working_minute}`,
  ]
    .filter(Boolean)
    .join(', ')
const wrong = ref<string>()

const form = useTemplateRef('form')

// A sole ribbon is the one to edit.
watch(
  () => props.open,
  (open) => {
    const { ribbons } = bench.reading.value!
    chosen.value = null
    if (open && ribbons.length === 1) choose(ribbons[0]!)
  },
)

function choose(ribbon: Ribbon): void {
  chosen.value = ribbon
  length.value = String(ribbon.entered.length)
  ended.value = ribbon.ended
  carried.value = ribbon.carried_own_weight
  wrong.value = undefined
  // The new length replaces the old one as it is typed.
  void nextTick(() => form.value?.querySelector('input')?.select())
}
function correct(): void {
  const value = Number(length.value.replace(',', '.'))
  if (!length.value.trim() || !Number.isFinite(value)) {
    wrong.value = `“${length.value}” is not a length.`
    return
  }
  const { entered, thickness_mm, width_mm, working_minute } = chosen.value!
  bench.correctRibbon(chosen.value!.id, {
    length: value,
    unit: entered.unit,
    ended: ended.value,
    thickness_mm,
    width_mm,
    working_minute,
    carried_own_weight: carried.value,
  })
  emit('close')
}
function takeBack(ribbon: Ribbon): void {
  bench.takeBackRibbon(ribbon.id)
  emit('close')
}
</script>

<template>
  <SheetDialog :open="open" :title="chosen ? 'Edit ribbon' : 'Ribbons of this sample'" @close="$emit('close')">
    <form v-if="chosen" ref="form" class="grid gap-4" @submit.prevent="correct">
      <TextField v-model="length" label="Length" :unit="chosen.entered.unit" inputmode="decimal" :error="wrong" />
      <div class="grid grid-cols-2 gap-2" role="group" aria-label="How it ended">
        <button
          v-for="a in test('ribbons').answers"
          :key="String(a.value)"
          type="button"
          class="button"
          :aria-pressed="ended === a.value"
          @click="ended = String(a.value)"
        >
          {{ a.name }}
        </button>
      </div>
      <div class="flex flex-wrap gap-2" role="group" aria-label="Its own weight">
        <button
          v-for="[value, name] in CARRIED"
          :key="name"
          type="button"
          class="button"
          :aria-pressed="carried === value"
          @click="carried = value"
        >
          {{ name }}
        </button>
      </div>
      <div class="flex flex-wrap gap-2">
        <button class="button button-main grow" type="submit">Save the correction</button>
        <button class="button" type="button" @click="takeBack(chosen)">Remove</button>
      </div>
    </form>
    <ol v-else class="grid gap-2">
      <li v-for="(r, i) in bench.reading.value!.ribbons" :key="r.id">
        <button type="button" class="button w-full !justify-between" @click="choose(r)">
          <span>{{ i + 1 }}. {{ r.entered.length }} {{ r.entered.unit }}</span>
          <span class="font-normal text-right">{{ facts(r) }}</span>
        </button>
      </li>
    </ol>
    <p v-if="!chosen" class="mt-4 text-pencil text-lg">A correction keeps the earlier length in the record.</p>
  </SheetDialog>
</template>
