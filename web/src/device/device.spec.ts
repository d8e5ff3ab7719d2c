import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Asked } from './worker'

const WAITS = { book: null, others: [], waiting: [{ seq: 1 }], sending: false, numbers: [] }
const AT = { account: 1, book: 2, person: 3, role: 'lead' }

/** What the worker beside the page answers, by what it is asked. */
let answers: Record<string, () => unknown>
class Beside {
  onmessage?: (event: { data: unknown }) => void
  postMessage({ id, name }: Asked): void {
    const value = answers[name]?.()
    queueMicrotask(() => this.onmessage?.({ data: value instanceof Error ? { id, failed: name } : { id, value } }))
  }
}

beforeEach(() => {
  vi.resetModules()
  vi.stubGlobal('Worker', Beside)
  vi.stubGlobal('localStorage', { getItem: () => 'device', setItem: () => {}, removeItem: () => {} })
})
afterEach(() => vi.unstubAllGlobals())

it.each([
  ['the server took two', () => 2, 1],
  ['it took nothing, as the first is refused', () => 0, 0],
  ['there is no signal', () => new Error(), 0],
])('tells the page that something was sent: %s', async (_, send, times) => {
  answers = { state: () => WAITS, send }
  const { begin, device, onSent } = await import('./device')
  const heard = vi.fn()
  onSent(heard)
  await begin(AT, 'Fieldbook')
  expect(heard).toHaveBeenCalledTimes(times)
  expect(device.alone.value).toBe(send() instanceof Error)
})
