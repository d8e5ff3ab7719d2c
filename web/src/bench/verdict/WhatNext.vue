<script setup lang="ts">
import { computed } from 'vue'
import { mainKey } from '@/api'
import { useAnswers } from '@/bench/useAnswers'
import { useNaming } from '@/bench/useNaming'
import { useBench } from '@/bench/useReading'

// What to test next: the key's own question first, then what would settle the estimate, for the seconds it takes.
const props = defineProps<{ most: number }>()
const bench = useBench()
const { steps } = useAnswers()
const { short } = useNaming()
const evidence = computed(() => bench.reading.value!.assessment.evidence!)
const question = computed(() => mainKey(bench.reading.value!).next_question)
const stepOf = (test: string) => steps.value.find(({ tests }) => tests.includes(test))?.id
const here = (test: string) =>
  stepOf(test) === bench.step.value && (bench.step.value !== 'more' || bench.test.value === test)
const asked = computed(() => (question.value && !here(question.value) ? question.value : null))
const suggested = computed(() =>
  (evidence.value.next_tests ?? [])
    .filter(({ test }) => test !== question.value)
    .slice(0, props.most - (asked.value ? 1 : 0)),
)
const felt = computed(() => Object.keys(bench.observations.value).length > 0)
</script>

<template>
  <section v-if="felt" aria-labelledby="next-title" class="grid gap-1.5" data-next>
    <h2 id="next-title" class="text-lg leading-tight" :class="suggested.length || asked ? '' : 'sr-only'">
      {{ evidence.settled ? 'Settled. To be surer:' : 'To settle it:' }}
    </h2>
    <button
      v-if="asked"
      type="button"
      class="button px-3 !justify-start text-left text-lg"
      @click="bench.goTo(stepOf(asked)!, asked)"
    >
      The key asks: {{ short(asked) }}
    </button>
    <button
      v-for="t in suggested"
      :key="t.test"
      type="button"
      class="button px-3 py-1 !justify-start text-left text-lg font-normal"
      :data-suggested="t.test"
      @click="bench.goTo(stepOf(t.test)!, t.test)"
    >
      <span
        ><b>{{ t.sentence.split(':')[0] }}:</b>{{ t.sentence.slice(t.sentence.indexOf(':') + 1) }}</span
      >
    </button>
    <p v-if="evidence.next_sentence" class="leading-tight text-pencil text-lg">{{ evidence.next_sentence }}</p>
  </section>
</template>
