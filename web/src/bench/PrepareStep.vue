<script setup lang="ts">
import { computed } from 'vue'
import CautionNote from '@/shared/CautionNote.vue'
import { useAnswers } from './useAnswers'
import { useBench } from './useReading'
import { useBenchKeys } from './useBenchKeys'

// Before any water: what was picked out, and a first clue from a clod, dry or moist, on one scale of hardness.
defineProps<{ method: string }>()
defineEmits<{ method: [] }>()
const bench = useBench()
const { words, test } = useAnswers()
const step = computed(() => words.value.steps.find(({ id }) => id === 'prepare')!)
const clods = computed(() =>
  step.value.tests.map((name, row) => {
    const asked = test(name)
    return { test: asked, name: name === 'dry_clod' ? 'Dry clod' : 'Moist clod', firstKey: row * asked.answers.length + 1 }
  }),
)

useBenchKeys((key) => {
  if (!/^\d$/.test(key)) return false
  const number = key === '0' ? 10 : Number(key)
  const clod = clods.value.find(({ firstKey, test: { answers } }) => number >= firstKey && number < firstKey + answers.length)
  if (clod) bench.answer(clod.test.name, clod.test.answers[number - clod.firstKey]!.value)
  return Boolean(clod)
})
</script>

<template>
  <div class="grid gap-3.5 content-start">
    <header>
      <h1 class="text-3xl leading-tight">{{ step.title }}</h1>
      <p class="mt-1">{{ step.how }}</p>
    </header>
    <div class="grid gap-2"><CautionNote v-for="name in step.cautions" :key="name" :name="name" /></div>
    <section aria-labelledby="clod-title" class="grid gap-2">
      <h2 id="clod-title" class="text-2xl leading-tight">Crush a clod, dry or moist. How hard is it?</h2>
      <p>{{ clods[0]!.test.how }}</p>
      <div class="grid gap-2 desk:grid-cols-[7rem_repeat(5,minmax(0,1fr))]">
        <span class="max-desk:hidden" />
        <span v-for="a in clods[0]!.test.answers" :key="String(a.value)" class="max-desk:hidden leading-tight self-end text-pencil">{{ a.hint }}</span>
        <template v-for="clod in clods" :key="clod.name">
          <span class="self-center leading-tight"><b>{{ clod.name }}</b><button v-if="bench.observations.value[clod.test.name] !== undefined" type="button" class="block max-desk:inline max-desk:ml-3 min-h-14 underline underline-offset-4" :aria-label="`Take back: ${clod.name}`" @click="bench.answer(clod.test.name, null)">Take back</button></span>
          <div class="contents" role="group" :aria-label="clod.name" :data-test="clod.test.name">
            <button v-for="(a, i) in clod.test.answers" :key="String(a.value)" type="button" class="key px-3 min-h-[68px] !justify-between" :aria-pressed="bench.observations.value[clod.test.name] === a.value" @click="bench.answer(clod.test.name, a.value)">
              <span class="text-left">{{ a.name }}<span class="desk:hidden block font-normal leading-tight">{{ a.hint }}</span></span><kbd class="font-sans font-normal text-lg" aria-hidden="true">{{ (clod.firstKey + i) % 10 }}</kbd>
            </button>
          </div>
        </template>
      </div>
    </section>
    <div class="flex flex-wrap items-center justify-between gap-3 border-y-[1.5px] border-ink py-2">
      <p class="leading-tight">{{ method }}</p><button type="button" class="key" @click="$emit('method')">Change</button>
    </div>
  </div>
</template>
