import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Asked } from './worker'

const WAITS = { book: null, others: [], waiting: [{ seq: 1 }], sending: false, numbers: [] }
const AT = { account: 1, book: 2, person: 3, role: 'lead' }

/** What the worker beside the page answers, by what it is asked. */
let answers: Record<string, () => unknown>
/** How each of the first workers fails: it is not there at all, or a part of it is missing. */
let failing: ('whole' | 'part')[]
class Beside {
  onmessage?: (event: { data: unknown }) => void
  onerror?: (event: { message?: string }) => void
  private readonly fails = failing.shift()
  terminate(): void {}
  postMessage({ id, name }: Asked): void {
    if (this.fails === 'whole') return void queueMicrotask(() => this.onerror?.({}))
    if (this.fails) return void queueMicrotask(() => this.onmessage?.({ data: { id, failed: name, incomplete: true } }))
    const value = answers[name]?.()
    queueMicrotask(() => this.onmessage?.({ data: value instanceof Error ? { id, failed: name } : { id, value } }))
  }
}

/** The network is back. */
let online: () => void
beforeEach(() => {
  failing = []
  vi.resetModules()
  vi.stubGlobal('addEventListener', (_: string, heard: () => void) => (online = heard))
  vi.stubGlobal('Worker', Beside)
  vi.stubGlobal('localStorage', {
    getItem: (name: string) => (name === 'grittle.device' ? 'device' : null),
    setItem: () => {},
    removeItem: () => {},
  })
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

it.each(['whole', 'part'] as const)('begins a worker anew that could not be fetched: %s', async (fails) => {
  const book = { id: 2, name: 'Fieldbook' }
  let taken = false
  answers = {
    state: () => ({ ...WAITS, waiting: [], book: taken ? book : null }),
    take: () => (taken = true),
    answer: () => ({ status: 200, body: 'kept' }),
  }
  failing = [fails, fails]
  const { begin, askDevice, device } = await import('./device')
  await begin(AT, 'Fieldbook')
  await expect(askDevice({ method: 'GET', path: '/api/sites' } as never)).rejects.toThrow()
  expect(device.state.book).toBeNull()
  online()
  await vi.waitFor(() => expect(device.state.book).toEqual(book))
  expect(await askDevice({ method: 'GET', path: '/api/sites' } as never)).toEqual({ status: 200, body: 'kept' })
})

it('is brought up to the server once the signal is back, where it could not be at once', async () => {
  const renewed = vi.fn<() => unknown>(() => new Error())
  answers = { state: () => ({ ...WAITS, waiting: [], book: { id: 2 } }), take: () => true, renew: renewed }
  const { begin, renew } = await import('./device')
  await begin(AT, 'Fieldbook')
  renew({ id: 5, observations: {} })
  await vi.waitFor(() => expect(renewed).toHaveBeenCalledTimes(1))
  renewed.mockReturnValue(undefined)
  online()
  online()
  await vi.waitFor(() => expect(renewed).toHaveBeenCalledTimes(2))
})
