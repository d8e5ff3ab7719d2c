<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { request, useWords, type Schemas } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import TextField from '@/shared/TextField.vue'
import { day } from '@/shared/dates'
import { useAttempt } from '@/shared/useAttempt'
import { freshKey, keepKey, keyOf, usePractiser } from './keys'
import SetDialog from './SetDialog.vue'

// Where a hand gets better: tubs of known soil, a group with a code, simulated samples, a key against the clock.
const router = useRouter()
const { data, error, refetch } = useQuery({
  queryKey: ['practice'],
  queryFn: () => request<Schemas['Practice']>('GET', '/api/practice'),
  staleTime: 0,
})
const words = useWords()
const name = usePractiser()
const code = ref('')
const making = ref(false)
const joining = useAttempt()
const simulating = useAttempt()
const busy = computed(() => joining.busy.value || simulating.busy.value)
const mine = computed(() => data.value?.sessions.filter(({ id }) => keyOf(`session/${id}`)) ?? [])

const sit = async (id: number): Promise<void> => {
  const key = keyOf(`session/${id}`) ?? freshKey()
  await request('POST', `/api/practice-sessions/${id}/people`, { name: name.value, key })
  keepKey(`session/${id}`, key)
}
const join = () =>
  joining.attempt(async () => {
    const found = await request<{ id: number }>('GET', `/api/practice-codes/${encodeURIComponent(code.value.trim())}`)
    await sit(found.id)
    await router.push(`/practice/sessions/${found.id}`)
  })
const simulate = () =>
  simulating.attempt(async () => {
    const { id } = await request<{ id: number }>('POST', '/api/practice-sessions', { kind: 'simulated' })
    await sit(id)
    await router.push(`/practice/sessions/${id}`)
  })
const KINDS: Record<string, string> = { alone: 'one person', group: 'group', simulated: 'simulated samples' }
const state = (s: Schemas['PracticeLine']) =>
  [
    KINDS[s.kind],
    s.kind === 'group' && (s.people === 1 ? '1 person' : `${s.people} people`),
    s.ended_at ? `ended ${day(s.ended_at)}` : `begun ${day(s.begun_at)}`,
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Practice" line="Known soil in unknown tubs; a class of people; the decision alone">
      <RouterLink to="/double-readings" class="button button-desk">Double readings</RouterLink>
      <RouterLink to="/hands" class="button button-desk">Hands</RouterLink>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid gap-x-10 gap-y-8 desk:grid-cols-[minmax(0,5fr)_minmax(0,6fr)] items-start">
      <div class="grid gap-6">
        <TextField v-model="name" label="Who practises here" hint="As in “textured by”" />
        <form class="grid gap-2" novalidate @submit.prevent="join">
          <h2 class="text-2xl border-b-2 border-ink pb-1">Join with a code</h2>
          <div class="flex gap-2 items-end">
            <TextField v-model="code" label="Code of the session" class="grow" :error="joining.trouble.value" />
            <button class="button button-main" type="submit" :disabled="busy || !code.trim() || !name.trim()">
              Join
            </button>
          </div>
        </form>
        <section aria-labelledby="simulated-title" class="grid gap-2">
          <h2 id="simulated-title" class="text-2xl border-b-2 border-ink pb-1">Simulated samples</h2>
          <p>
            The model feels a soil that it draws from what you are weak at; you ask for tests and call the class. It
            trains the decision, not the hand.
          </p>
          <p v-if="simulating.trouble.value" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
            {{ simulating.trouble.value }}
          </p>
          <p>
            <button type="button" class="button" :disabled="busy || !name.trim()" @click="simulate">
              Begin simulated samples
            </button>
          </p>
        </section>
        <section aria-labelledby="drill-title" class="grid gap-2">
          <h2 id="drill-title" class="text-2xl border-b-2 border-ink pb-1">Read a key against the clock</h2>
          <p>Answers are shown; what does the key say? Your time stands beside your own median and nobody else’s.</p>
          <p><RouterLink to="/practice/key" class="button">Read the key</RouterLink></p>
        </section>
      </div>
      <div class="grid gap-6">
        <section aria-labelledby="sets-title" class="grid gap-2">
          <div class="flex items-end justify-between gap-3 border-b-2 border-ink pb-1">
            <h2 id="sets-title" class="text-2xl">Sets of reference samples</h2>
            <button type="button" class="button button-desk" @click="making = true">Make a set</button>
          </div>
          <p v-if="!data.sets.length" class="py-4 text-pencil">
            No set yet. Fill tubs with soil whose sand, silt and clay are known; whoever fills them makes the set.
            {{ words.practice.good_set }}
          </p>
          <ul class="grid" aria-label="Sets">
            <li v-for="s in data.sets" :key="s.id" class="border-b border-rule">
              <RouterLink
                :to="`/practice/sets/${s.id}`"
                class="min-h-14 py-1 grid content-center no-underline leading-snug"
              >
                <b class="underline decoration-rule decoration-2 underline-offset-4">{{ s.name }}</b>
                <span class="text-pencil"
                  >{{ s.tubs === 1 ? '1 tub' : `${s.tubs} tubs` }}{{ s.owner ? `, filled by ${s.owner}` : ''
                  }}{{ keyOf(`set/${s.id}`) ? '; its key is on this device' : '' }}</span
                >
              </RouterLink>
            </li>
          </ul>
        </section>
        <section aria-labelledby="sessions-title" class="grid gap-2">
          <h2 id="sessions-title" class="text-2xl border-b-2 border-ink pb-1">Sessions on this device</h2>
          <p v-if="!mine.length" class="py-4 text-pencil">None yet.</p>
          <ul class="grid" aria-label="Sessions">
            <li v-for="s in mine" :key="s.id" class="border-b border-rule">
              <RouterLink
                :to="`/practice/sessions/${s.id}`"
                class="min-h-14 py-1 grid content-center no-underline leading-snug"
              >
                <b class="underline decoration-rule decoration-2 underline-offset-4">{{
                  s.set ?? 'Simulated samples'
                }}</b>
                <span class="text-pencil">{{ state(s) }}</span>
              </RouterLink>
            </li>
          </ul>
        </section>
      </div>
    </main>
    <SetDialog v-if="making" @close="making = false" @made="router.push(`/practice/sets/${$event}`)" />
  </div>
</template>
