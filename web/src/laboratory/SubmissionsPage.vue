<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { request, useWords, type Schemas } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import TextField from '@/shared/TextField.vue'
import { day } from '@/shared/dates'
import { useForm } from '@/shared/useForm'
import ResultsImport from './ResultsImport.vue'

// What is on its way to laboratories, and the bags that could go.
const words = useWords()
const router = useRouter()
const { data, error, refetch } = useQuery({
  queryKey: ['submissions'],
  queryFn: () => request<Schemas['Submissions']>('GET', '/api/submissions'),
  staleTime: 0,
  refetchInterval: 15_000,
})
const { saving, problem, at, general, send } = useForm<Schemas['Submission']>()
const chosen = ref<number[]>([])
const importing = ref(false)
const form = ref({
  laboratory: '',
  analysis: words.value.laboratory.methods[0]!.value,
  way: words.value.laboratory.ways[0]!.value,
  sent_by: '',
  note: '',
})
async function save(): Promise<void> {
  const made = await send('POST', '/api/submissions', { ...form.value, samples: chosen.value })
  if (made) await router.push(`/laboratory/${made.id}`)
}
const all = () => {
  const ids = data.value!.waiting.map(({ id }) => id)
  chosen.value = chosen.value.length === ids.length ? [] : ids
}
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead title="Laboratory" line="Bags out, results back, beside what the hand said">
      <button type="button" class="button for-writers button-desk" @click="importing = true">
        Results from a file
      </button>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid gap-x-10 gap-y-8 desk:grid-cols-2 items-start">
      <form class="grid gap-4" novalidate @submit.prevent="save">
        <h2 class="text-2xl border-b-2 border-ink pb-1">Send bags</h2>
        <p v-if="!data.waiting.length" class="text-pencil py-2">
          No bag waits. Take samples with a label at the section of a profile; what has a result or is on its way is not
          listed.
        </p>
        <template v-else>
          <fieldset class="grid gap-1">
            <legend class="font-semibold mb-1">Bags</legend>
            <p>
              <button type="button" class="min-h-11 underline underline-offset-4" @click="all">
                {{ chosen.length === data.waiting.length ? 'None' : 'All' }}
              </button>
            </p>
            <label v-for="b in data.waiting" :key="b.id" class="flex gap-3 items-center min-h-11 border-b border-rule">
              <input v-model="chosen" type="checkbox" class="size-6 shrink-0 accent-ink" :value="b.id" />
              <span
                ><b>{{ b.label }}</b> <span class="text-pencil">{{ b.place }}, {{ b.kind.toLowerCase() }}</span></span
              >
            </label>
            <p v-if="at('samples')" class="border-l-8 border-iron bg-warn px-3 py-1">{{ at('samples') }}</p>
          </fieldset>
          <TextField v-model="form.laboratory" label="Laboratory" :error="at('laboratory')" />
          <ChoiceField v-model="form.way" label="How" :options="words.laboratory.ways" />
          <ChoiceField v-model="form.analysis" label="Analysis" :options="words.laboratory.methods" />
          <TextField v-model="form.sent_by" label="Sent by" :error="at('sent_by')" />
          <TextField v-model="form.note" label="Note" :error="at('note')" />
          <p
            v-if="problem && general(['samples', 'laboratory', 'sent_by', 'note'])"
            role="alert"
            class="border-l-8 border-iron bg-warn px-3 py-2"
          >
            {{ general(['samples', 'laboratory', 'sent_by', 'note']) }}
          </p>
          <p>
            <button type="submit" class="button button-main" :disabled="saving">
              Send {{ chosen.length === 1 ? '1 bag' : `${chosen.length} bags` }}
            </button>
          </p>
        </template>
      </form>
      <section aria-labelledby="sent-title" class="grid gap-2">
        <h2 id="sent-title" class="text-2xl border-b-2 border-ink pb-1">Submissions</h2>
        <p v-if="!data.submissions.length" class="text-pencil py-2">None yet.</p>
        <ul class="grid" aria-label="Submissions">
          <li v-for="s in data.submissions" :key="s.id" class="border-b border-rule">
            <RouterLink :to="`/laboratory/${s.id}`" class="min-h-14 py-1 grid content-center no-underline leading-snug">
              <b class="underline decoration-rule decoration-2 underline-offset-4">{{ s.laboratory }}</b>
              <span class="text-pencil"
                >{{ s.bags === 1 ? '1 bag' : `${s.bags} bags` }}, {{ day(s.made_at) }}: {{ s.said.toLowerCase() }}</span
              >
            </RouterLink>
          </li>
        </ul>
      </section>
    </main>
    <ResultsImport v-if="importing" @close="importing = false" />
  </div>
</template>
