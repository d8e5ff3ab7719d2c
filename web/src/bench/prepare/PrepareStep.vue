<script setup lang="ts">
import { computed, ref } from 'vue'
import PalmfulDialog from '@/palmfuls/PalmfulDialog.vue'
import ExpectDialog from './ExpectDialog.vue'
import StepHeader from '@/bench/StepHeader.vue'
import { useAnswers } from '@/bench/useAnswers'
import { useBench } from '@/bench/useReading'
import { useBenchKeys } from '@/bench/useBenchKeys'

// Before any water: what was picked out, and a first clue from a clod, dry or moist, on one scale of hardness.
defineProps<{ method: string }>()
defineEmits<{ method: [] }>()
const bench = useBench()
const { steps, test, word } = useAnswers()
const step = computed(() => steps.value.find(({ id }) => id === 'prepare')!)
const noticed = (name: string) => {
  const said = bench.observations.value[name]
  const short = test(name).short
  return short.charAt(0).toUpperCase() + short.slice(1) + (said === undefined ? '' : `: ${word(name, said)}`)
}
const expecting = ref(false)
const apart = computed(() => !!bench.reading.value!.turn || !!bench.reading.value!.double_id)
const details = ref(false)
/** Where colour and smell of the horizon are written down. */
const card = computed(() => {
  const { horizon, profile } = bench.reading.value!
  return horizon && profile ? `/profiles/${profile.id}/horizons/${horizon.id}` : null
})
const expected = computed(() => bench.reading.value!.expected)
const clods = computed(() =>
  step.value.tests.map((name, row) => {
    const asked = test(name)
    return {
      test: asked,
      name: name === 'dry_clod' ? 'Dry clod' : 'Moist clod',
      firstKey: row * asked.answers.length + 1,
    }
  }),
)

useBenchKeys((key) => {
  if (key === 'e') {
    expecting.value = true
    return true
  }
  if (!/^\d$/.test(key)) return false
  const number = key === '0' ? 10 : Number(key)
  const clod = clods.value.find(
    ({ firstKey, test: { answers } }) => number >= firstKey && number < firstKey + answers.length,
  )
  if (clod) bench.answer(clod.test.name, clod.test.answers[number - clod.firstKey]!.value)
  return Boolean(clod)
})
</script>

<template>
  <div class="grid gap-2.5 content-start">
    <StepHeader :step="step" />
    <section aria-labelledby="clod-title" class="grid gap-2">
      <h2 id="clod-title" class="text-2xl leading-tight">Crush a clod, dry or moist. How hard is it?</h2>
      <p>{{ clods[0]!.test.how }}</p>
      <div class="grid gap-2 desk:grid-cols-[7rem_repeat(5,minmax(0,1fr))]">
        <span class="max-desk:hidden" />
        <span
          v-for="a in clods[0]!.test.answers"
          :key="String(a.value)"
          class="max-desk:hidden leading-tight self-end text-pencil"
          >{{ a.hint }}</span
        >
        <template v-for="clod in clods" :key="clod.name">
          <span class="self-center leading-tight"
            ><b>{{ clod.name }}</b
            ><button
              v-if="bench.observations.value[clod.test.name] !== undefined"
              type="button"
              class="block max-desk:inline max-desk:ml-3 min-h-14 underline underline-offset-4"
              :aria-label="`Clear answer: ${clod.name}`"
              @click="bench.answer(clod.test.name, null)"
            >
              Clear answer
            </button></span
          >
          <div class="contents" role="group" :aria-label="clod.name" :data-test="clod.test.name">
            <button
              v-for="(a, i) in clod.test.answers"
              :key="String(a.value)"
              type="button"
              class="button px-3 min-h-[60px] !justify-between"
              :aria-pressed="bench.observations.value[clod.test.name] === a.value"
              @click="bench.answer(clod.test.name, a.value)"
            >
              <span class="text-left"
                >{{ a.name }}<span class="desk:hidden block font-normal leading-tight">{{ a.hint }}</span></span
              ><kbd class="font-sans font-normal text-lg" aria-hidden="true">{{ (clod.firstKey + i) % 10 }}</kbd>
            </button>
          </div>
        </template>
      </div>
    </section>
    <div
      class="flex flex-wrap items-center gap-x-4 gap-y-2"
      role="group"
      aria-label="What was picked out, and what may mislead"
    >
      <button
        v-for="name in step.noticed"
        :key="name"
        type="button"
        class="button px-3 text-lg"
        @click="bench.goTo('more', name)"
      >
        {{ noticed(name) }}
      </button>
      <RouterLink v-if="card" :to="card" class="button px-3 text-lg">Colour, smell, organic matter</RouterLink>
      <button
        v-else-if="!bench.reading.value!.profile && !apart"
        type="button"
        class="button px-3 text-lg"
        @click="details = true"
      >
        Name, colour, smell, place
      </button>
    </div>
    <dl class="grid desk:grid-cols-2 gap-x-6 gap-y-2 border-y-[1.5px] border-ink py-2">
      <div class="flex items-center justify-between gap-3">
        <dt class="sr-only">Method</dt>
        <dd class="leading-tight">{{ method }}</dd>
        <dd>
          <button type="button" class="button" aria-label="Change the method" @click="$emit('method')">Change</button>
        </dd>
      </div>
      <div class="flex items-center justify-between gap-3" data-expected>
        <dt class="leading-tight">
          {{
            expected
              ? expected.hidden
                ? 'Your guess is put away until the end.'
                : `You expected ${expected.name}.`
              : 'What do you expect it to be?'
          }}
        </dt>
        <dd class="flex gap-2">
          <button
            v-if="expected?.hidden"
            type="button"
            class="min-h-14 px-2 underline underline-offset-4"
            aria-label="Clear answer: your guess"
            @click="bench.expect(null)"
          >
            Clear answer</button
          ><button v-else-if="!expected" type="button" class="button" @click="expecting = true">Guess</button>
        </dd>
      </div>
    </dl>
    <PalmfulDialog v-if="details" :reading="bench.reading.value!" @close="details = false" />
    <ExpectDialog :open="expecting" @close="expecting = false" />
  </div>
</template>
