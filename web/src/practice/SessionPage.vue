<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { queryClient, request } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { useAttempt } from '@/shared/useAttempt'
import TextField from '@/shared/TextField.vue'
import { freshKey, keepKey, keyOf, usePractiser } from './keys'
import GuessLines from './GuessLines.vue'
import MatrixTable from './MatrixTable.vue'
import ResultRows from './ResultRows.vue'
import ScoreLines from './ScoreLines.vue'
import { credit, forgetSession, sessionKey, useSession, type Session } from './usePractice'

// A session as somebody sits in it: which code comes next, and of tubs whose truth is open what was right and why not.
const props = defineProps<{ id: number }>()
const router = useRouter()
const { data, error, refetch } = useSession(() => props.id, 'person')
const name = usePractiser()
const { busy, trouble, attempt: tried } = useAttempt()
const me = computed(() => data.value?.me)
const current = computed(() => me.value?.turns.find(({ now }) => now))
const closed = computed(() => me.value?.turns.filter(({ closed_at: at }) => at).length ?? 0)
const open = computed(() => me.value?.turns.filter(({ result, closed_at: at }) => result && at) ?? [])
const simulated = computed(() => data.value?.kind === 'simulated')
const key = () => keyOf(`session/${props.id}`)

const put = (session: Session) => queryClient.setQueryData(sessionKey(props.id, 'person'), session)
const sit = () =>
  tried(async () => {
    const own = key() ?? freshKey()
    put(await request<Session>('POST', `/api/practice-sessions/${props.id}/people`, { name: name.value, key: own }))
    keepKey(`session/${props.id}`, own)
  })
const take = () =>
  tried(async () => {
    let turn = current.value
    if (!turn) {
      put(await request<Session>('POST', `/api/practice-sessions/${props.id}/next`, {}, undefined, key()))
      turn = current.value
    }
    const path = `/api/turns/${turn!.id}/begin`
    const { reading_id: reading } = await request<{ reading_id: number }>('POST', path, {}, undefined, key())
    forgetSession(props.id)
    await router.push(`/readings/${reading}`)
  })
const ending = ref(false)
const end = () =>
  tried(async () => {
    put(await request<Session>('POST', `/api/practice-sessions/${props.id}/close`, {}, undefined, key()))
    ending.value = false
  })
