<script setup lang="ts">
import { computed } from 'vue'
import { useWords } from '@/api'
import { credit, signed, type Turn } from './usePractice'

// What was called beside the truth, sample by sample; every miss is explained by answer and limit.
const props = defineProps<{ turns: Turn[]; simulated: boolean }>()
const words = useWords()
const nameOf = (code: string | null | undefined) =>
  words.value.practice.classes.find(({ value }) => value === code)?.name ?? code ?? ''
const newestFirst = computed(() =>
  [...props.turns].sort((a, b) => (b.closed_at ?? '').localeCompare(a.closed_at ?? '')),
)
/** Surprises that the sentence has not told yet. */
const others = (miss: NonNullable<NonNullable<Turn['result']>['miss']>) =>
  miss.surprises.filter(({ sentence }) => !miss.sentence.includes(sentence))
const parts = (r: NonNullable<Turn['result']>) =>
  `sand ${Math.round(r.sand)}, silt ${Math.round(r.silt)}, clay ${Math.round(r.clay)} %`
</script>

<template>
  <section aria-labelledby="results-title" class="grid gap-2">
    <h2 id="results-title" class="text-2xl border-b-2 border-ink pb-1">Samples whose truth is open</h2>
    <ul class="grid gap-3" aria-label="Results">
      <li
        v-for="t in newestFirst"
        :key="t.id"
        class="border-b border-rule pb-3 grid grid-cols-2 gap-x-6 gap-y-1 desk:grid-cols-[7rem_1fr_1fr_7rem]"
        :data-result="t.code"
      >
        <p class="leading-tight">
          <b class="text-2xl tabular-nums">{{ t.code }}</b>
          <span v-if="!simulated" class="block text-pencil"
            >{{ t.result!.label }}{{ t.result!.again ? ', again' : '' }}</span
          >
        </p>
        <p class="leading-tight">
          <span class="text-pencil">You called</span>
          <b class="block text-xl first-letter:uppercase">{{ nameOf(t.called) }}</b>
        </p>
        <p class="leading-tight">
          <span class="text-pencil">It is</span>
          <b class="block text-xl first-letter:uppercase">{{ nameOf(t.result!.class) }}</b>
          <span class="text-base">{{ parts(t.result!) }}</span>
        </p>
        <p class="leading-tight">
          <span class="text-pencil">Credit</span>
          <b class="block text-xl tabular-nums">{{ t.result!.credit === null ? '–' : credit(t.result!.credit) }}</b>
          <span v-if="t.result!.clay_error !== null && !simulated" class="text-base"
            >clay {{ signed(t.result!.clay_error) }}</span
          >
        </p>
        <p v-if="!t.result!.counts" class="col-span-full text-pencil">
          Counts nowhere: its truth was known, or seen in the last {{ words.practice.forgotten_days }} days.
        </p>
        <div
          v-if="t.result!.miss"
          class="col-span-full border-l-8 border-ochre pl-3 grid gap-0.5 leading-snug"
          data-miss
        >
          <p>{{ t.result!.miss.sentence }}</p>
          <ul v-if="others(t.result!.miss).length" class="text-base">
            <li v-for="s in others(t.result!.miss)" :key="s.test">
              <span class="first-letter:uppercase inline-block mr-2">{{ s.sentence }}</span><span class="text-pencil"
                >{{ s.bits.toFixed(1) }} bits unlikely</span
              >
            </li>
          </ul>
        </div>
      </li>
    </ul>
  </section>
</template>
