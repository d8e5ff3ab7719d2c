<script setup lang="ts">
import { mainKey } from '@/api'
import { computed, ref } from 'vue'
import ContradictionNotes from './ContradictionNotes.vue'
import OverrideDialog from './OverrideDialog.vue'
import RecordDialog from './RecordDialog.vue'
import SchoolsDialog from './SchoolsDialog.vue'
import { useAnswers } from './useAnswers'
import { useBench } from './useReading'
import { useBenchKeys } from './useBenchKeys'

// What can be done with the verdict: take the key's class, give another, or look at how it came about.
const bench = useBench()
const { words } = useAnswers()
const reading = computed(() => bench.reading.value!)
const key = computed(() => mainKey(reading.value))
const nameOf = (code: string) => words.value.classes.find((c) => c.code === code)?.name ?? code
const choosing = ref(false)
const record = ref(false)
const schools = ref(false)

useBenchKeys((pressed) => {
  const outcome = key.value.outcomes[Number(pressed) - 1]
  if (outcome) bench.assign(outcome.code)
  else if (pressed === 'o') choosing.value = true
  else if (pressed === 'h') record.value = true
  else if (pressed === 's') schools.value = true
  else return false
  return true
})
</script>

<template>
  <section aria-label="Assign the class" class="grid gap-2 content-start">
    <ContradictionNotes />
    <ul v-if="key.notes.length" class="grid gap-1.5 mb-1">
      <li v-for="n in key.notes" :key="n.rule" class="border-l-8 border-iron bg-warn px-3 py-1.5 leading-tight" :data-note="n.rule">{{ n.sentence }}</li>
    </ul>
    <button v-for="(o, i) in key.outcomes" :key="o.code" type="button" class="key min-h-[68px] !justify-between text-left" :class="i === 0 && !reading.assigned ? 'key-main' : ''" :aria-pressed="reading.assigned?.code === o.code" @click="bench.assign(o.code)"><span class="font-extrabold">Assign {{ nameOf(o.code) }}</span><kbd class="font-sans font-normal text-lg" aria-hidden="true">{{ i + 1 }}</kbd></button>
    <div class="grid grid-cols-2 gap-2">
      <button type="button" class="key px-2" @click="choosing = true">Other class</button>
      <button type="button" class="key px-2" @click="record = true">The record</button>
    </div>
    <button type="button" class="key" @click="schools = true">What the schools say</button>
    <p class="text-pencil leading-tight">Another class than the key's: say why.</p>
    <OverrideDialog :open="choosing" @close="choosing = false" />
    <SchoolsDialog :open="schools" @close="schools = false" />
    <RecordDialog v-if="record" :reading-id="reading.id" @close="record = false" />
  </section>
</template>
