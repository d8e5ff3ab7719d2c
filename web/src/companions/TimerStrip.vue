<script setup lang="ts">
import { Timer as TimerIcon } from '@lucide/vue'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { dueSaid } from './clock'
import { useReminders } from './useReminders'
import { useTimers } from './useTimers'

// What is to be looked at next, at the head of every page.
const { timers, due } = useTimers()
useReminders()
const route = useRoute()
const first = computed(() => timers.value[0])
/** The board says the same, larger; the bench has a clock of its own. */
const here = computed(() => ['companions', 'bench'].includes(String(route.name)))
</script>

<template>
  <aside v-if="first && !here" aria-label="Companion tests" class="timer-strip print:hidden" data-timers>
    <RouterLink
      :to="`/companion-tests/${first.test_id}`"
      class="grow min-w-0 flex items-center gap-2 no-underline"
      :class="first.left <= 0 ? 'font-extrabold' : 'font-semibold'"
    >
      <TimerIcon class="shrink-0" :size="18" aria-hidden="true" />
      <span class="truncate"
        ><span class="max-desk:hidden">{{ first.title }}, </span>{{ first.place }}:
        {{ first.label.toLowerCase() }}</span
      >
      <span class="shrink-0 tabular-nums" data-left>{{ dueSaid(first.left) }}</span>
    </RouterLink>
    <RouterLink to="/companion-tests" class="shrink-0 font-semibold underline underline-offset-4">
      {{ timers.length }} {{ timers.length === 1 ? 'timer' : 'timers'
      }}<template v-if="due.length">, {{ due.length }} due</template>
    </RouterLink>
  </aside>
</template>
