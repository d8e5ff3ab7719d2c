<script setup lang="ts">
import { computed } from 'vue'
import { useWords, type Schemas } from '@/api'
import MatrixTable from '@/practice/MatrixTable.vue'
import ScoreLines from '@/practice/ScoreLines.vue'

// How well each class is known, the weakest first: what practice draws from.
const props = defineProps<{ skills: Schemas['Skills'] }>()
const words = useWords()
const met = computed(() => props.skills.classes.filter(({ count }) => count).sort((a, b) => b.need - a.need))
const unmet = computed(() => props.skills.classes.filter(({ count }) => !count).map(({ name }) => name))
</script>

<template>
  <section aria-labelledby="skills-title" class="grid grid-cols-[minmax(0,1fr)] gap-3">
    <h2 id="skills-title" class="text-2xl">Practice</h2>
    <p>
      {{ skills.samples === 1 ? '1 sample' : `${skills.samples} samples` }} counted; {{ skills.streak }} in a row with
      half a credit or more.
    </p>
    <ul class="grid gap-1" aria-label="Classes, the weakest first">
      <li v-for="c in met" :key="c.code" class="grid grid-cols-[9rem_minmax(0,1fr)_5rem] gap-2 items-center">
        <span class="first-letter:uppercase truncate">{{ c.name }}</span>
        <svg viewBox="0 0 100 14" preserveAspectRatio="none" class="w-full h-3.5" aria-hidden="true">
          <rect width="100" height="14" fill="var(--leaf)" />
          <rect :width="100 * c.mean" height="14" :fill="c.steady ? 'var(--ink)' : 'var(--ochre)'" />
        </svg>
        <span class="text-base text-right">{{ c.steady ? 'steady' : c.mean.toFixed(2) }}</span>
      </li>
    </ul>
    <p v-if="unmet.length" class="text-pencil text-base">Not met yet: {{ unmet.join(', ') }}.</p>
    <ScoreLines :scores="skills.scores" />
    <MatrixTable v-if="skills.matrix" v-bind="skills.matrix" down="the truth" across="the call" />
    <p class="text-pencil text-base">
      {{ words.practice.elsewhere }}
    </p>
  </section>
</template>
