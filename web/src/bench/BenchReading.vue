<script setup lang="ts">
import PageState from '@/shared/PageState.vue'
import BenchDesk from './BenchDesk.vue'
import { provideReading, useReading } from './useReading'

// Provides one reading to the bench, once it is there.
const props = defineProps<{ id: number }>()
const bench = useReading(props.id)
provideReading(bench)
</script>

<template>
  <BenchDesk v-if="bench.reading.value" />
  <PageState v-else :error="bench.query.error.value" @retry="bench.query.refetch()" />
</template>
