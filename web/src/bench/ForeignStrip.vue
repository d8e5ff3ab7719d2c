<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { forgetLists, request, type Reading } from '@/api'
import { useSession } from '@/people/useSession'
import { useAttempt } from '@/shared/useAttempt'
import { useBench } from './useReading'

// Somebody else's reading is looked at; a correction of it is a reading of one's own, of the same sample.
const bench = useBench()
const router = useRouter()
const { mayWrite } = useSession()
const { busy, trouble, attempt } = useAttempt()
const sample = computed(() => bench.reading.value?.sample.id)
const begin = () =>
  attempt(async () => {
    const made = await request<Reading>('POST', '/api/readings', { sample_id: sample.value })
    forgetLists()
    await router.push(`/readings/${made.id}`)
  })
</script>

<template>
  <div class="border-l-8 border-ink bg-lit text-lit-ink px-3 py-2 text-lg flex flex-wrap items-center gap-x-4 gap-y-1">
    <p class="grow basis-64 leading-snug">
      {{ bench.foreign.value }}
      <template v-if="mayWrite"> Texture the same sample yourself to correct it: both stay.</template>
      <span v-if="trouble" role="alert"> {{ trouble }}</span>
    </p>
    <button v-if="mayWrite" type="button" class="button button-desk" :disabled="busy" @click="begin">
      Texture it myself
    </button>
  </div>
</template>
