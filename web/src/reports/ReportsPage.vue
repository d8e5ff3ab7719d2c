<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { queryClient, request, type Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import PageTurner from '@/shared/PageTurner.vue'
import { dayAndTime } from '@/shared/dates'
import { useForm } from '@/shared/useForm'

// Reports that were made of a profile or a site, or all; and a new one.
type Reports = { reports: Schemas['ReportLine'][]; page: number; pages: number; total: number }
const route = useRoute()
const router = useRouter()
const page = ref(1)
const owner = computed(() => (['profile', 'site'] as const).find((kind) => route.query[kind]))
const asked = computed(() => (owner.value ? `&${owner.value}_id=${String(route.query[owner.value])}` : ''))
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['reports', page.value, asked.value],
    queryFn: () => request<Reports>('GET', `/api/reports?page=${page.value}${asked.value}`),
  })),
)
const { saving, problem, general, send } = useForm<Schemas['Report']>()
async function make(): Promise<void> {
  const made = await send('POST', '/api/reports', { [`${owner.value}_id`]: Number(route.query[owner.value!]) })
  if (!made) return
  void queryClient.invalidateQueries({ queryKey: ['reports'] })
  queryClient.setQueryData(['report', made.id], made)
  void router.push(`/reports/${made.id}`)
}
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      title="Reports"
      line="For a client or an authority; a frozen one keeps what it says"
      :back="owner === 'profile' ? `/profiles/${route.query.profile}` : '/'"
      :back-name="owner === 'profile' ? 'Section' : 'Fieldbook'"
    >
      <button v-if="owner" type="button" class="button button-main" :disabled="saving" @click="make">New report</button>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid gap-3 content-start max-w-4xl">
      <p v-if="problem" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ general([]) }}</p>
      <p v-if="!data.total" class="py-10 text-xl text-pencil">
        No report yet{{ owner ? '.' : ': begin one at the export of a profile or a site.' }}
      </p>
      <ul class="grid" aria-label="Reports">
        <li v-for="r in data.reports" :key="r.id" class="border-b border-rule">
          <RouterLink :to="`/reports/${r.id}`" class="min-h-16 py-1 grid content-center no-underline leading-snug">
            <b class="underline decoration-rule decoration-2 underline-offset-4">{{ r.name }}</b>
            <span class="text-pencil">{{
              r.frozen_at
                ? `Frozen ${dayAndTime(r.frozen_at)}, rules ${r.rules_version}`
                : `Draft of ${dayAndTime(r.made_at)}`
            }}</span>
          </RouterLink>
        </li>
      </ul>
      <PageTurner v-model="page" :pages="data.pages" what="reports" />
    </main>
  </div>
</template>
