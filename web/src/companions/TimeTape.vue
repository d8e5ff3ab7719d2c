<script setup lang="ts">
import { computed } from 'vue'
import type { SheetPlace } from '@/api'
import { dueSaid } from './clock'

// The looks that a place asks for, in their order, and how each stands.
const props = defineProps<{ place: SheetPlace; now: number }>()
const MOST = 6
const due = computed(() => props.place.due.slice(-MOST))
const next = computed(() => props.place.due.find(({ state }) => state === 'open'))
const WORDS: Record<string, string> = {
  done: 'looked at',
  late: 'looked at off its time',
  missed: 'missed',
  open: 'not yet',
}
const left = computed(() => (next.value?.at ? Date.parse(next.value.at) - props.now : null))
</script>

<template>
  <div class="grid gap-1">
    <p v-if="next" class="font-semibold" data-next>
      {{ next.label }}
      <template v-if="left !== null">
        <span class="tabular-nums" :class="left <= 0 ? 'bg-lit text-lit-ink px-1' : ''">{{ dueSaid(left) }}</span>
      </template>
      <template v-else>after {{ next.after }}</template>
    </p>
    <ol v-if="due.length" class="flex items-start">
      <li
        v-for="(d, i) in due"
        :key="i"
        class="grow basis-0 grid justify-items-center relative pt-0.5"
        :data-due="d.state"
      >
        <span v-if="i" class="absolute top-3 right-1/2 w-full border-t-2 border-rule -z-0" aria-hidden="true" />
        <svg viewBox="0 0 20 20" class="size-5 relative" aria-hidden="true">
          <circle
            cx="10"
            cy="10"
            r="7.5"
            :fill="d.state === 'done' ? 'var(--ink)' : 'var(--leaf)'"
            :stroke="d === next ? 'var(--ink)' : 'var(--pencil)'"
            :stroke-width="d === next ? 3.5 : 2"
          />
          <path v-if="d.state === 'late'" d="M10 2.5A7.5 7.5 0 0 0 10 17.5Z" fill="var(--ink)" />
          <path v-if="d.state === 'missed'" d="M6 6 14 14M14 6 6 14" stroke="var(--iron)" stroke-width="2.5" />
        </svg>
        <span class="text-base leading-tight text-center">{{ d.after }}</span>
        <span class="sr-only">{{ d.label }}: {{ WORDS[d.state] }}</span>
      </li>
    </ol>
  </div>
</template>
