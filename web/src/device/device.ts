import type { Answered, Asked } from './worker'

let worker: Worker | undefined
let asked = 0
const open = new Map<number, { resolve: (value: never) => void; reject: (error: Error) => void }>()

/** The core beside the page. It is loaded when it is first asked, or once the page stands and has nothing to do. */
function core(): Worker {
  if (worker) return worker
  worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'core' })
  worker.onmessage = ({ data }: MessageEvent<Answered>) => {
    const waiting = open.get(data.id)
    open.delete(data.id)
    if (data.failed === undefined) waiting?.resolve(data.value as never)
    else waiting?.reject(new Error(data.failed))
  }
  // Without the core the server alone says what follows.
  worker.onerror = ({ message }) => {
    for (const { reject } of open.values()) reject(new Error(message || 'The core did not load.'))
    open.clear()
  }
  return worker
}

/**
 * Asks the core beside the page.
 * @throws {Error} where it could not answer
 */
export function ask<T>(name: string, ...args: unknown[]): Promise<T> {
  const id = (asked += 1)
  return new Promise<T>((resolve, reject) => {
    open.set(id, { resolve, reject })
    core().postMessage({ id, name, args } satisfies Asked)
  })
}

/** Loads the core once the first view stands. */
export function loadCoreLater(): void {
  const idle = globalThis.requestIdleCallback ?? ((job: () => void) => setTimeout(job, 1000))
  const begin = () => idle(() => void core())
  if (document.readyState === 'complete') begin()
  else addEventListener('load', begin, { once: true })
}
