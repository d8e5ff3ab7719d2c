<script setup lang="ts">
import { LocateFixed } from '@lucide/vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { forgetLists, quickQuery, request, type Reading, type Schemas, type Wanted } from '@/api'
import { useTray } from '@/beside/useTray'
import { useBin } from '@/bin/useBin'
import { fillOf } from '@/drawing/grain'
import SearchBar from '@/fieldbook/SearchBar.vue'
import { dayAndTime } from '@/shared/dates'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import PageTurner from '@/shared/PageTurner.vue'
import { useGps } from '@/shared/useGps'
import PalmfulDialog from './PalmfulDialog.vue'

// All quick readings, newest first: looked for, named, described, given their place, set side by side, deleted.
type Quick = Schemas['QuickReading']
const router = useRouter()
const page = ref(1)
const wanted = ref<Wanted>({ text: '', class: '', from: '', to: '', unfinished: '' })
const near = ref('')
watch([wanted, near], () => (page.value = 1))
const { data, error, refetch } = useQuery(computed(() => quickQuery(page.value, { ...wanted.value, near: near.value })))
const searching = computed(() => near.value || Object.values(wanted.value).some(Boolean))
const { has, full, toggle } = useTray()
const { ask } = useBin()
const { trouble: deaf, locate } = useGps()
const open = ref<Quick | null>(null)
const trouble = ref('')
const seen = (r: Quick) => r.sample.described as Record<string, string>
const line = (r: Quick) =>
  [
    r.textured_by,
    r.site?.name ?? r.sample.position,
    seen(r).moist_colour,
    seen(r).odour && `smells ${seen(r).odour}`,
    r.ribbon_text && `ribbon ${r.ribbon_text}`,
  ]
    .filter(Boolean)
    .join(', ')

async function nearHere(): Promise<void> {
  if (near.value) return void (near.value = '')
  const here = await locate()
  if (here) near.value = `${here.latitude}, ${here.longitude}`
}
async function begin(): Promise<void> {
  trouble.value = ''
  try {
    const reading = await request<Reading>('POST', '/api/readings', {})
    forgetLists()
    void router.push(`/readings/${reading.id}`)
  } catch (problem) {
    trouble.value = (problem as Error).message
  }
}
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Quick readings" :line="`${data.total} ${data.total === 1 ? 'palmful' : 'palmfuls'} from anywhere`">
      <button type="button" class="button for-writers" @click="begin">Quick reading</button>
    </PageHead>
    <main class="grow px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-4 content-start">
      <div class="flex flex-wrap gap-3 items-end">
        <SearchBar v-model="wanted" :unfinished="false" placeholder="Name, note, person, class" class="grow" />
        <button type="button" class="button button-desk" :aria-pressed="near !== ''" @click="nearHere">
          <LocateFixed aria-hidden="true" />Near here
        </button>
      </div>
      <p v-if="trouble || deaf" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble || deaf }}</p>
      <p v-if="!data.total" class="py-12 text-2xl font-extrabold text-center" role="status">
        {{ searching ? 'No quick reading fits that.' : 'No quick reading yet.' }}
      </p>
      <ol v-else class="grid divide-y divide-rule border-b border-rule">
        <li v-for="r in data.readings" :key="r.id" class="palmful-row">
          <svg viewBox="0 0 34 34" width="34" height="34" aria-hidden="true">
            <rect x="1" y="1" width="32" height="32" class="ground" />
            <rect v-if="r.assigned" x="1" y="1" width="32" height="32" :fill="fillOf(r.assigned, true)" />
            <rect x="1" y="1" width="32" height="32" :class="r.assigned ? 'inked' : 'undone'" />
          </svg>
          <RouterLink :to="`/readings/${r.id}`" class="no-underline leading-snug min-h-14 block">
            <span class="flex flex-wrap gap-x-4 justify-between">
              <b class="underline decoration-rule decoration-2 underline-offset-4">{{ r.name }}</b>
              <span :class="r.assigned ? 'font-semibold' : 'text-pencil'">{{
                r.assigned?.full_name ?? 'no class yet'
              }}</span>
            </span>
            <span class="block text-pencil text-base"
              >{{ dayAndTime(r.started_at) }}{{ line(r) && `, ${line(r)}` }}</span
            >
          </RouterLink>
          <span class="max-desk:col-start-2 flex flex-wrap gap-2">
            <button
              type="button"
              class="button button-desk"
              :aria-pressed="has(r.id)"
              :disabled="full() && !has(r.id)"
              @click="toggle({ id: r.id, name: r.name })"
            >
              Set beside<span class="sr-only">: {{ r.name }}</span>
            </button>
            <button type="button" class="button for-writers button-desk" @click="open = r">
              Details<span class="sr-only"> of {{ r.name }}</span>
            </button>
            <button type="button" class="button for-writers button-desk" @click="ask('reading', r.id)">
              Delete<span class="sr-only"> {{ r.name }}</span>
            </button>
          </span>
        </li>
      </ol>
      <PageTurner v-model="page" :pages="data.pages" what="quick readings" />
    </main>
    <PalmfulDialog v-if="open" :reading="{ ...open, photos: undefined }" @close="open = null" @saved="refetch()" />
  </div>
</template>
