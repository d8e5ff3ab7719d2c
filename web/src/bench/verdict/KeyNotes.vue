<script setup lang="ts">
import type { MainKey } from '@/api'

// What the key says beside its outcomes.
defineProps<{ notes: MainKey['notes'] }>()
</script>

<template>
  <ul v-if="notes.length" class="grid gap-1.5">
    <li
      v-for="n in notes"
      :key="n.rule"
      class="border-l-8 border-iron bg-warn px-3 py-1.5 leading-tight"
      :data-note="n.rule"
    >
      {{ n.sentence }}
    </li>
  </ul>
</template>
