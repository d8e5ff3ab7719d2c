<script setup lang="ts">
import { computed, ref } from 'vue'
import { request, useWords } from '@/api'
import PageHead from '@/shared/PageHead.vue'
import { useAttempt } from '@/shared/useAttempt'
import PageState from '@/shared/PageState.vue'
import { keyOf } from './keys'
import { credit, forgetSession, useSession } from './usePractice'

// A session as who keeps its set sees it: the code to join, people by samples as they close them, and its end.
const props = defineProps<{ id: number }>()
const { data, error, refetch } = useSession(() => props.id, 'keeper')
const words = useWords()
const scheme = computed(() => words.value.practice.schemes.find(({ value }) => value === data.value?.scheme)?.name)
const labels = computed(() => [...new Set(data.value?.codes?.map(({ label }) => label))])
const calls = (person: number, label: string) =>
  data.value!.table!.find(({ person_id: one }) => one === person)!.calls.filter((call) => call.label === label)
const look = (value: number) => (value >= 1 ? 'bg-lit text-lit-ink' : value > 0 ? '' : 'bg-warn')
const ending = ref(false)
const { trouble, attempt } = useAttempt()
const end = () =>
  attempt(async () => {
    const key = keyOf(`set/${data.value!.set_id}`)
    await request('POST', `/api/practice-sessions/${props.id}/close`, {}, undefined, key)
    ending.value = false
    forgetSession(props.id)
  })
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      :title="data.set ?? ''"
      :line="data.ended_at ? 'Ended: the truth is open' : 'The truth is yours alone until the end'"
      :back="`/practice/sets/${data.set_id}`"
      back-name="The set"
    >
      <template v-if="data.role === 'keeper'">
        <RouterLink :to="`/practice/sessions/${id}/labels`" class="button button-desk">Code labels</RouterLink>
        <RouterLink
          v-if="(data.table?.length ?? 0) > 0"
          :to="`/practice/sessions/${id}/comparison`"
          class="button button-desk"
          >People compared</RouterLink
        >
      </template>
    </PageHead>
    <main v-if="data.role !== 'keeper'" class="px-4 desk:px-6 py-6 grid grid-cols-[minmax(0,1fr)] gap-3 content-start">
      <p class="text-xl">Only who fills the tubs sees this: the key of the set is not on this device.</p>
      <p><RouterLink :to="`/practice/sessions/${id}`" class="button">Read in this session</RouterLink></p>
    </main>
    <main v-else class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-6 content-start">
      <div class="flex flex-wrap items-end gap-x-10 gap-y-3">
        <p v-if="data.join_code" class="leading-tight">
          <span class="text-pencil">Code to join</span>
          <b class="block text-6xl tracking-wider tabular-nums" data-join>{{ data.join_code }}</b>
        </p>
        <p v-else class="leading-tight max-w-xl">
          Put the codes on the tubs, then let the reader sit down:
          <RouterLink :to="`/practice/sessions/${id}`" class="underline underline-offset-4"
            >the reader’s page</RouterLink
          >
        </p>
        <p class="text-pencil">{{ scheme }}</p>
        <p v-if="!data.ended_at" class="ml-auto">
          <button v-if="!ending" type="button" class="button" @click="ending = true">End, and open the truth</button>
          <span v-else class="flex flex-wrap gap-2 items-center"
            >For everybody at once? <button type="button" class="button button-main" @click="end">End it</button
            ><button type="button" class="button" @click="ending = false">Go on</button></span
          >
        </p>
      </div>
      <p v-if="trouble" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">{{ trouble }}</p>
      <section aria-labelledby="people-title" class="grid grid-cols-[minmax(0,1fr)] gap-2">
        <h2 id="people-title" class="text-2xl border-b-2 border-ink pb-1">People by samples</h2>
        <p v-if="!data.table?.length" class="text-pencil py-4">Nobody has sat down yet.</p>
        <div v-else class="relative overflow-x-auto" tabindex="0" role="region" aria-label="Calls of each person">
          <table class="border-collapse text-center tabular-nums">
            <thead>
              <tr class="border-b-2 border-ink">
                <th scope="col" class="text-left pr-4">Who</th>
                <th v-for="label in labels" :key="label" scope="col" class="px-2 font-semibold">{{ label }}</th>
                <th scope="col" class="px-2">Closed</th>
                <th scope="col" class="px-2">Credit</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in data.table" :key="row.person_id" class="border-b border-rule">
                <th scope="row" class="text-left pr-4 font-semibold">{{ row.name }}</th>
                <td v-for="label in labels" :key="label" class="px-1 py-1 align-top">
                  <span
                    v-for="call in calls(row.person_id, label)"
                    :key="call.code"
                    class="block px-2 border border-rule"
                    :class="look(call.credit)"
                    >{{ call.called }}<span class="sr-only">, credit {{ credit(call.credit) }}</span></span
                  >
                </td>
                <td>{{ row.closed }} of {{ row.turns }}</td>
                <td class="font-bold">{{ credit(row.credit) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
      <section v-if="data.ranking?.length" aria-labelledby="ranking-title" class="grid grid-cols-[minmax(0,1fr)] gap-2">
        <h2 id="ranking-title" class="text-2xl border-b-2 border-ink pb-1">By credit</h2>
        <ol class="list-decimal pl-6">
          <li v-for="r in data.ranking" :key="r.name ?? ''">
            {{ r.name }}: {{ credit(r.credit) }} over {{ r.closed }}
          </li>
        </ol>
      </section>
    </main>
  </div>
</template>
