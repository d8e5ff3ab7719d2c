<script setup lang="ts">
import { computed } from 'vue'
import AnswerFigure from '@/drawing/AnswerFigure.vue'
import type { Test } from '@/bench/useAnswers'
import { useBenchKeys } from '@/bench/useBenchKeys'

// Any number of words that fit; none ticked is a test not made.
const props = defineProps<{ test: Test; value: string[] | undefined }>()
const emit = defineEmits<{ answer: [words: string[]]; clear: [] }>()
const given = computed(() => props.value ?? [])
function toggle(word: string): void {
  const words = given.value.includes(word) ? given.value.filter((one) => one !== word) : [...given.value, word]
  if (words.length) emit('answer', words)
  else emit('clear')
}

useBenchKeys((key) => {
  const answer = props.test.answers[Number(key) - 1]
  if (answer) toggle(String(answer.value))
  return Boolean(answer)
})
</script>

<template>
  <section :aria-labelledby="`ask-${test.name}`" class="grid gap-2" :data-test="test.name">
    <h2 :id="`ask-${test.name}`" class="text-2xl leading-tight">{{ test.ask }}</h2>
    <p class="text-pencil">{{ test.how }}</p>
    <div class="grid grid-cols-2 desk:grid-cols-4 gap-2">
      <button
        v-for="(a, i) in test.answers"
        :key="String(a.value)"
        type="button"
        class="button !items-start flex-col !gap-1 py-2 text-left"
        :aria-pressed="given.includes(String(a.value))"
        @click="toggle(String(a.value))"
      >
        <AnswerFigure :test="test.name" :state="a.value" class="self-center max-desk:hidden my-1" />
        <span class="flex w-full justify-between gap-2"
          >{{ a.name }}<kbd class="font-sans font-normal text-lg" aria-hidden="true">{{ i + 1 }}</kbd></span
        >
        <span class="font-normal leading-tight">{{ a.hint }}</span>
      </button>
    </div>
  </section>
</template>
