<script setup lang="ts">
import { computed } from 'vue'
import HalvingControl from './HalvingControl.vue'
import PercentControl from './PercentControl.vue'
import TestQuestion from '@/bench/question/TestQuestion.vue'
import type { Test } from '@/bench/useAnswers'
import { useBench } from '@/bench/useReading'
import WordsControl from './WordsControl.vue'

// One test by whatever it is answered with: a choice, words, a share, or halving.
const props = defineProps<{ test: Test; firstKey: number; guide?: boolean }>()
const bench = useBench()
const value = computed(() => bench.observations.value[props.test.name])
// On the wire the hand's own clay is an object, the fragments a bare number.
const wrapped = computed(() => props.test.name === 'clay_estimate')
const percent = computed(() =>
  wrapped.value ? (value.value as { percent: number } | undefined)?.percent : (value.value as number | undefined),
)
const chosen = computed(() => value.value as string[] | undefined)
const emit = defineEmits<{ answered: [] }>()
const give = (given: unknown) => bench.answer(props.test.name, given)
function chose(given: unknown): void {
  give(given)
  emit('answered')
}
</script>

<template>
  <HalvingControl v-if="test.control === 'halving'" />
  <PercentControl
    v-else-if="test.control === 'percent'"
    :test="test"
    :value="percent"
    @answer="give(wrapped ? { percent: $event } : $event)"
    @clear="give(null)"
  />
  <WordsControl
    v-else-if="test.control === 'words'"
    :test="test"
    :value="chosen"
    @answer="give($event)"
    @clear="give(null)"
  />
  <TestQuestion
    v-else
    :test="test"
    :first-key="firstKey"
    :value="value"
    :guide="guide"
    @answer="chose"
    @clear="give(null)"
  />
</template>
