<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { request } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'

// Everybody whose hand known soil has something to say about.
type People = { people: { id: number; name: string; samples: number; practised: number; in_use: boolean }[] }
const { data, error, refetch } = useQuery({
  queryKey: ['hands'],
  queryFn: () => request<People>('GET', '/api/hands'),
  staleTime: 0,
})
const line = (p: People['people'][number]) =>
  [
    p.samples && (p.samples === 1 ? '1 sample of known clay' : `${p.samples} samples of known clay`),
    p.practised && `${p.practised} practised`,
    p.in_use && 'own curve in use',
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Hands" line="Ribbons beside known clay, by who textured">
      <RouterLink to="/practice" class="button button-desk">Practice</RouterLink>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid gap-3 content-start max-w-4xl">
      <p v-if="!data.people.length" class="py-10 text-xl text-pencil">
        Nothing yet. Texture a sample, send it to a laboratory, and write its result at the samples of the section; or
        read a set of reference samples blind.
      </p>
      <ul class="grid" aria-label="People">
        <li v-for="p in data.people" :key="p.id" class="border-b border-rule">
          <RouterLink :to="`/hands/${p.id}`" class="min-h-16 py-1 grid content-center no-underline leading-snug">
            <b class="underline decoration-rule decoration-2 underline-offset-4">{{ p.name }}</b>
            <span class="text-pencil">{{ line(p) }}</span>
          </RouterLink>
        </li>
      </ul>
    </main>
  </div>
</template>
