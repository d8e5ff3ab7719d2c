<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { served, queryClient, request, type Schemas } from '@/api'
import { useBin } from '@/bin/useBin'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import { dayAndTime } from '@/shared/dates'
import { useForm } from '@/shared/useForm'
import ReportAsked from './ReportAsked.vue'
import ReportBody from './ReportBody.vue'

// One report: what it was made for, what it says, and, once it is frozen, what has changed since.
const props = defineProps<{ id: number }>()
type Report = Schemas['Report']
const router = useRouter()
const { ask } = useBin()
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['report', props.id],
    queryFn: () => request<Report>('GET', `/api/reports/${props.id}`),
    refetchOnMount: 'always' as const,
  })),
)
useTitle(computed(() => `${data.value?.name ?? 'Report'} · Grittle`))
const form = useForm<Report>()
const freezing = ref(false)
watch(
  () => props.id,
  () => (freezing.value = false),
)
const changed = computed(() => data.value?.changed ?? [])
const keep = (saved: Report | undefined) => {
  if (!saved) return
  queryClient.setQueryData(['report', props.id], saved)
  void queryClient.invalidateQueries({ queryKey: ['reports'] })
}
async function freeze(): Promise<void> {
  keep(await form.send('POST', `/api/reports/${props.id}/freeze`, { version: data.value!.version }))
  freezing.value = false
}
const print = () => window.print()
const back = computed(() => (data.value ? `/reports?${data.value.of}=${data.value.of_id}` : '/reports'))
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      :title="data.name"
      :line="
        data.frozen_at
          ? `Frozen on ${dayAndTime(data.frozen_at)}, rules ${data.rules_version}`
          : 'Draft: it says what the record says now'
      "
      :back="back"
      back-name="Reports"
      class="print:hidden"
    >
      <a class="button button-desk" :href="served(`/api/reports/${id}/pdf`)" download>PDF</a>
      <button type="button" class="button button-desk" @click="print">Print</button>
      <button v-if="!data.frozen_at" type="button" class="button button-desk" @click="freezing = true">Freeze</button>
      <button type="button" class="button button-desk" @click="ask('report', id, () => router.push(back))">
        Delete
      </button>
    </PageHead>
    <main class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-5 content-start">
      <p v-if="form.problem.value" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
        {{ form.general([]) }}
      </p>
      <div v-if="freezing" role="alert" class="lit-note flex flex-wrap gap-3 items-center print:hidden">
        <p class="grow">
          It keeps what it says now, for good. The record may go on changing: the report will say what has changed
          since.
        </p>
        <button type="button" class="button button-main" :disabled="form.saving.value" @click="freeze">
          Freeze it
        </button>
        <button type="button" class="button button-desk" @click="freezing = false">Not yet</button>
      </div>
      <section
        v-if="changed.length"
        aria-labelledby="changed-title"
        class="border-l-8 border-iron bg-warn px-4 py-2"
        data-changed
      >
        <h2 id="changed-title" class="text-2xl">Changed since</h2>
        <p>This report keeps what it said. The record now says otherwise:</p>
        <div v-for="c in changed" :key="c.section" class="pt-2">
          <h3 class="font-extrabold">{{ c.section }}</h3>
          <ul>
            <li v-for="w in c.was" :key="`w${w}`">
              <del class="text-pencil">{{ w }}</del>
            </li>
            <li v-for="n in c.now" :key="`n${n}`">
              <ins class="decoration-2">{{ n }}</ins>
            </li>
          </ul>
        </div>
      </section>
      <p v-else-if="data.frozen_at" class="text-pencil print:hidden" data-unchanged>
        Nothing it speaks of has changed since{{
          data.rules_version === data.rules_now ? '' : `, though the rules are now ${data.rules_now}`
        }}.
      </p>
      <ReportAsked v-if="!data.frozen_at" :report="data" @saved="keep" />
      <ReportBody
        :id="id"
        :content="data.content"
        :frozen="data.frozen_at"
        :rules="data.rules_version ?? data.rules_now"
      />
    </main>
  </div>
</template>
