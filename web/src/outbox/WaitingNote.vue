<script setup lang="ts">
import { refusals, waitingInAll, waits } from './outboxes'

// What still waits on this device, and what was refused while nobody looked at its page.
</script>

<template>
  <p v-if="waitingInAll" role="status" class="border-l-8 border-ink bg-lit text-lit-ink px-3 py-2 mb-3" data-waiting>
    {{ waits(waitingInAll) }} and will be sent to the server by themselves.
  </p>
  <div
    v-if="refusals.length"
    role="alert"
    class="border-l-8 border-iron bg-warn px-3 py-2 mb-3 flex flex-wrap justify-between items-start gap-2"
  >
    <ul>
      <li v-for="(r, i) in refusals" :key="i">Not kept ({{ r.label.replaceAll('_', ' ') }}): {{ r.sentence }}</li>
    </ul>
    <button type="button" class="button button-desk" @click="refusals.splice(0)">Understood</button>
  </div>
</template>
