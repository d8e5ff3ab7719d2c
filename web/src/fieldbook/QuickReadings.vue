<script setup lang="ts">
import type { ReadingSummary } from '@/api'
import { shortDay } from '@/shared/dates'

// Palmfuls that belong to no site, newest first.
defineProps<{ readings: ReadingSummary[]; total: number }>()
const SHOWN = 4
</script>

<template>
  <section aria-labelledby="quick-title" class="border-t-[1.5px] border-ink pt-2">
    <h2 id="quick-title" class="text-xl">Quick readings</h2>
    <ul>
      <li v-for="r in readings.slice(0, SHOWN)" :key="r.id" class="border-b border-feint">
        <RouterLink
          :to="`/readings/${r.id}`"
          class="flex justify-between items-center gap-3 min-h-14 no-underline leading-tight"
        >
          <span class="font-semibold min-w-0">{{ r.label ?? `Of ${shortDay(r.started_at)}` }}</span>
          <span class="text-right shrink-0" :class="r.assigned ? '' : 'text-pencil'">{{
            r.assigned?.name ?? 'no class yet'
          }}</span>
        </RouterLink>
      </li>
    </ul>
    <RouterLink to="/readings" class="min-h-11 grid content-center font-semibold">{{
      total > SHOWN ? `All ${total} quick readings` : 'Name, describe, set beside'
    }}</RouterLink>
  </section>
</template>
