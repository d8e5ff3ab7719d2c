<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { served, request, useWords, type Schemas } from '@/api'
import ChoiceField from '@/shared/ChoiceField.vue'
import CsvFile from '@/shared/CsvFile.vue'
import PageHead from '@/shared/PageHead.vue'
import PageState from '@/shared/PageState.vue'
import TextField from '@/shared/TextField.vue'
import { day } from '@/shared/dates'
import { useForm } from '@/shared/useForm'
import { dropKey, keepKey, keyOf } from './keys'
import { forgetSession } from './usePractice'
import TubRows, { type TubRow } from './TubRows.vue'

// A set of reference samples: for its keeper the tubs with their truth and the sessions; for others its name alone.
const props = defineProps<{ id: number }>()
const router = useRouter()
const words = useWords()
const what = computed(() => `set/${props.id}`)
const key = computed(() => keyOf(what.value))
type Set = Schemas['ReferenceSet']
const { data, error, refetch } = useQuery(
  computed(() => ({
    queryKey: ['reference-set', props.id, key.value ?? ''],
    queryFn: () => request<Set>('GET', `/api/reference-sets/${props.id}`, undefined, undefined, key.value),
    staleTime: 0,
  })),
)
const form = useForm<Set>(() => key.value)
const reading = useForm<{ tubs: TubRow[] }>()
const beginning = useForm<Schemas['PracticeLine']>(() => key.value)

const rows = ref<TubRow[]>([])
const changed = ref(false)
/** What the server read into what was written. */
const READ = ['percents', 'sds', 'done', 'named']
const blank = (): TubRow => ({ label: '' })
function take(set: Set): void {
  rows.value = (set.truth ?? []).map((tub) =>
    Object.fromEntries(Object.entries(tub).filter(([name]) => !READ.includes(name))),
  )
  rows.value.push(blank())
  changed.value = false
}
watch(data, (found) => found?.keeps && !changed.value && take(found), { immediate: true })

const filled = computed(() => rows.value.filter((row) => Object.entries(row).some(([name, v]) => name !== 'id' && v)))
async function save(): Promise<boolean> {
  const saved = await form.send('PUT', `/api/reference-sets/${props.id}`, {
    version: data.value!.version,
    tubs: filled.value,
  })
  if (!saved) return false
  changed.value = false
  take(saved)
  await refetch()
  return true
}

const csv = ref('')
const file = ref<InstanceType<typeof CsvFile>>()
async function readFile(): Promise<void> {
  const text = await file.value!.read()
  if (text === null) return
  const read = await reading.send('POST', '/api/reference-tubs', { csv: text })
  if (!read) return
  rows.value = [...filled.value, ...read.tubs, blank()]
  changed.value = true
}
async function download(): Promise<void> {
  const answer = await fetch(served(`/api/reference-sets/${props.id}/tubs.csv`), {
    headers: { 'Grittle-Key': key.value ?? '' },
  })
  const link = document.createElement('a')
  link.href = URL.createObjectURL(await answer.blob())
  link.download = `${data.value!.name}.csv`
  link.click()
  URL.revokeObjectURL(link.href)
}

const kind = ref(words.value.practice.kinds[0]!.value)
const scheme = ref(words.value.practice.schemes[0]!.value)
const again = ref(true)
const ranked = ref(false)
const byNeed = ref(false)
async function begin(): Promise<void> {
  if (changed.value && !(await save())) return
  const made = await beginning.send('POST', '/api/practice-sessions', {
    set_id: props.id,
    kind: kind.value,
    scheme: scheme.value,
    again: again.value,
    ranked: ranked.value,
    by_need: byNeed.value,
  })
  if (!made) return
  forgetSession(made.id)
  await router.push(`/practice/sessions/${made.id}/keeper`)
}

const typed = ref('')
function useKey(): void {
  keepKey(what.value, typed.value.trim().toLowerCase().replace(/\s/g, ''))
  typed.value = ''
}
const shown = ref(false)
const lines = computed(() => key.value?.match(/.{4}/g)?.join(' '))
const origin = computed(() => words.value.practice.truth_by.find(({ value }) => value === data.value?.truth_by)?.name)
</script>

