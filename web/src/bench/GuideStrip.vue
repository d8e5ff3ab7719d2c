<script setup lang="ts">
import { computed } from 'vue'
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router'
import { forgetLists, request } from '@/api'
import { useBench } from './useReading'

// A first reading, of a sample that the reader only imagines: at each step what it would feel like, and what to press.
const route = useRoute()
const router = useRouter()
const bench = useBench()
const TELLS: Record<string, string[]> = {
  prepare: [
    'Imagine a brown palmful from a garden bed. The dry clod breaks between finger and thumb:',
    'press “Moderately hard” in its row, then Next.',
  ],
  moisten: [
    'You wet it a little at a time and knead for a minute or two, until it feels like moist putty.',
    'Press Next.',
  ],
  ball: ['You squeeze it, and it holds together. Press “Yes”.'],
  ribbon: [
    'You push it out between thumb and finger. It breaks at 31 mm; the next at 34, the third at 29.',
    'Type each length and press Add, or tap the ruler twice. Then press Next.',
  ],
  rub: [
    'You rub a pinch with plenty of water: a little grit, a little smoothness, and neither stands out.',
    'Press “Neither gritty nor smooth”.',
  ],
  more: ['Other tests would make it surer. None is needed now: press Next.'],
  assign: [
    'The key has come to its end. Its class stands there, how near the limit it is, and what other methods would say.',
    'Press Assign.',
  ],
}
const assigned = computed(() => bench.reading.value!.assigned)
const tells = computed(() =>
  (assigned.value && bench.step.value === 'assign'
    ? [
        `That is a whole reading: ${assigned.value.full_name}, with every answer kept beside it under “The record”.`,
        'The imagined palmful is no longer needed.',
      ]
    : (TELLS[bench.step.value] ?? [])
  ).join(' '),
)
const leave = () => router.replace({ query: { ...route.query, guide: undefined } })
// Whoever goes elsewhere in the middle of it leaves no imagined sample behind.
onBeforeRouteLeave((to) => {
  if (to.path.startsWith(`/readings/${bench.reading.value!.id}`)) return
  void request('POST', '/api/deletions', { of: 'reading', of_id: bench.reading.value!.id })
    .catch(() => {})
    .then(forgetLists)
})
</script>

<template>
  <aside
    aria-label="First reading"
    class="leaf-frame border-dashed !bg-lit text-lit-ink px-3 py-2 grid gap-y-1 text-lg leading-snug"
    data-guide
  >
    <p role="status">{{ tells }}</p>
    <p class="flex flex-wrap gap-2">
      <button v-if="assigned" type="button" class="button button-desk button-main" @click="router.push('/')">
        Finish, and delete it
      </button>
      <button type="button" class="button button-desk" @click="leave">
        {{ assigned ? 'Keep it' : 'Go on alone' }}
      </button>
    </p>
  </aside>
</template>
