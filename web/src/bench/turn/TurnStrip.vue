<script setup lang="ts">
import { computed } from 'vue'
import { queryClient, request, type Reading, type Schemas } from '@/api'
import { keyOf } from '@/practice/keys'
import { useAnswers } from '@/bench/useAnswers'
import { useAttempt } from '@/shared/useAttempt'
import { useBench } from '@/bench/useReading'

// Which tub, or which simulated sample, is in the hand. A simulated one is asked here for what it feels like.
const props = defineProps<{ turn: Schemas['ReadingTurn'] }>()
const bench = useBench()
const { steps, test } = useAnswers()
const { busy, trouble, attempt } = useAttempt()

/** Tests of the step that the sample can still be asked for. */
const waiting = computed(() => {
  if (!props.turn.simulated || props.turn.closed) return []
  const { step, observations } = bench
  if (step.value === 'ribbon') return observations.value.ribbons ? [] : ['ribbons']
  const tests =
    step.value === 'ball'
      ? ['ball_holds']
      : step.value === 'more'
        ? [bench.test.value].filter((name): name is string => !!name)
        : (steps.value.find(({ id }) => id === step.value)?.tests ?? [])
  return tests.filter((name) => observations.value[name] === undefined)
})
const said = computed(() =>
  waiting.value[0] === 'ribbons' ? 'Push three ribbons' : `Feel: ${test(waiting.value[0]!).short}`,
)
const feel = () =>
  attempt(async () => {
    const { id, version } = bench.reading.value!
    const body = { version, test: waiting.value[0] }
    const key = keyOf(`session/${props.turn.session_id}`)
    const felt = await request<Reading>('POST', `/api/turns/${props.turn.id}/feel`, body, undefined, key)
    queryClient.setQueryData(['reading', id], felt)
  })
</script>

<template>
  <aside
    aria-label="Session"
    class="border-2 border-ink bg-lit text-lit-ink px-3 py-2 flex flex-wrap items-center gap-x-4 gap-y-1 leading-tight"
    data-turn
  >
    <p>
      <span class="text-lg">{{ turn.simulated ? 'Simulated sample' : 'Code in your hand' }}</span>{{ ' '
      }}<b class="text-3xl tabular-nums align-middle">{{ turn.code }}</b>
      <span v-if="turn.count" class="text-lg ml-3">{{ turn.place }} of {{ turn.count }}</span>
    </p>
    <p v-if="turn.closed" class="text-lg">Closed. What is changed now counts nowhere.</p>
    <p v-else-if="turn.guess && !bench.reading.value!.expected && !turn.simulated" class="text-lg">
      Guess before any water.
    </p>
    <button v-if="waiting.length" type="button" class="button px-3 ml-auto" :disabled="busy" @click="feel">
      {{ said }}
    </button>
    <p v-if="trouble" role="alert" class="basis-full border-l-8 border-iron bg-warn px-3 py-1 text-ink">
      {{ trouble }}
    </p>
  </aside>
</template>
