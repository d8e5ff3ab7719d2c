import { computed, ref, type Ref } from 'vue'
import { ApiProblem, isPassing, isProblem, newKey, request, type Method, type Reading } from '@/api'

/** One write that waits for its answer. */
export type Write = {
  key: string
  method: Method
  path: string
  body: Record<string, unknown>
  /** The version it was made on; undefined until the write before it is answered, null where none is needed. */
  version?: number | null
  /** Observations it changes, to show at once. */
  answers?: Record<string, unknown>
  /** What it does, for the person. */
  label: string
}

export type Conflict = { write: Write; current: Reading | null }
export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict'

type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>
type Send = (method: Method, path: string, body: unknown, key: string) => Promise<Reading>

type Options = {
  /** Where the queue is kept, so that a killed tab loses nothing. */
  storeKey: string
  store?: Store
  send?: Send
  /** The version the person sees. */
  version: () => number
  onSaved: (reading: Reading) => void
  onRefused: (problem: ApiProblem, write: Write) => void
  /** ms between tries while there is no answer */
  retryAfter?: number
}

/**
 * The bench's writes, one after another. Each is kept on the device before it is sent and until it is answered; while
 * there is no answer it is tried again under the same key, which makes no second record.
 */
export function createOutbox(options: Options) {
  const store = options.store ?? localStorage
  const send: Send = options.send ?? request
  const queue: Ref<Write[]> = ref(read(store, options.storeKey))
  const conflict: Ref<Conflict | null> = ref(null)
  const unanswered = ref(false)
  let busy = false
  let timer: ReturnType<typeof setTimeout> | undefined

  const state = computed<SaveState>(() => {
    if (conflict.value) return 'conflict'
    if (!queue.value.length) return 'saved'
    return unanswered.value ? 'waiting' : 'saving'
  })
  const answers = computed(() => Object.assign({}, ...queue.value.map((write) => write.answers ?? {})) as Record<string, unknown>)

  function keep(): void {
    if (queue.value.length) store.setItem(options.storeKey, JSON.stringify(queue.value))
    else store.removeItem(options.storeKey)
  }

  /** Puts a write at the end. A later place of the bench replaces one that still waits. */
  function add(write: Omit<Write, 'key'>): void {
    const last = queue.value.at(-1)
    if (write.version === null && last?.version === null && queue.value.length > 1 && last.path === write.path) {
      last.body = { ...last.body, ...write.body }
    } else {
      const versioned = queue.value.some((waiting) => waiting.version !== null)
      queue.value.push({ ...write, key: newKey(), version: write.version === null ? null : versioned ? undefined : options.version() })
    }
    keep()
    void flush()
  }

  async function flush(): Promise<void> {
    if (busy) return
    busy = true
    clearTimeout(timer)
    try {
      while (queue.value.length && !conflict.value) if (!(await sendFirst(queue.value[0]!))) return
    } finally {
      busy = false
    }
  }

  async function sendFirst(write: Write): Promise<boolean> {
    try {
      const reading = await send(write.method, address(write), payload(write), write.key)
      unanswered.value = false
      settle(write.version === null ? undefined : reading.version)
      options.onSaved(reading)
      return true
    } catch (error) {
      return failed(error, write)
    }
  }

  function failed(error: unknown, write: Write): boolean {
    if (isPassing(error) || !isProblem(error)) {
      unanswered.value = true
      timer = setTimeout(() => void flush(), options.retryAfter ?? 3000)
      return false
    }
    unanswered.value = false
    if (error.status === 409) {
      conflict.value = { write, current: error.body.current ?? null }
      return false
    }
    settle(write.version ?? undefined)
    options.onRefused(error, write)
    return true
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
      first.version = current.version
      first.key = newKey()
      keep()
    } else settle(current.version)
    conflict.value = null
    options.onSaved(current)
    void flush()
  }

  return { queue, conflict, state, answers, add, flush, resolve, stop: () => clearTimeout(timer) }
}

const address = (write: Write): string => (write.method === 'DELETE' ? `${write.path}?version=${write.version}` : write.path)

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
