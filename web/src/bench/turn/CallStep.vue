<script setup lang="ts">
import { computed } from 'vue'
import { useWords } from '@/api'
import ClassChoice from '@/bench/assign/ClassChoice.vue'
import { useBench } from '@/bench/useReading'
import { useBenchKeys } from '@/bench/useBenchKeys'
import { useNaming } from '@/bench/useNaming'

// What a simulated sample is called, from its answers alone.
const bench = useBench()
const words = useWords()
const { classes } = useNaming()
const told = computed(() => {
  const { ribbons, ...answers } = bench.observations.value as Record<string, unknown> & {
    ribbons?: { length_mm: number }[]
  }
  const lines = Object.entries(answers).flatMap(([name, value]) => {
    const test = words.value.tests.find((one) => one.name === name)
    if (!test) return []
    const percent = (value as { percent?: number })?.percent
    const word = percent === undefined ? test.answers.find((a) => a.value === value)?.name : `${percent} %`
    return word ? [{ what: test.short, said: word }] : []
  })
  return ribbons ? [{ what: 'ribbons', said: ribbons.map((r) => `${r.length_mm} mm`).join(', ') }, ...lines] : lines
})
useBenchKeys((key) => {
  const chosen = /^[1-9]$/.test(key) ? classes.value[Number(key) - 1] : undefined
  if (chosen) bench.called.value = chosen.code
  return Boolean(chosen)
})
</script>

<template>
  <div class="grid gap-4 content-start">
    <h1 class="text-3xl">What is it?</h1>
    <dl
      v-if="told.length"
      class="border-y-2 border-ink py-2 grid desk:grid-cols-2 gap-x-6"
      aria-label="What it felt like"
    >
      <div v-for="t in told" :key="t.what" class="flex gap-3">
        <dt class="text-pencil first-letter:uppercase w-40 shrink-0">{{ t.what }}</dt>
        <dd class="font-bold">{{ t.said }}</dd>
      </div>
    </dl>
    <p v-else class="text-pencil">Nothing was asked of the sample yet.</p>
    <ClassChoice v-model="bench.called.value" label="Call the class" />
  </div>
</template>
