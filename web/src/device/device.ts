import { computed, reactive, ref } from 'vue'
import { v7 } from 'uuid'
import { BASE, here } from '@/api/here'
import { withoutOwn } from './numbers'
import { settled } from './settled'
import type { Answer, Asked as Request, Place, State } from './keeper'
import type { Answered, Asked } from './worker'

/**
 * A worker beside the page, which begins when it is first asked; what it needs of the core it loads by itself. One that
 * could not load without signal is begun anew when it is asked again.
 * @returns asks it; refused where it could not answer
 */
function beside(begin: () => Worker): <T>(name: string, ...args: unknown[]) => Promise<T> {
  const open = new Map<number, { resolve: (value: never) => void; reject: (error: Error) => void }>()
  let worker: Worker | undefined
  let asked = 0
  // Without it the server alone says what follows.
  function end(why: string): void {
    worker?.terminate()
    worker = undefined
    for (const { reject } of open.values()) reject(new Error(why))
    open.clear()
  }
  function begun(): Worker {
    const made = begin()
    made.onmessage = ({ data }: MessageEvent<Answered>) => {
      const waiting = open.get(data.id)
      open.delete(data.id)
      if (data.failed === undefined) waiting?.resolve(data.value as never)
      else waiting?.reject(new Error(data.failed))
      if (data.incomplete) end('The core did not load.')
    }
    made.onerror = ({ message }) => end(message || 'The core did not load.')
    return made
  }
  return <T>(name: string, ...args: unknown[]) =>
    new Promise<T>((resolve, reject) => {
      open.set((asked += 1), { resolve, reject })
      worker ??= begun()
      worker.postMessage({ id: asked, name, args } satisfies Asked)
    })
}

/** What follows from an answer. It has a worker of its own: no verdict waits for what is kept meanwhile. */
export const askCore = beside(
  () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'core' }),
)

const pause = (ms: number) => new Promise<void>((go) => setTimeout(go, ms))
/** Longer than a verdict takes, and too short for a write to be missed, ms [our own]. */
const VERDICT = 400
let verdict: Promise<unknown> = Promise.resolve()
/** What is kept on the device waits for the verdict, which somebody looks for; the two share the processor. */
export const verdictFirst = (saying: Promise<unknown>): void => void (verdict = Promise.race([saying, pause(VERDICT)]))

/** What lies on this device. */
const ask = beside(() => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'keeper' }))

const SETTLED = 2500 // ms until a bench that was opened is left in peace for work beside it [our own]
let benchBegun = false
/**
 * Loads what a verdict needs once the first bench of a page stands and has nothing else to do; until then the server
 * alone answers.
 */
export function loadBenchLater(): void {
  if (benchBegun) return
  benchBegun = true
  void settled(SETTLED)
    .then(() => askCore('bench'))
    .catch((error) => console.info(String(error)))
}

/** This device, as it is called beside its events; it says nothing of whose it is. */
const DEVICE = 'grittle.device'
function deviceName(): string {
  const known = localStorage.getItem(DEVICE) ?? v7()
  localStorage.setItem(DEVICE, known)
  return known
}

let place: Place | undefined
const state = reactive<State>({ book: null, others: [], waiting: [], sending: false, numbers: [] })
const numbers = computed(() => new Map(state.numbers))
const alone = ref(false)
const looked = ref(false)

/** What lies on this device of the fieldbook at hand. */
export const device = {
  state,
  /** Whether the server gave no answer when it was asked last. */
  alone,
  /** Whether what lies here is known yet. */
  looked,
  /** Writes that the server has not yet. */
  waiting: computed(() => state.waiting.length),
  refused: computed(() => state.waiting.find(({ refused }) => refused)),
  /** Whether what is asked goes to the device first: what waits here is not known there yet. */
  leads: (): boolean => state.waiting.length > 0,
}

/** Whether something waited on this device when it was looked at last. */
const WAITS = 'grittle.waits'
export const waitedBefore = (): boolean => localStorage.getItem(WAITS) !== null

async function look(): Promise<void> {
  if (!place) return
  Object.assign(state, await ask<State>('state', place))
  if (state.waiting.length) localStorage.setItem(WAITS, String(state.waiting.length))
  else localStorage.removeItem(WAITS)
}

/** Fieldbooks that a person does not want on this device, by account and number. */
const unwanted = (at: Place): string => `grittle.unwanted.${at.account}.${at.book}`

let hurry = (): void => {}
const hurried = new Promise<void>((go) => (hurry = go))
/** Somebody asks what lies here: no first view is waited for. */
export const lookNow = (): void => hurry()

/**
 * Begins to keep a fieldbook; without signal the device answers from what it kept before. Where even that fails, the
 * page goes on with the server alone.
 * @param when what it waits for until it looks at what lies here
 */
export async function begin(at: Omit<Place, 'base'>, name: string, when?: Promise<void>): Promise<void> {
  place = { ...at, base: BASE }
  const own = place
  await Promise.race([when, hurried])
  // Somebody else has come in meanwhile, or another fieldbook.
  if (place !== own) return
  bookName = name
  await keep(own, name)
  looked.value = true
}

