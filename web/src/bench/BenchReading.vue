<script setup lang="ts">
import { onUnmounted } from 'vue'
import { forgetLists, request } from '@/api'
import PageState from '@/shared/PageState.vue'
import BenchDesk from './BenchDesk.vue'
import { provideReading, useReading } from './useReading'

// Provides one reading to the bench, once it is there.
const props = defineProps<{ id: number }>()
const bench = useReading(props.id)
provideReading(bench)

// A palmful that was opened and left as it was is not kept.
onUnmounted(() => {
  const reading = bench.reading.value
  if (
    !reading ||
    reading.horizon ||
    reading.profile ||
    reading.version > 0 ||
    bench.waiting.value ||
    bench.foreign.value
  )
    return
  void request('POST', `/api/readings/${reading.id}/leave`, {})
    .then(forgetLists)
    .catch(() => {})
})
</script>

<template>
  <BenchDesk v-if="bench.reading.value" />
  <PageState v-else :error="bench.query.error.value" @retry="bench.query.refetch()" />
</template>
