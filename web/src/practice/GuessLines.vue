<script setup lang="ts">
import type { Schemas } from '@/api'
import { credit } from './usePractice'

// Whether a guess before any water pulls the class towards it, and whether asking for it does any harm.
defineProps<{ guessing: Schemas['Guessing'] }>()
</script>

<template>
  <section v-if="guessing.sentence" aria-labelledby="guess-title" class="grid gap-2">
    <h2 id="guess-title" class="text-2xl border-b-2 border-ink pb-1">Pull of the guess</h2>
    <p>{{ guessing.sentence }}</p>
    <p v-if="guessing.pull !== null" class="text-pencil">
      Pull {{ credit(guessing.pull) }}: 0 is where the key was, 1 where the guess was{{
        guessing.p === null ? '; too few for a test' : `; sign test p ${credit(guessing.p)}`
      }}.
    </p>
    <p v-if="guessing.asked !== null && guessing.unasked !== null" class="text-pencil">
      Mean credit {{ credit(guessing.asked) }} where a guess was asked, {{ credit(guessing.unasked) }} where not{{
        guessing.asking_p === null ? '' : `; p ${credit(guessing.asking_p)} by permutation`
      }}.
    </p>
  </section>
</template>
