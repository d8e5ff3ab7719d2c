<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { request } from '@/api'
import SheetDialog from '@/shared/SheetDialog.vue'

// How the class was reached: everything as it was given, corrections included.
type Entry = {
  at: string
  what: string
  text: string
  recorded_by: string | null
  standing: boolean
  after_truth: boolean
}
const props = defineProps<{ readingId: number }>()
defineEmits<{ close: [] }>()
const { data } = useQuery({
  queryKey: ['history', props.readingId],
  queryFn: () => request<{ entries: Entry[] }>('GET', `/api/readings/${props.readingId}/history`),
  staleTime: 0,
})
const time = (at: string) => new Date(at).toLocaleString(undefined, { dateStyle: 'short', timeStyle: 'medium' })
</script>

<template>
  <SheetDialog open title="The record" wide @close="$emit('close')">
    <table class="w-full leading-tight">
      <thead>
        <tr class="text-left border-b-2 border-ink">
          <th class="py-2 pr-3">Time</th>
          <th class="pr-3">What</th>
          <th class="pr-3">Given</th>
          <th>Recorded by</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(e, i) in data?.entries"
          :key="i"
          class="border-b border-feint"
          :class="e.standing ? '' : 'text-pencil'"
        >
          <td class="py-1.5 pr-3 whitespace-nowrap">{{ time(e.at) }}</td>
          <td class="pr-3">{{ e.what.replaceAll('_', ' ') }}</td>
          <td class="pr-3">
            <s v-if="!e.standing">{{ e.text }}</s><template v-else>{{ e.text }}</template>
            <b v-if="e.after_truth"> after the truth</b>
          </td>
          <td>{{ e.recorded_by ?? '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="!data?.entries.length" class="text-pencil">Nothing was given yet.</p>
  </SheetDialog>
</template>
