<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { request } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'

// Everybody whose hand a laboratory has something to say about.
type People = { people: { id: number; name: string; samples: number }[] }
const { data, error, refetch } = useQuery({
  queryKey: ['hands'],
  queryFn: () => request<People>('GET', '/api/hands'),
})
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Hands" line="Ribbons beside a laboratory’s clay, by who textured" />
    <main class="px-4 desk:px-6 py-4 grid gap-3 content-start max-w-4xl">
      <p v-if="!data.people.length" class="py-10 text-xl text-pencil">
        Nothing yet. Texture a sample, send it to a laboratory, and write its result at the samples of the section.
      </p>
      <ul class="grid" aria-label="People">
        <li v-for="p in data.people" :key="p.id" class="border-b border-rule">
          <RouterLink :to="`/hands/${p.id}`" class="min-h-16 py-1 grid content-center no-underline leading-snug">
            <b class="underline decoration-rule decoration-2 underline-offset-4">{{ p.name }}</b>
            <span class="text-pencil">{{
              p.samples === 1 ? '1 sample with a result' : `${p.samples} samples with a result`
            }}</span>
          </RouterLink>
        </li>
      </ul>
    </main>
  </div>
</template>
