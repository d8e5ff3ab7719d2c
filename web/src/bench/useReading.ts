import { refDebounced } from '@vueuse/core'
import { useQuery } from '@tanstack/vue-query'
import { computed, inject, onScopeDispose, provide, ref, shallowRef, type InjectionKey } from 'vue'
import { isProblem, readingQuery, useWords, type ApiProblem, type Reading, type Schemas } from '@/api'
import type { Outbox, Write } from '@/outbox/outbox'
import { openOutbox, readingRecord, show, standing } from '@/outbox/outboxes'
import { usePhotoQueue } from '@/bench/ribbon/usePhotoQueue'
import { useSession } from '@/people/useSession'
import { changes, usePreview } from './usePreview'

export type RibbonEntry = {
  length: number
  unit: string
  ended: string
  thickness_mm: number | null
  width_mm?: number | null
  working_minute?: number | null
  carried_own_weight?: boolean | null
}

const LONG = 400 // ms that an estimate may take until the one before it is shown pale [our own]

/** Something that is told of an answer: that it was refused, or what it took back. */
type Told = { text: string; refused: boolean; close: () => void }

/**
 * One reading on the bench: what the server keeps, what still waits to be kept laid over it, and the writes. An answer
 * shows at once and is saved as it is given; the verdict follows when the server has it.
 */
