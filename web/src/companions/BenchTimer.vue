<script setup lang="ts">
import { Timer as TimerIcon } from '@lucide/vue'
import { computed } from 'vue'
import { countdown } from './clock'
import { useTimers } from './useTimers'

// The next look, as small as the head of the bench has room for.
const { timers, due } = useTimers()
const first = computed(() => timers.value[0])
const said = computed(() =>
  due.value.length ? `${due.value.length} due` : `${first.value ? countdown(first.value.left) : ''}`,
)
</script>

<template>
  <RouterLink
    v-if="first"
    to="/companion-tests"
    class="min-h-14 min-w-14 desk:w-24 grid content-center justify-items-center no-underline leading-tight"
    :class="due.length ? 'bg-lit text-lit-ink font-extrabold' : 'font-semibold'"
    :aria-label="`Companion tests: ${said}; ${first.title}, ${first.place}, ${first.label.toLowerCase()}`"
    data-timers
  >
    <TimerIcon :size="22" aria-hidden="true" />
    <span class="text-base tabular-nums" data-left>{{ said }}</span>
  </RouterLink>
</template>
