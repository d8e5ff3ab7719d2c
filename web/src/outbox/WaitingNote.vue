<script setup lang="ts">
import { device } from '@/device/device'
import { refusals, waitingInAll, waits } from './outboxes'

// What still waits on this device, and what was refused while nobody looked at its page.
</script>

<template>
  <p
    v-if="waitingInAll || device.alone.value"
    role="status"
    class="border-l-8 px-3 py-2 mb-3 flex flex-wrap gap-x-4 gap-y-1 items-center"
    :class="device.refused.value ? 'border-iron bg-warn' : 'border-ink bg-lit text-lit-ink'"
    data-waiting
  >
    <span class="grow min-w-0">
      <template v-if="device.refused.value">Something was changed there meanwhile, or was not taken. </template>
      <template v-else-if="device.alone.value">Working offline. </template>
      <template v-if="waitingInAll">{{ waits(waitingInAll) }} and will be sent to the server by themselves.</template>
    </span>
    <RouterLink class="button button-desk" to="/device">On this device</RouterLink>
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
