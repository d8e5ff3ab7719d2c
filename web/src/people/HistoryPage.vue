<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { request, type Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { dayAndTime } from '@/shared/dates'

// What became of a record: who changed what, when, from what to what.
const props = defineProps<{ of: string; id: number }>()
const { data, error, refetch } = useQuery({
  queryKey: ['history', props.of, props.id],
  queryFn: () =>
    request<Schemas['RecordHistory']>('GET', `/api/history?of=${encodeURIComponent(props.of)}&of_id=${props.id}`),
  staleTime: 0,
})
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="History" :line="data.label" />
    <main class="px-4 desk:px-6 py-4 grid gap-2 content-start max-w-4xl">
      <p v-if="!data.entries.length" class="text-pencil">Nothing was changed since it was made.</p>
      <ol class="grid">
        <li
          v-for="(e, i) in data.entries"
          :key="i"
          class="grid desk:grid-cols-[15rem_minmax(0,1fr)] gap-x-6 border-b border-rule py-2"
        >
          <p class="leading-snug">
            <b>{{ e.says }}</b>
            <span class="block text-pencil text-base">{{ e.by ?? 'nobody named' }}, {{ dayAndTime(e.at) }}</span>
          </p>
          <dl v-if="e.changes.length" class="grid gap-1">
            <div v-for="c in e.changes" :key="c.field" class="flex flex-wrap gap-x-2">
              <dt class="font-semibold">{{ c.field }}</dt>
              <dd>
                <span class="line-through text-pencil">{{ c.from ?? 'nothing' }}</span>
                <span aria-hidden="true"> → </span><span class="sr-only"> became </span>
                <span>{{ c.to ?? 'nothing' }}</span>
              </dd>
            </div>
          </dl>
        </li>
      </ol>
    </main>
  </div>
</template>
