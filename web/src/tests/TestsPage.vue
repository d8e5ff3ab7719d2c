<script setup lang="ts">
import { computed, ref } from 'vue'
import { useWords } from '@/api'
import AnswerFigure from '@/drawing/AnswerFigure.vue'
import CautionNote from '@/shared/CautionNote.vue'
import ChoiceField from '@/shared/ChoiceField.vue'
import GrainCard from './GrainCard.vue'

// Every test that a hand can make: how it is made, how long it takes, what its answers look like, and who asks for it.
const words = useWords()
const ALL = 'all'
const key = ref(ALL)
const choices = computed(() => [
  { value: ALL, name: 'All tests' },
  ...words.value.keys.map(({ id, name }) => ({ value: id, name })),
])
const asked = computed(() => words.value.keys.find(({ id }) => id === key.value)?.asks)
const tests = computed(() => words.value.tests.filter(({ name }) => !asked.value || asked.value.includes(name)))
const askedBy = (test: string) =>
  words.value.keys.filter(({ asks }) => asks.includes(test)).map(({ name }) => name.toLowerCase())
const GROUPS: Record<string, string> = {
  clay: 'speaks of clay',
  grain: 'speaks of sand',
  silt: 'speaks of silt',
  ball: 'speaks of the ball',
  ribbon: 'speaks of the ribbon',
  keys: 'serves the keys',
  sample: 'speaks of the sample',
}
const WAYS = [
  {
    state: 'second_knuckle',
    name: 'Over the second knuckle',
    how: 'The thumb pushes the soil along the bent forefinger; the band leaves it at the knuckle and hangs.',
  },
  {
    state: 'side_of_finger',
    name: 'Off the side of the finger',
    how: 'The thumb squeezes the soil against the side of the forefinger; the band rises past it and bends over.',
  },
]
</script>

<template>
  <div class="max-w-[72rem] mx-auto p-4 desk:p-6 text-lg grid gap-5">
    <header class="grid gap-3">
      <RouterLink to="/" class="way-back justify-self-start">‹ Fieldbook</RouterLink>
      <h1 class="text-[2.625rem] leading-none">Tests</h1>
      <p>Whatever a method asks for, and what it looks like in the hand. Seconds are what a practised hand takes.</p>
      <ChoiceField v-model="key" label="Asked by" :options="choices" />
    </header>
    <main class="grid gap-6">
      <article
        v-for="t in tests"
        :key="t.name"
        :aria-labelledby="`test-${t.name}`"
        class="border-t-2 border-ink pt-3 grid gap-2"
        :data-test="t.name"
      >
        <div class="flex flex-wrap items-baseline gap-x-4">
          <h2 :id="`test-${t.name}`" class="text-2xl leading-tight first-letter:uppercase">{{ t.short }}</h2>
          <p class="text-pencil">
            {{ t.seconds }} s, {{ GROUPS[t.group ?? '']
            }}{{ askedBy(t.name).length ? `; asked by ${askedBy(t.name).join(', ')}` : '' }}
          </p>
        </div>
        <p>
          <b>{{ t.ask }}</b> {{ t.how }}
        </p>
        <CautionNote v-if="t.caution" :name="t.caution" />
        <ul v-if="t.name === 'ribbons'" class="grid desk:grid-cols-2 gap-4">
          <li v-for="w in WAYS" :key="w.state" class="flex gap-3 items-start">
            <AnswerFigure test="ribbons" :state="w.state" :scale="1.6" />
            <p>
              <b>{{ w.name }}.</b> {{ w.how }}
            </p>
          </li>
        </ul>
        <AnswerFigure v-if="!t.answers.length" :test="t.name" state="" :scale="1.2" />
        <ul v-else class="flex flex-wrap gap-x-6 gap-y-3">
          <li v-for="a in t.answers" :key="String(a.value)" class="w-36 grid gap-1 content-start">
            <AnswerFigure :test="t.name" :state="a.value" />
            <p class="leading-tight">
              <b>{{ a.name }}</b><br />{{ a.hint }}
            </p>
          </li>
        </ul>
      </article>
      <GrainCard />
    </main>
  </div>
</template>
