<script setup lang="ts">
import type { Schemas } from '@/api'
import { day } from '@/shared/dates'

// With whose own hand the estimate is made, and what it would be without.
defineProps<{ hand: Schemas['ReadingHand'] }>()
</script>

<template>
  <p class="leading-tight" data-own-hand>
    With {{ hand.name }}’s own hand, learnt from {{ hand.pairs }} pairs, {{ day(hand.made_on) }}.
    <span v-if="hand.without.clay_range" class="text-pencil"
      >Without it: {{ hand.without.class }} {{ hand.without.percent }} %, clay {{ hand.without.clay_range[0] }} to
      {{ hand.without.clay_range[1] }} %.</span
    >
  </p>
</template>