const said = computed(() => {
  const turn = current.value
  if (!turn) return simulated.value ? 'Next simulated sample' : ''
  const verb = turn.reading_id ? 'Go on with' : 'Take'
  return simulated.value ? `${verb} sample ${turn.code}` : `${verb} code ${turn.code}`
})
const line = computed(() =>
  !me.value
    ? ''
    : simulated.value
      ? `${me.value.name}: decision only, no soil and no hand`
      : `${me.value.name}: ${closed.value} of ${me.value.turns.length} closed`,
)
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead :title="data.set ?? 'Simulated samples'" :line="line" back="/practice" back-name="Practice">
      <RouterLink v-if="me" :to="`/hands/${me.person_id}`" class="button button-desk">My hand</RouterLink>
      <RouterLink
        v-if="data.kind === 'group' && data.ended_at && me"
        :to="`/practice/sessions/${id}/comparison`"
        class="button button-desk"
        >People compared</RouterLink
      >
    </PageHead>
    <main v-if="!me" class="px-4 desk:px-6 py-6 grid grid-cols-[minmax(0,1fr)] gap-4 content-start max-w-xl">
      <p v-if="data.ended_at" class="text-xl">This session has ended.</p>
      <form v-else class="grid gap-3" novalidate @submit.prevent="sit">
        <TextField v-model="name" label="Who reads" first :error="trouble" />
        <p>
          <button type="submit" class="button button-main" :disabled="busy || !name.trim()">Sit down</button>
        </p>
      </form>
    </main>
    <main v-else class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-6 content-start">
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
      <section v-if="!data.ended_at" aria-label="What comes next" class="grid grid-cols-[minmax(0,1fr)] gap-3">
        <div class="flex flex-wrap items-center gap-4">
          <p v-if="current" class="text-6xl font-extrabold tabular-nums leading-none" data-code>{{ current.code }}</p>
          <button v-if="said" type="button" class="button button-main text-xl" :disabled="busy" @click="take">
            {{ said }}
          </button>
          <p v-else class="text-xl" role="status">
            {{ data.kind === 'group' ? 'All closed. The truth opens for everybody when the session ends.' : '' }}
          </p>
        </div>
        <p v-if="current && !simulated" class="text-pencil">
          Find the tub with this code.
          {{ current.guess ? 'Say your guess before any water: it is asked of half of the tubs.' : '' }}
        </p>
        <ol v-if="!simulated" class="flex flex-wrap gap-1.5" aria-label="Codes in your order">
          <li
            v-for="t in me.turns"
            :key="t.id"
            class="px-2 min-h-9 content-center tabular-nums border-2"
            :class="
              t.now
                ? 'border-ink bg-lit text-lit-ink font-bold'
                : t.closed_at
                  ? 'border-rule line-through text-pencil'
                  : 'border-dashed border-rule'
            "
          >
            {{ t.code }}<span class="sr-only">{{ t.now ? ', now' : t.closed_at ? ', closed' : ', not yet' }}</span>
          </li>
        </ol>
        <p v-if="closed && data.kind !== 'group'">
          <button v-if="!ending" type="button" class="button button-desk" @click="ending = true">
            End the session
          </button>
          <span v-else class="flex flex-wrap gap-2 items-center"
            >{{ simulated ? 'No more samples.' : 'All truth opens; what is not closed counts nowhere.' }}
            <button type="button" class="button button-desk" @click="end">End it</button
            ><button type="button" class="button button-desk" @click="ending = false">Go on</button></span
          >
        </p>
      </section>
      <p v-else class="text-xl" role="status" data-ended>
        <template v-if="me.scores.count"
          >{{ me.scores.count === 1 ? '1 sample counts' : `${me.scores.count} samples count` }}: mean credit
          {{ credit(me.scores.credit) }}.</template
        >
        <template v-else>Ended. No sample of this session counts.</template>
      </p>
      <ResultRows v-if="open.length" :turns="open" :simulated="simulated" />
      <div v-if="me.scores.count" class="grid desk:grid-cols-2 gap-x-10 gap-y-6 items-start">
        <section aria-labelledby="right-title" class="grid grid-cols-[minmax(0,1fr)] gap-2">
          <h2 id="right-title" class="text-2xl border-b-2 border-ink pb-1">How often right</h2>
          <ScoreLines :scores="me.scores" />
        </section>
        <section v-if="me.matrix" aria-labelledby="matrix-title" class="grid grid-cols-[minmax(0,1fr)] gap-2">
          <h2 id="matrix-title" class="text-2xl border-b-2 border-ink pb-1">Truth by call</h2>
          <MatrixTable v-bind="me.matrix" down="the truth" across="what you called" />
        </section>
        <GuessLines :guessing="me.guessing" />
      </div>
      <section v-if="data.others" aria-labelledby="others-title" class="grid grid-cols-[minmax(0,1fr)] gap-2">
        <h2 id="others-title" class="text-2xl border-b-2 border-ink pb-1">The others, without names</h2>
        <ul class="grid" aria-label="Calls of the others">
          <li v-for="o in data.others" :key="o.label" class="border-b border-rule py-1">
            <b>{{ o.label }}</b>:
            {{
              Object.entries(o.calls)
                .map(([call, count]) => `${call} ${count}`)
                .join(', ')
            }}; clay {{ o.clay.map((c) => Math.round(c)).join(', ') }}
          </li>
        </ul>
      </section>
      <section v-if="data.ranking" aria-labelledby="ranking-title" class="grid grid-cols-[minmax(0,1fr)] gap-2">
        <h2 id="ranking-title" class="text-2xl border-b-2 border-ink pb-1">Credits of the group</h2>
        <ol class="list-decimal pl-6">
          <li v-for="(r, i) in data.ranking" :key="i">{{ credit(r.credit) }} over {{ r.closed }}</li>
        </ol>
      </section>
    </main>
  </div>
</template>
