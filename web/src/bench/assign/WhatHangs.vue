<script setup lang="ts">
import { computed } from 'vue'
import { useBench } from '@/bench/useReading'

// What hangs on the class: what it matters for to be one class away, else what it changes a little.
const bench = useBench()
const reading = computed(() => bench.reading.value!)
const all = computed(() => reading.value.assessment.evidence?.one_class_off ?? [])
const of = (wanted: string) =>
  all.value
    .filter(({ verdict }) => verdict === wanted)
    .map(({ label }) => label.charAt(0).toLowerCase() + label.slice(1))
    .join('; ')
const sentence = computed(() => {
  if (of('yes')) return `One class away matters for: ${of('yes')}.`
  return of('a little')
    ? `One class away changes a little: ${of('a little')}.`
    : 'One class away changes nothing of note.'
})
</script>

<template>
  <p v-if="all.length" class="leading-tight text-lg border-t-[1.5px] border-ink pt-2 mt-1" data-hangs>
    {{ sentence }}
    <RouterLink
      v-if="reading.profile"
      :to="`/profiles/${reading.profile.id}/interpretation`"
      class="font-semibold underline underline-offset-4 print:hidden"
      >Interpretation</RouterLink
    >
  </p>
</template>