export function useReading(id: number) {
  const query = useQuery({ ...readingQuery(id), staleTime: 0, refetchOnWindowFocus: false, refetchOnReconnect: false })
  const reading = computed(() => query.data.value)
  const words = useWords()
  const outbox = shallowRef<Outbox<Reading>>()
  const refused = ref<{ problem: ApiProblem; write: Write } | null>(null)
  const localStep = ref<string>()
  const localUnit = ref<string>()
  // The version whose note was closed.
  const read = ref<number>()
  const test = ref<string>()
  // A length that is typed and not kept yet stands as long as the bench; where it is shown, the key that goes on keeps
  // it.
  const typed = ref('')
  const closing = ref(false)
  const called = ref<string>()
  const pending = shallowRef<{ name: string; keep: () => boolean } | null>(null)

  onScopeDispose(
    show(readingRecord(id), {
      version: () => reading.value?.version ?? 0,
      onRefused: (problem, write) => (refused.value = { problem, write }),
    }),
  )
  void openOutbox(readingRecord(id)).then((box) => (outbox.value = box))

  const unit = computed(() => localUnit.value ?? reading.value?.method.unit ?? 'mm')
  usePreview(id, reading, unit, outbox)
  const estimating = computed(() => {
    if (!reading.value) return false
    const { version, estimateOf = version } = reading.value
    return estimateOf !== version + changes(outbox.value?.queue.value ?? [])
  })
  const waitedLong = refDebounced(estimating, LONG)
  const { mayWrite } = useSession()
  /** Why the reading cannot be changed by who looks at it, or nothing. */
  const foreign = computed(() => {
    if (!reading.value) return ''
    if (!mayWrite.value) return 'You read this fieldbook: nothing in it is changed by you.'
    if (reading.value.yours) return ''
    return `This is ${reading.value.textured_by ?? reading.value.recorded_by ?? 'somebody else'}’s reading.`
  })
  const turnedAway = ref(false)

  const base = `/api/readings/${id}`
  const write = (w: Omit<Write, 'key'>) => {
    refused.value = null
    if (foreign.value) return void (turnedAway.value = true)
    outbox.value?.add(w)
  }
  // What the hand feels is answered by the key alone, sooner; the estimate follows.
  const quick = (w: Omit<Write, 'key' | 'query'>) => write({ ...w, query: 'evidence=none' })
  const place = (body: Record<string, unknown>) =>
    foreign.value || quick({ method: 'PUT', path: `${base}/place`, body, version: null, label: 'place' })

  const sentence = computed(() =>
    refused.value && isProblem(refused.value.problem) ? refused.value.problem.message : undefined,
  )

  const { add: addPhoto, coming: photosComing } = usePhotoQueue(id, outbox, write)

  return {
    query,
    reading,
    refused,
    foreign,
    ...standing(outbox),
    /** How the estimate is marked while it is of the answers before, and the one of these follows. */
    estimating: computed(() => (estimating.value ? (waitedLong.value ? 'long' : 'yes') : undefined)),
    conflict: computed(() => outbox.value?.conflict.value ?? null),
    // Where another key leads elsewhere, the server says where the bench stands.
    step: computed(() => {
      const path =
        words.value.keys.find(({ id: key }) => key === reading.value?.method.key)?.steps.map((step) => step.id) ?? []
      return [localStep.value, reading.value?.step].find((step) => step && path.includes(step)) ?? path[0] ?? 'prepare'
    }),
    unit,
    /** What stands, as the server says, and over it the answers that are still on their way, as they were pressed. */
    observations: computed<Record<string, unknown>>(() => {
      const merged = {
        ...(reading.value?.observations as Record<string, unknown> | undefined),
        ...outbox.value?.answers.value,
      }
      return Object.fromEntries(Object.entries(merged).filter(([, value]) => value !== null))
    }),
    /** How many answers are on their way: until they are there the key asks what it asked before them. */
    answering: computed(() => changes(outbox.value?.queue.value ?? [])),
    /** Ribbons that are on their way. */
    coming: computed(() =>
      (outbox.value?.queue.value ?? [])
        .filter(({ method, label }) => method === 'POST' && label === 'ribbons')
        .map(({ body }) => body as RibbonEntry),
    ),
    answer: (name: string, value: unknown) =>
      quick({
        method: 'PATCH',
        path: base,
        body: { answers: { [name]: value } },
        answers: { [name]: value },
        label: name,
      }),
    moisture: (value: string) =>
      quick({ method: 'PATCH', path: base, body: { moisture_answer: value }, label: 'moisture' }),
    change: (body: Record<string, unknown>) => write({ method: 'PATCH', path: base, body, label: 'method' }),
    addRibbon: (ribbon: RibbonEntry) =>
      quick({ method: 'POST', path: `${base}/ribbons`, body: ribbon, label: 'ribbons' }),
    /** A ribbon marked on a photograph; its length is worked out by the server when it has both. */
    addMeasured: (marks: Record<string, unknown>) =>
      quick({ method: 'POST', path: `${base}/measured-ribbons`, body: marks, label: 'ribbon from a photograph' }),
    addPhoto,
    /** Photographs that wait on this device. */
    photosComing,
    correctRibbon: (ribbon: number, entry: RibbonEntry) =>
      quick({ method: 'PATCH', path: `${base}/ribbons/${ribbon}`, body: entry, label: 'ribbons' }),
    takeBackRibbon: (ribbon: number) =>
      quick({ method: 'DELETE', path: `${base}/ribbons/${ribbon}`, body: {}, label: 'ribbons' }),
    assign: ({ code, added }: Pick<Schemas['Offer'], 'code' | 'added'>, reason?: string) =>
      write({
        method: 'POST',
        path: `${base}/assignments`,
        body: { code, ...added, ...(reason ? { reason } : {}) },
        label: 'class',
      }),
    /** The test that is open at the step More. */
    test,
    expect: (code: string | null) =>
      quick({ method: 'PUT', path: `${base}/expectation`, body: { code }, label: 'expected' }),
    keepBoth: (rule: string, reason: string | null) =>
      write({ method: 'PATCH', path: base, body: { kept: { rule, reason } }, label: 'kept' }),
    typed,
    pending,
    goTo: (step: string, open?: string) => {
      localStep.value = step
      if (open) test.value = open
      place({ step })
    },
    useUnit: (unit: string) => {
      localUnit.value = unit
      place({ unit })
    },
    /** What a simulated sample is called. */
    called,
    /** Whether the sample of a session is about to be closed. */
    closing,
    closeTurn: () => void (closing.value = true),
    resolve: (choice: 'mine' | 'theirs') => outbox.value?.resolve(choice),
    sentence,
    /** What has to be told of an answer, until it is closed. */
    told: computed<Told[]>(() => {
      const { superseded, version } = reading.value ?? {}
      const notes = [
        {
          text: turnedAway.value && foreign.value ? `Not changed. ${foreign.value}` : null,
          refused: true,
          close: () => void (turnedAway.value = false),
        },
        { text: sentence.value, refused: true, close: () => void (refused.value = null) },
        {
          text: read.value === version ? null : superseded,
          refused: false,
          close: () => void (read.value = version),
        },
      ]
      return notes.flatMap(({ text, ...rest }) => (text ? [{ text, ...rest }] : []))
    }),
  }
}

export type BenchReading = ReturnType<typeof useReading>
const BENCH: InjectionKey<BenchReading> = Symbol('bench')

export const provideReading = (reading: BenchReading): void => provide(BENCH, reading)

/** The reading of the bench this part stands on. */
export function useBench(): BenchReading {
  const bench = inject(BENCH)
  if (!bench) throw new Error('No reading is provided: use this below BenchPage.vue.')
  return bench
}
