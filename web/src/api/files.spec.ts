import { afterEach, expect, it, vi } from 'vitest'
import { sendFile } from './client'
import { isProblem, Unreachable } from './problem'

afterEach(() => vi.unstubAllGlobals())

it('sends a file as it is, with a key of its own', async () => {
  vi.stubGlobal('fetch', vi.fn().mockResolvedValue({ ok: true, status: 201, json: () => Promise.resolve({ id: 'a' }) }))
  const file = new Blob(['x'])
  expect(await sendFile('/api/imports?name=x', file)).toEqual({ id: 'a' })
  const [path, options] = vi.mocked(fetch).mock.calls[0]!
  expect([path, options!.method, options!.body]).toEqual(['/api/imports?name=x', 'POST', file])
  expect((options!.headers as Record<string, string>)['Content-Type']).toBe('application/octet-stream')
})

it('says what the server refused of it, and when nobody answers', async () => {
  vi.stubGlobal(
    'fetch',
    vi.fn().mockResolvedValue({
      ok: false,
      status: 422,
      json: () => Promise.resolve({ type: '', title: '', status: 422, detail: 'No picture.', errors: [] }),
    }),
  )
  const refused = await sendFile('/api/photos', new Blob([])).catch((caught: unknown) => caught)
  expect(isProblem(refused) && refused.message).toBe('No picture.')
  vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('failed')))
  expect(await sendFile('/api/photos', new Blob([])).catch((caught: unknown) => caught)).toBeInstanceOf(Unreachable)
})

it('comes back when the server is busy with other files, under the same key', async () => {
  vi.useFakeTimers()
  const busy = { ok: false, status: 503, headers: new Headers({ 'retry-after': '5' }), json: () => Promise.resolve({}) }
  vi.stubGlobal(
    'fetch',
    vi
      .fn()
      .mockResolvedValueOnce(busy)
      .mockResolvedValue({ ok: true, status: 201, json: () => Promise.resolve({ id: 'a' }) }),
  )
  const sent = sendFile('/api/photos', new Blob(['x']))
  await vi.advanceTimersByTimeAsync(5000)
  expect(await sent).toEqual({ id: 'a' })
  const keys = vi
    .mocked(fetch)
    .mock.calls.map(([, options]) => (options!.headers as Record<string, string>)['Idempotency-Key'])
  expect(keys[0]).toBe(keys[1])
  vi.useRealTimers()
})
