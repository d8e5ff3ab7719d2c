<script setup lang="ts">
import type { Profile } from '@/api'
import ContrastDrawing from './ContrastDrawing.vue'

// What changes from one horizon to the next, boundary by boundary: the published tests with their odds, and water.
defineProps<Pick<Profile, 'contrasts' | 'perching' | 'sandwiches'> & { profile: Profile }>()
</script>

<template>
  <section aria-labelledby="contrast-title" class="border-t-2 border-ink pt-2">
    <h2 id="contrast-title" class="text-2xl mb-1">From horizon to horizon</h2>
    <ol class="desk:columns-2 gap-x-8">
      <li
        v-for="c in contrasts"
        :key="c.depth_cm"
        class="leading-snug break-inside-avoid pb-3"
        :data-boundary="c.depth_cm"
      >
        <p class="font-semibold">
          {{ c.depth_cm }} cm, {{ c.upper }} over {{ c.lower }}: <span class="font-normal">{{ c.sentence }}</span>
        </p>
        <p v-if="c.disagreement" class="border-l-8 border-iron bg-warn px-3 py-1" data-disagreement>
          {{ c.disagreement }}
        </p>
        <ContrastDrawing v-if="c.tests.length" :profile="profile" :contrast="c" />
        <p v-for="t in c.tests" :key="t.test" :data-test="t.test">
          {{ t.sentence }} <span class="text-pencil text-base">{{ t.source }}</span>
        </p>
        <p v-if="c.origin" :data-origin="c.origin.kind">{{ c.origin.sentence }}</p>
      </li>
      <li
        v-for="p in perching"
        :key="`water-${p.depth_cm}`"
        class="leading-snug break-inside-avoid pb-3"
        :data-perching="p.kind"
      >
        <p>
          <b>{{ p.depth_cm }} cm, water.</b> {{ p.sentence }}
        </p>
      </li>
      <li
        v-for="s in sandwiches"
        :key="`between-${s.depth_cm}`"
        class="leading-snug break-inside-avoid pb-3 border-l-8 border-rule pl-3"
        data-sandwich
      >
        <p>{{ s.sentence }}</p>
      </li>
    </ol>
    <p class="mt-2 text-pencil text-base">
      Odds come from the two estimates, within the classes that were assigned; a red line is the clay that a test asks
      for. No soil is named: films, thickness and the rest are the surveyor's.
    </p>
  </section>
</template>
