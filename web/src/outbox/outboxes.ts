import { computed, reactive, shallowReactive, type ShallowRef } from 'vue'
import {
  profileQuery,
  queryClient,
  readingQuery,
  request,
  forgetLists,
  type ApiProblem,
  sheetQuery,
  type Profile,
  type Reading,
  type Sheet,
} from '@/api'
import { device } from '@/device/device'
import { createOutbox, type Options, type Outbox, type SaveState, type Write } from './outbox'
import { claimOutbox, recordsLeftBehind, renameOldQueues } from './owner'

// Queues live as long as the tab and not as long as their page: what waits goes on being sent from wherever the person
// is.

/** What a page that shows the record adds: the version it shows, and where a refusal is told. */
export type Shown = { version: () => number; onRefused: (problem: ApiProblem, write: Write) => void }
type Record<T> = Pick<Options<T>, 'versionIn' | 'current' | 'onSaved' | 'onEmpty' | 'onFile'> & { name: string }

export const readingRecord = (id: number): Record<Reading> => ({
  name: String(id),
  versionIn: ({ version }) => version,
  onSaved: (saved) => {
    const { queryKey } = readingQuery(id)
    queryClient.setQueryData(queryKey, (before) => withEstimate(saved, before))
    forgetLists()
  },
  // An estimate that was left out of an answer follows once nothing waits any more.
  onEmpty: () => void queryClient.invalidateQueries({ queryKey: readingQuery(id).queryKey }),
  onFile: () => void queryClient.invalidateQueries({ queryKey: readingQuery(id).queryKey }),
})

/**
 * The key's verdict is answered at once, and until its estimate follows the one before stands beside it. Where there is
 * none before, no page shows the reading, and the next one reads it whole.
 */
function withEstimate(saved: Reading, before: Reading | undefined): Reading | undefined {
  if (saved.assessment.evidence) return saved
  if (!before) return undefined
  const { assigned } = saved
  const { own_hand, laboratory } = before
  return {
    ...saved,
    own_hand,
    laboratory,
    estimateOf: before.estimateOf ?? before.version,
    assessment: { ...saved.assessment, evidence: before.assessment.evidence },
    assigned: assigned && { ...assigned, estimate: before.assigned?.estimate },
  }
}

/** A horizon's own fields; a change of it is answered with its profile. */
export const horizonRecord = (id: number, profile: number): Record<Profile> => ({
  name: `horizon-${id}-${profile}`,
  versionIn: ({ horizons }) => horizons.find((horizon) => horizon.id === id)?.version ?? 0,
  current: () => request<Profile>('GET', `/api/profiles/${profile}`),
  onSaved: (saved) => {
    queryClient.setQueryData(profileQuery(profile).queryKey, saved)
    void queryClient.invalidateQueries({ queryKey: ['sites'] })
  },
})

/** A sheet of a companion test: what is seen on it is only added. */
export const sheetRecord = (id: number): Record<Sheet> => ({
  name: `companion-${id}`,
  versionIn: ({ version }) => version,
  onSaved: (saved) => {
    queryClient.setQueryData(sheetQuery(id).queryKey, saved)
    for (const list of ['timers', 'companions', 'profile']) void queryClient.invalidateQueries({ queryKey: [list] })
  },
})

const open = shallowReactive(new Map<string, Outbox<never>>())
const making = new Map<string, Promise<Outbox<never>>>()
const shown = new Map<string, Shown>()

/** Refused for good while no page showed the record. */
export const refusals = reactive<{ label: string; sentence: string }[]>([])

/** Entries that wait on this device, of all records: answers, and what this device has taken of all else. */
export const waitingInAll = computed(() =>
  [...open.values()].reduce((sum, { queue }) => sum + queue.value.length, device.waiting.value),
)

/** How what was given stands. What this device has taken waits for the server all the same. */
export function standing<T>(box: ShallowRef<Outbox<T> | undefined>) {
  const answered = computed<SaveState>(() => box.value?.state.value ?? 'saved')
  return {
    /** What somebody has said to it: the server, or this device without it. */
    answered,
    saved: computed<SaveState>(() => (answered.value === 'saved' && device.waiting.value ? 'waiting' : answered.value)),
    waiting: computed(() => (box.value?.queue.value.length ?? 0) + device.waiting.value),
  }
}

export const entries = (count: number): string => `${count} ${count === 1 ? 'entry' : 'entries'}`
export const entriesWait = (count: number): string => `${entries(count)} ${count === 1 ? 'waits' : 'wait'}`
/** What waits in words, of one queue or of all. */
export const waits = (waiting: number): string => `${entriesWait(waiting)} on this device`

/** The queue of a record, the same for as long as the tab lives, with what other tabs have left of it. */
export async function openOutbox<T>(record: Record<T>): Promise<Outbox<T>> {
  const known = making.get(record.name)
  if (!known) making.set(record.name, make(record) as Promise<Outbox<never>>)
  const box = (await making.get(record.name)) as unknown as Outbox<T>
  if (known) {
    await claimOutbox(record.name)
    box.reread()
  }
  void box.flush()
  return box
}

/** A page shows the record from now on; what it returns is called when it no longer does. */
export function show(record: Pick<Record<never>, 'name'>, page: Shown): () => void {
  shown.set(record.name, page)
  return () => {
    if (shown.get(record.name) === page) shown.delete(record.name)
  }
}

async function make<T>(record: Record<T>): Promise<Outbox<T>> {
  const box = createOutbox<T>({
    ...record,
    storeKey: await claimOutbox(record.name),
    version: () => shown.get(record.name)?.version() ?? 0,
    onRefused: (problem, write) => {
      const page = shown.get(record.name)
      if (page) page.onRefused(problem, write)
      else refusals.push({ label: write.label, sentence: problem.message })
    },
  })
  open.set(record.name, box as unknown as Outbox<never>)
  return box
}

/** Tries again at once what waits. */
export const sendNow = (): void => open.forEach((box) => void box.flush())

/** Sends what pages and tabs that are gone have left, now and when the network is back. */
export function sendWhatIsLeft(): void {
  renameOldQueues()
  window.addEventListener('online', sendNow)
  void recordsLeftBehind().then((names) => {
    for (const name of names) {
      const [, sheet] = name.match(/^companion-(\d+)$/) ?? []
      const [, horizon, profile] = name.match(/^horizon-(\d+)-(\d+)$/) ?? []
      if (horizon) void openOutbox(horizonRecord(Number(horizon), Number(profile)))
      else if (sheet) void openOutbox(sheetRecord(Number(sheet)))
      else if (/^\d+$/.test(name)) void openOutbox(readingRecord(Number(name)))
    }
  })
}
