<script setup lang="ts">
import AnswerFigure from '@/drawing/AnswerFigure.vue'
import type { Test } from '@/bench/useAnswers'

// One test: the question, how to perform it, and its answers as keys with their number.
defineProps<{ test: Test; value: unknown; firstKey: number; heading?: boolean; guide?: boolean }>()
defineEmits<{ answer: [value: unknown]; clear: [] }>()

// Six answers stand in two rows.
const COLUMNS: Record<number, number> = { 6: 3 }
const digit = (index: number, firstKey: number) => (firstKey + index) % 10
</script>

<template>
  <section :aria-labelledby="`ask-${test.name}`" class="grid gap-2" :data-test="test.name">
    <div class="flex items-end justify-between gap-3 min-h-9">
      <component
        :is="heading ? 'h1' : 'h2'"
        :id="`ask-${test.name}`"
        class="leading-tight"
        :class="heading ? 'text-3xl' : 'text-2xl'"
        >{{ test.ask }}</component
      >
      <button
        v-if="value !== undefined"
        type="button"
        class="shrink-0 min-h-14 -my-3 px-2 underline underline-offset-4"
        @click="$emit('clear')"
      >
        Clear answer
      </button>
    </div>
    <p v-if="heading || guide" class="text-pencil">{{ test.how }}</p>
    <div
      class="grid gap-2"
      :style="`--n:${COLUMNS[test.answers.length] ?? test.answers.length}`"
      :data-count="test.answers.length"
    >
      <button
        v-for="(a, i) in test.answers"
        :key="String(a.value)"
        type="button"
        class="button !justify-start !items-start text-left flex-col !gap-1 py-2 min-h-16"
        :aria-pressed="value === a.value"
        @click="$emit('answer', a.value)"
      >
        <AnswerFigure
          :test="test.name"
          :state="a.value"
          class="self-center max-desk:hidden"
          :class="test.answers.length < 4 ? 'my-2' : 'my-1'"
          :scale="test.answers.length < 4 ? 1.3 : 1"
        />
        <span class="flex w-full items-baseline justify-between gap-2 text-[1.3rem] leading-tight"
          ><span>{{ a.name }}</span
          ><kbd class="font-sans font-normal text-lg" aria-hidden="true">{{ digit(i, firstKey) }}</kbd></span
        >
        <span class="font-normal leading-tight text-xl">{{ a.hint }}</span>
      </button>
    </div>
  </section>
</template>

<style scoped>
@media (min-width: 721px) {
  [data-count] {
    grid-template-columns: repeat(var(--n), minmax(0, 1fr));
  }
}
</style>
