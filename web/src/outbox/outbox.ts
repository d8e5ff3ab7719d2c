import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { ApiProblem, isPassing, isProblem, isSignedOut, newKey, request, served, type Method } from '@/api'
import { forgetFile, sendKept } from './keptFiles'

/** One write that waits for its answer. */
export type Write = {
  key: string
  method: Method
  path: string
  body: Record<string, unknown>
  /** The version it was made on; undefined until the write before it is answered, null where none is needed. */
  version?: number | null
  /** What is asked of the answer, as name=value. */
  query?: string
  /** Observations it changes, to show at once. */
  answers?: Record<string, unknown>
  /** What it does, for the person. */
  label: string
  /** One of several that are alike: it never takes the place of one that still waits. */
  apart?: boolean
  /** A file that is sent as it is in place of a body, by the name it is kept under on the device. */
  file?: string
}

export type Conflict<T> = { write: Write; current: T | null }
export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict'

type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>
type Send<T> = (method: Method, path: string, body: unknown, key: string) => Promise<T>

export type Options<T> = {
  /** Where the queue is kept, so that a killed tab loses nothing. */
  storeKey: string
  store?: Store
  send?: Send<T>
  sendKept?: (path: string, name: string, key: string) => Promise<unknown>
  /** The version the person sees. */
  version: () => number
  /** The version of the record after a write, in what was answered. */
  versionIn: (saved: T) => number
  /** What is kept, where a change was made on another version. */
  current?: (problem: ApiProblem) => Promise<T | null>
  onSaved: (saved: T) => void
  /** All that waited is answered. */
  onEmpty?: () => void
  /** A file was kept: what was answered is not the record. */
  onFile?: () => void
  onRefused: (problem: ApiProblem, write: Write) => void
  /** ms between tries while there is no answer */
  retryAfter?: number
}

export type Outbox<T> = {
  queue: Ref<Write[]>
  conflict: ShallowRef<Conflict<T> | null>
  state: ComputedRef<SaveState>
  /** What is on its way, by name. */
  answers: ComputedRef<Record<string, unknown>>
  add: (write: Omit<Write, 'key'>) => void
  flush: () => Promise<void>
  resolve: (choice: 'mine' | 'theirs') => void
  reread: () => void
}

/**
 * The writes to one record, one after another. Each is kept on the device before it is sent and until it is answered;
 * while there is no answer it is tried again under the same key, which makes no second record.
 */
export function createOutbox<T>(options: Options<T>): Outbox<T> {
  const store = options.store ?? localStorage
  const send: Send<T> = options.send ?? request
  const queue: Ref<Write[]> = ref(read(store, options.storeKey))
  const conflict: ShallowRef<Conflict<T> | null> = shallowRef(null)
  const unanswered = ref(false)
  let busy = false
  let timer: ReturnType<typeof setTimeout> | undefined

  const state = computed<SaveState>(() => {
    if (conflict.value) return 'conflict'
    if (!queue.value.length) return 'saved'
    return unanswered.value ? 'waiting' : 'saving'
  })
  const answers = computed(
    () => Object.assign({}, ...queue.value.map((write) => write.answers ?? {})) as Record<string, unknown>,
  )

  function keep(): void {
    if (queue.value.length) store.setItem(options.storeKey, JSON.stringify(queue.value))
    else store.removeItem(options.storeKey)
  }

  /** Puts a write at the end. A later place of the bench replaces one that still waits. */
  function add(write: Omit<Write, 'key'>): void {
    const last = queue.value.at(-1)
    if (
      !write.apart &&
      write.version === null &&
      last?.version === null &&
      queue.value.length > 1 &&
      last.path === served(write.path)
    ) {
      last.body = { ...last.body, ...write.body }
    } else {
      const versioned = queue.value.some((waiting) => waiting.version !== null)
      queue.value.push({
        ...write,
        // Below the fieldbook it was given in, from whichever page it is sent.
        path: served(write.path),
        key: newKey(),
        version: write.version === null ? null : versioned ? undefined : options.version(),
      })
    }
    keep()
    // Tried at once, whatever became of those before it: whoever waits for its end hears of it.
    unanswered.value = false
    void flush()
  }

  async function flush(): Promise<void> {
    if (busy) return
    busy = true
    clearTimeout(timer)
    try {
      const waited = queue.value.length > 0
      while (queue.value.length && !conflict.value) if (!(await sendFirst(queue.value[0]!))) return
      if (waited && !queue.value.length) options.onEmpty?.()
    } finally {
      busy = false
    }
  }

  async function sendFirst(write: Write): Promise<boolean> {
    try {
      if (write.file) await (options.sendKept ?? sendKept)(address(write), write.file, write.key)
      const saved = write.file ? null : await send(write.method, address(write), payload(write), write.key)
      unanswered.value = false
      settle(write.version === null || !saved ? undefined : options.versionIn(saved))
      if (saved) options.onSaved(saved)
      else sent(write.file!)
      return true
    } catch (error) {
      return failed(error, write)
    }
  }

  function sent(file: string): void {
    void forgetFile(file).catch(() => {})
    options.onFile?.()
  }

  async function failed(error: unknown, write: Write): Promise<boolean> {
    if (isSignedOut(error)) {
      unanswered.value = true // until the person who gave it signs in again
      return false
    }
    if (isPassing(error) || !isProblem(error)) {
      unanswered.value = true
      timer = setTimeout(() => void flush(), options.retryAfter ?? 3000)
      return false
    }
    unanswered.value = false
    if (error.status === 409) {
      conflict.value = { write, current: await whatIsKept(error) }
      return false
    }
    settle(write.version ?? undefined)
    options.onRefused(error, write)
    return true
  }

  /** What is kept; where even that has no answer, the write is tried again later. */
  async function whatIsKept(error: ApiProblem): Promise<T | null> {
    if (!options.current) return (error.body.current as T | undefined) ?? null
    return options.current(error).catch(() => null)
  }

  /** The first write is done with; the next versioned one was made on what it left. */
  function settle(version: number | undefined): void {
    queue.value.shift()
    if (version !== undefined) {
      const next = queue.value.find((write) => write.version !== null)
      if (next) next.version ??= version
    }
    keep()
  }

  /** After a conflict: make the person's change on top of what is there, or let it go. */
  function resolve(choice: 'mine' | 'theirs'): void {
    const { current } = conflict.value ?? {}
    const first = queue.value[0]
    if (!current || !first) return
    if (choice === 'mine') {
      first.version = options.versionIn(current)
      first.key = newKey()
      keep()
    } else settle(options.versionIn(current))
    conflict.value = null
    options.onSaved(current)
    void flush()
  }

  /** What was laid into the store by another hand is taken over where nothing waits. */
  function reread(): void {
    if (!queue.value.length) queue.value = read(store, options.storeKey)
  }

  return { queue, conflict, state, answers, add, flush, resolve, reread }
}

function address({ method, path, query, version }: Write): string {
  const asked = [method === 'DELETE' ? `version=${version}` : '', query ?? ''].filter(Boolean).join('&')
  return asked ? `${path}?${asked}` : path
}

function payload(write: Write): unknown {
  if (write.method === 'DELETE') return undefined
  return write.version === null ? write.body : { ...write.body, version: write.version }
}

function read(store: Store, key: string): Write[] {
  try {
    return JSON.parse(store.getItem(key) ?? '[]') as Write[]
  } catch {
    return []
  }
}
