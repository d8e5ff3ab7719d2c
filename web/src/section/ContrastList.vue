<script setup lang="ts">
import type { Profile } from '@/api'

// What changes from one horizon to the next, boundary by boundary: the published tests with their odds, and water.
defineProps<{ contrasts: NonNullable<Profile['contrasts']> }>()
</script>

<template>
  <section aria-labelledby="contrast-title" class="border-t-2 border-ink pt-2">
    <h2 id="contrast-title" class="text-2xl mb-1">From horizon to horizon</h2>
    <ol class="desk:columns-2 gap-x-8">
      <li v-for="c in contrasts" :key="c.depth_cm" class="leading-snug break-inside-avoid pb-3" :data-boundary="c.depth_cm">
        <p class="font-semibold">{{ c.depth_cm }} cm, {{ c.upper }} over {{ c.lower }}: <span class="font-normal">{{ c.sentence }}</span></p>
        <p v-for="t in c.tests" :key="t.test" :data-test="t.test">{{ t.sentence }} <span class="text-pencil text-base">{{ t.source }}</span></p>
        <p v-if="c.origin" :data-origin="c.origin.kind">{{ c.origin.sentence }}</p>
        <p v-if="c.perching" :data-perching="c.perching.kind">{{ c.perching.sentence }}</p>
      </li>
    </ol>
    <p class="mt-2 text-pencil text-base">Odds come from the two estimates, within the classes that were assigned. No soil is named: films, thickness and the rest are the surveyor's.</p>
  </section>
</template>
