<script setup lang="ts">
import { computed } from 'vue'
import { useWords } from '@/api'
import { useBench } from './useReading'

// Tests that speak against each other, each with the way to the test to repeat.
const bench = useBench()
const words = useWords()
const found = computed(() => bench.reading.value!.assessment.contradictions)
const stepOf = (test: string) => words.value.steps.find(({ tests }) => tests.includes(test))
const repeats = (tests: string[]) => tests.map(stepOf).filter((step, i, all) => step && step.id !== bench.step.value && all.indexOf(step) === i)
</script>

<template>
  <ul v-if="found.length" class="grid gap-1.5">
    <li v-for="c in found" :key="c.rule" class="border-l-8 border-iron bg-warn pl-3 pr-2 py-1.5 leading-tight" :data-contradiction="c.rule">
      {{ c.sentence }}
      <span v-if="repeats(c.repeat).length" class="flex flex-wrap gap-x-4">
        <button v-for="s in repeats(c.repeat)" :key="s!.id" type="button" class="min-h-14 min-w-14 font-semibold underline underline-offset-4" @click="bench.goTo(s!.id)">Repeat: {{ s!.name.toLowerCase() }}</button>
      </span>
    </li>
  </ul>
</template>
