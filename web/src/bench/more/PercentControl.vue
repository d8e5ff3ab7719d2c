<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Test } from '@/bench/useAnswers'
import { useBenchKeys } from '@/bench/useBenchKeys'

// A share in percent, typed by the digits or moved by the keys, and kept when the person says so.
const props = defineProps<{ test: Test; value: number | undefined }>()
const emit = defineEmits<{ answer: [percent: number]; clear: [] }>()
const typed = ref('')
const START = 20
const shown = computed(() => (typed.value === '' ? (props.value ?? START) : Math.min(Number(typed.value), 100)))
const move = (by: number) => (typed.value = String(Math.min(Math.max(Math.round(shown.value) + by, 0), 100)))
const fresh = computed(() => typed.value !== '' && shown.value !== props.value)
watch(
  () => props.test.name,
  () => (typed.value = ''),
)
function keep(): void {
  emit('answer', shown.value)
  typed.value = ''
}

useBenchKeys((key) => {
  if (/^\d$/.test(key) && typed.value.length < 3) typed.value += key
  else if (key === 'Backspace' && typed.value) typed.value = typed.value.slice(0, -1)
  else if (key === 'Enter' && fresh.value) keep()
  else if (key === '+') move(1)
  else if (key === '-') move(-1)
  else return false
  return true
})
</script>

<template>
  <section :aria-labelledby="`ask-${test.name}`" class="grid gap-2" :data-test="test.name">
    <div class="flex items-end justify-between gap-3">
      <h2 :id="`ask-${test.name}`" class="text-2xl leading-tight">{{ test.ask }}</h2>
      <button
        v-if="value !== undefined"
        type="button"
        class="shrink-0 min-h-14 -my-3 px-2 underline underline-offset-4"
        @click="$emit('clear')"
      >
        Clear answer
      </button>
    </div>
    <p class="text-pencil">{{ test.how }}</p>
    <div class="grid grid-cols-4 desk:grid-cols-[5rem_5rem_8rem_5rem_5rem_1fr] gap-2 items-center">
      <button type="button" class="button" aria-label="5 less" @click="move(-5)">−5</button>
      <button type="button" class="button" aria-label="1 less" @click="move(-1)">−1</button>
      <output
        class="max-desk:row-start-2 max-desk:col-span-2 text-3xl font-extrabold text-center border-b-[3px] border-ink"
        :aria-label="test.short"
        >{{ typed === '' && value === undefined ? '–' : shown }} %</output
      >
      <button type="button" class="button" aria-label="1 more" @click="move(1)">+1</button>
      <button type="button" class="button" aria-label="5 more" @click="move(5)">+5</button>
      <button
        type="button"
        class="button button-main max-desk:row-start-2 max-desk:col-span-2"
        :disabled="!fresh"
        @click="keep"
      >
        Keep {{ fresh ? `${shown} %` : '' }}
      </button>
    </div>
  </section>
</template>