<template>
  <PageState v-if="!data" :error="error" @retry="refetch()" />
  <div v-else class="min-h-dvh flex flex-col text-lg">
    <PageHead
      :title="data.name"
      :line="
        [data.tubs === 1 ? '1 tub' : `${data.tubs} tubs`, data.owner && `filled by ${data.owner}`]
          .filter(Boolean)
          .join(', ')
      "
      back="/practice"
      back-name="Practice"
    >
      <button v-if="data.keeps && data.tubs" type="button" class="button button-desk" @click="download">
        Tubs as CSV
      </button>
    </PageHead>
    <main v-if="data.keeps" class="px-4 desk:px-6 py-4 grid grid-cols-[minmax(0,1fr)] gap-8 content-start">
      <section aria-labelledby="tubs-title" class="grid grid-cols-[minmax(0,1fr)] gap-3">
        <h2 id="tubs-title" class="text-2xl border-b-2 border-ink pb-1">Tubs and what is in them</h2>
        <p class="text-pencil">Truth by {{ origin?.toLowerCase() }}. {{ words.practice.good_set }}</p>
        <form class="grid gap-3" novalidate @submit.prevent="save">
          <TubRows
            v-model="rows"
            :truth="data.truth ?? []"
            :by-class="data.truth_by === 'teacher'"
            @changed="changed = true"
          />
          <div v-if="form.problem.value" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2" data-refused>
            {{ form.conflict.value ? 'The set was changed elsewhere meanwhile: open it anew.' : form.general([]) }}
          </div>
          <div class="flex flex-wrap gap-2 items-center">
            <button type="submit" class="button button-main" :disabled="form.saving.value || !changed">
              Save the tubs
            </button>
            <p role="status" class="text-pencil">
              {{ changed ? 'Not saved yet' : data.tubs ? 'Saved' : 'No tub yet' }}
            </p>
          </div>
        </form>
        <details class="border-b border-rule pb-2">
          <summary class="min-h-11 content-center font-semibold cursor-pointer">Tubs from a CSV file</summary>
          <div class="grid gap-3 pt-2 max-w-xl">
            <CsvFile ref="file" v-model="csv" :error="reading.general([])">
              Columns: label, sand, silt, clay; also uncertainty, method, silt limit, determinations, organic matter,
              origin, mixed on.
            </CsvFile>
            <p>
              <button
                type="button"
                class="button button-desk"
                :disabled="!csv || reading.saving.value"
                @click="readFile"
              >
                Read the file
              </button>
            </p>
          </div>
        </details>
      </section>
      <section aria-labelledby="begin-title" class="grid grid-cols-[minmax(0,1fr)] gap-4">
        <h2 id="begin-title" class="text-2xl border-b-2 border-ink pb-1">Begin a session</h2>
        <ChoiceField v-model="kind" label="Who reads" :options="words.practice.kinds" />
        <div class="grid gap-1 max-w-xl">
          <label for="scheme" class="font-semibold">What counts</label>
          <select id="scheme" v-model="scheme" class="field">
            <option v-for="s in words.practice.schemes" :key="s.value" :value="s.value">{{ s.name }}</option>
          </select>
        </div>
        <label class="flex gap-3 items-center min-h-11">
          <input v-model="again" type="checkbox" class="size-6 shrink-0 accent-ink" />
          <span>Some tubs come again under another code: they show how far two readings of one hand differ</span>
        </label>
        <label v-if="kind === 'alone'" class="flex gap-3 items-center min-h-11">
          <input v-model="byNeed" type="checkbox" class="size-6 shrink-0 accent-ink" />
          <span>What the reader is weak at comes first more often</span>
        </label>
        <label v-if="kind === 'group'" class="flex gap-3 items-center min-h-11">
          <input v-model="ranked" type="checkbox" class="size-6 shrink-0 accent-ink" />
          <span>Rank the group by credit</span>
        </label>
        <p v-if="beginning.problem.value" role="alert" class="border-l-8 border-iron bg-warn px-3 py-2">
          {{ beginning.general([]) }}
        </p>
        <p>
          <button
            type="button"
            class="button button-main"
            :disabled="beginning.saving.value || !filled.length"
            @click="begin"
          >
            Begin, and see the codes
          </button>
        </p>
        <ul v-if="data.sessions?.length" class="grid" aria-label="Sessions of the set">
          <li v-for="s in data.sessions" :key="s.id" class="border-b border-rule">
            <RouterLink :to="`/practice/sessions/${s.id}/keeper`" class="min-h-11 py-1 grid content-center">
              {{ s.kind === 'group' ? 'Group' : 'One person' }}, begun {{ day(s.begun_at) }},
              {{ s.people === 1 ? '1 person' : `${s.people} people` }}{{ s.ended_at ? ', ended' : '' }}
            </RouterLink>
          </li>
        </ul>
      </section>
      <section aria-labelledby="key-title" class="grid grid-cols-[minmax(0,1fr)] gap-2 max-w-3xl">
        <h2 id="key-title" class="text-2xl border-b-2 border-ink pb-1">The key of this set</h2>
        <p>
          Who has it sees what is in the tubs. It is on this device; before somebody else reads here, write it down and
          put it away.
        </p>
        <p v-if="shown" class="text-2xl font-semibold tabular-nums" data-key>{{ lines }}</p>
        <div class="flex flex-wrap gap-2">
          <button type="button" class="button button-desk" @click="shown = !shown">
            {{ shown ? 'Hide the key' : 'Show the key' }}
          </button>
          <button v-if="shown" type="button" class="button button-desk" @click="dropKey(what)">
            Put it away from this device
          </button>
        </div>
      </section>
    </main>
    <main v-else class="px-4 desk:px-6 py-6 grid grid-cols-[minmax(0,1fr)] gap-4 content-start max-w-2xl">
      <p class="text-xl">Only who fills the tubs sees what is in them.</p>
      <form class="grid gap-2" novalidate @submit.prevent="useKey">
        <TextField
          v-model="typed"
          label="Key of the set"
          :error="key ? 'That is not the key of this set.' : undefined"
          hint="32 digits and letters, as its keeper wrote them down"
        />
        <p><button type="submit" class="button" :disabled="!typed.trim()">Open with the key</button></p>
      </form>
    </main>
  </div>
</template>
