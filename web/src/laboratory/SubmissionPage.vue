<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { served, queryClient, request, type Schemas } from '@/api'
import CsvFile from '@/shared/CsvFile.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { day, dayAndTime } from '@/shared/dates'
import { useForm } from '@/shared/useForm'

// One submission: how it stands, what does not fit, and what came back beside the hand.
const props = defineProps<{ id: number }>()
type Submission = Schemas['Submission']
const key = computed(() => ['submission', props.id])
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: key.value,
    queryFn: () => request<Submission>('GET', `/api/submissions/${props.id}`),
    staleTime: 0,
    refetchInterval: ({ state: { data: found } }: { state: { data?: Submission } }) => (found?.open ? 5000 : false),
  })),
)
const form = useForm<Submission>()
async function post(what: string, body: Record<string, unknown> = {}): Promise<void> {
  const found = await form.send('POST', `/api/submissions/${props.id}/${what}`, body)
  if (found) queryClient.setQueryData(key.value, found)
}
const chosen = ref('')
const file = ref<InstanceType<typeof CsvFile>>()
async function importFile(): Promise<void> {
  const csv = await file.value!.read()
  if (csv !== null) await post('results', { csv })
}
const byService = computed(() => data.value?.way === 'service')
const sentence = (beside: unknown) => (beside as { sentence?: string } | null)?.sentence
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      :title="data.laboratory"
      :line="`${data.analysis}, made ${day(data.made_at)}${data.number ? `, their number ${data.number}` : ''}`"
      back="/laboratory"
      back-name="Laboratory"
    >
      <a :href="served(`/api/submissions/${id}/custody.pdf`)" target="_blank" class="button button-desk"
        >Custody sheet, PDF</a
      >
      <button
        v-if="data.open && byService && !data.held"
        type="button"
        class="button button-desk"
        :disabled="form.saving.value"
        @click="post('ask')"
      >
        Ask now
      </button>
      <button
        v-if="data.open"
        type="button"
        class="button button-desk"
        :disabled="form.saving.value"
        @click="post('cancel')"
      >
        Cancel
      </button>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid gap-6 content-start">
      <div class="grid gap-1" role="status" data-state>
        <p class="text-2xl font-semibold">{{ data.said }}</p>
        <p v-if="data.due_at && data.open" class="text-pencil">Due {{ dayAndTime(data.due_at) }}.</p>
        <p v-if="data.trouble" class="border-l-8 border-iron bg-warn px-3 py-1">
          {{ data.trouble }}
          <template v-if="data.next_at"
            >Tried {{ data.tries === 1 ? 'once' : `${data.tries} times` }}; again
            {{ dayAndTime(data.next_at) }}.</template
          >
        </p>
      </div>
      <p v-if="form.problem.value" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ form.general([]) }}
      </p>
      <section v-if="data.problems.length" aria-labelledby="problems-title" class="grid gap-2 max-w-3xl">
        <h2 id="problems-title" class="text-2xl border-b-2 border-ink pb-1">
          {{ data.held ? 'What does not fit' : 'Without a result' }}
        </h2>
        <ul class="border-l-8 border-ochre pl-3">
          <li v-for="p in data.problems" :key="p">{{ p }}</li>
        </ul>
        <p v-if="data.held && data.has_report" class="flex flex-wrap gap-2 items-center">
          Nothing was imported.
          <button
            type="button"
            class="button button-desk"
            :disabled="form.saving.value"
            @click="post('results', { skip: true })"
          >
            Import the rows that fit
          </button>
        </p>
      </section>
      <section aria-labelledby="bags-title" class="grid gap-2">
        <h2 id="bags-title" class="text-2xl border-b-2 border-ink pb-1">Bags</h2>
        <ul class="grid" aria-label="Bags">
          <li
            v-for="b in data.contents"
            :key="b.sample_id"
            class="grid desk:grid-cols-[14rem_14rem_minmax(0,1fr)] gap-x-4 border-b border-rule py-1 leading-snug"
          >
            <p>
              <b>{{ b.label }}</b> <span class="text-pencil block">{{ b.place }}</span>
            </p>
            <p><span class="text-pencil">The hand: </span>{{ b.textured ?? 'not textured' }}</p>
            <p>
              <template v-if="b.result"
                ><b>{{ b.result }}</b> {{ sentence(b.beside) }}
                <span v-if="b.earlier" class="text-pencil">{{ b.earlier }} earlier.</span></template
              ><span v-else class="text-pencil">no result yet</span>
            </p>
          </li>
        </ul>
      </section>
      <form v-if="data.open" class="grid gap-3 max-w-xl" novalidate @submit.prevent="importFile">
        <h2 class="text-2xl border-b-2 border-ink pb-1">Results from a file</h2>
        <CsvFile ref="file" v-model="chosen">
          Columns label, sand, silt, clay. Labels are those of these bags; all is imported or nothing.
        </CsvFile>
        <p>
          <button type="submit" class="button" :disabled="!chosen || form.saving.value">Import the results</button>
        </p>
      </form>
    </main>
  </div>
</template>