let bookName = ''
/** The signal is back: what waits is sent, and a fieldbook that could not be taken yet is taken. */
const back = (): Promise<void> => (place && !state.book ? keep(place, bookName) : catchUp())

/** What waits is sent, and what could not be brought up to the server is. */
async function catchUp(): Promise<void> {
  await sendWaiting()
  if (parts.size && state.book) await renewAll()
}

async function keep(at: Place, name: string): Promise<void> {
  try {
    await look()
    if (state.waiting.length) await sendWaiting()
    else if (!localStorage.getItem(unwanted(at))) await take(name)
  } catch (error) {
    console.info(`Nothing is kept on this device: ${String(error)}`)
  }
}

/** Takes the fieldbook onto the device anew. */
export async function take(name = state.book?.name ?? ''): Promise<void> {
  if (!place) return
  localStorage.removeItem(unwanted(place))
  try {
    await ask('take', place, name)
    alone.value = false
  } catch {
    // Without signal it stays as it was taken last.
    parts.add('')
  }
  await look()
}

// Short: when the signal goes meanwhile, what lies here is behind what the page has seen.
const RENEW_AFTER = 300 // ms after the last of several writes [our own]
/** What the server has and this device has not yet: a reading, a profile, or blank for all. */
const parts = new Set<string>()
let renewing: ReturnType<typeof setTimeout> | undefined

/** After the server has taken a write: what lies here is brought up to it. */
export function renew(answered: unknown): void {
  if (!place || !state.book) return
  const { id, horizons, profile, observations } = (answered ?? {}) as Record<string, unknown>
  const own = (profile as { id?: number } | null)?.id
  if (own) parts.add(`profile=${own}`)
  else if (observations) parts.add(`reading=${String(id)}`)
  else if (Array.isArray(horizons)) parts.add(`profile=${String(id)}`)
  else parts.add('')
  clearTimeout(renewing)
  renewing = setTimeout(() => void renewAll(), RENEW_AFTER)
}

async function renewAll(): Promise<void> {
  const asked = [...parts]
  parts.clear()
  if (asked.includes('')) return take()
  for (const part of asked) await ask('renew', place, part).catch(() => parts.add(part))
}

/** Asks the device; null where it has no answer. */
export async function askDevice(request: Request): Promise<Answer | null> {
  if (!place) return null
  if (request.method !== 'GET') await pause(0).then(() => verdict)
  const found = await ask<Answer | null>('answer', place, request)
  if (!found || request.method === 'GET') return found
  await look()
  if (state.waiting.length) void keepForGood()
  return found
}

/** What waits must not be cleared away when the device is full: the browser is asked, once a page. */
let askedToKeep: Promise<boolean> | undefined
export const keepForGood = (): Promise<boolean> =>
  (askedToKeep ??= navigator.storage?.persist?.().catch(() => false) ?? Promise.resolve(false))

/** An address or a body with the numbers that the server has given since. */
export const withServerNumbers = (text: string): string =>
  state.numbers.length ? withoutOwn(text, (own) => String(numbers.value.get(own) ?? own)) : text

/** Sends what waits. */
export async function sendWaiting(): Promise<void> {
  if (!place || !state.waiting.length) return
  state.sending = true
  let taken = 0
  try {
    taken = await ask<number>('send', place, deviceName())
    alone.value = false
  } catch {
    alone.value = true
  }
  await look()
  // Whoever hears of it asks anew, and with that begins anew: where nothing was taken there is nothing to hear.
  if (taken) for (const heard of listeners) heard()
}

const listeners = new Set<() => void>()
/** Is told when the server has taken something. */
export const onSent = (heard: () => void): void => void listeners.add(heard)

export async function resolve(seq: number, choice: 'mine' | 'drop'): Promise<void> {
  await ask('resolve', place, seq, choice)
  await look()
  if (state.waiting.length) return sendWaiting()
  // What was let go is shown no longer.
  await take()
  for (const heard of listeners) heard()
}

export const unsent = (): Promise<unknown> => ask('unsent', place)

/** @returns how many writes were new here */
export async function takeIn(packed: unknown): Promise<number> {
  const count = await ask<number>('takeIn', place, packed)
  await look()
  void sendWaiting()
  return count
}

/** Takes a fieldbook off this device: the one at hand, or another. */
export async function forget(book = place?.book): Promise<void> {
  if (!place || book === undefined) return
  await ask('forget', place, book)
  localStorage.setItem(unwanted({ ...place, book }), 'yes')
  await look()
}

/** Whoever signs out leaves no fieldbook behind; what waits stays, and is wanted again when they are back. */
export async function leave(): Promise<void> {
  if (!place) return
  for (const book of [place.book, ...state.others.map(({ id }) => id)]) await ask('forget', place, book)
}

// A network that is back is used at once; while there is none, now and then.
const EVERY = 15_000 // ms [our own]
globalThis.addEventListener?.('online', () => void back())
globalThis.setInterval?.(() => void (here.signedOut || catchUp()), EVERY)
