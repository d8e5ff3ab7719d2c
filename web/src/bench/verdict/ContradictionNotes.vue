<script setup lang="ts">
import { computed, ref } from 'vue'
import KeepBothDialog from './KeepBothDialog.vue'
import { useAnswers } from '@/bench/useAnswers'
import { useBench } from '@/bench/useReading'

// Tests that speak against each other, each with the way to the test to repeat and what that would decide. A person may
// keep both and say why; then it stands quietly.
const bench = useBench()
const { steps, test } = useAnswers()
const found = computed(() => bench.reading.value!.assessment.contradictions)
const doubtful = computed(() => found.value.filter(({ kept }) => !kept))
const kept = computed(() => found.value.filter(({ kept }) => kept))
const stepOf = (name: string) => steps.value.find(({ tests }) => tests.includes(name))?.id
const repeats = (tests: string[]) =>
  tests.filter(
    (name) =>
      stepOf(name) &&
      !(stepOf(name) === bench.step.value && (bench.step.value !== 'more' || bench.test.value === name)),
  )
const keeping = ref<string>()
</script>

<template>
  <ul v-if="found.length" class="grid gap-1.5">
    <li
      v-for="c in doubtful"
      :key="c.rule"
      class="border-l-8 border-iron bg-warn pl-3 pr-2 pt-1.5 leading-tight"
      :data-contradiction="c.rule"
    >
      {{ c.sentence }} <span class="text-pencil">{{ c.decides }}</span>
      <span class="flex flex-wrap gap-x-4">
        <button
          v-for="name in repeats(c.repeat)"
          :key="name"
          type="button"
          class="min-h-14 min-w-14 font-semibold underline underline-offset-4"
          @click="bench.goTo(stepOf(name)!, name)"
        >
          Repeat: {{ test(name).short }}
        </button>
        <button type="button" class="min-h-14 min-w-14 underline underline-offset-4" @click="keeping = c.rule">
          Keep both
        </button>
      </span>
    </li>
    <li
      v-for="c in kept"
      :key="c.rule"
      class="border-l-2 border-pencil pl-3 leading-tight text-pencil"
      :data-kept="c.rule"
    >
      {{ c.sentence }} Both kept: {{ c.kept }}
      <button
        type="button"
        class="min-h-14 px-1 underline underline-offset-4"
        :aria-label="`Clear: both kept: ${c.sentence}`"
        @click="bench.keepBoth(c.rule, null)"
      >
        Clear
      </button>
    </li>
  </ul>
  <KeepBothDialog
    v-if="keeping"
    :rule="keeping"
    :sentence="found.find(({ rule }) => rule === keeping)?.sentence ?? ''"
    @close="keeping = undefined"
  />
</template>
