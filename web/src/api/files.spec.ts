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
  vi.stubGlobal('fetch', vi.fn().mockResolvedValue({ ok: false, status: 422, json: () => Promise.resolve({ type: '', title: '', status: 422, detail: 'No picture.', errors: [] }) }))
  const refused = await sendFile('/api/photos', new Blob([])).catch((caught: unknown) => caught)
  expect(isProblem(refused) && refused.message).toBe('No picture.')
  vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('failed')))
  expect(await sendFile('/api/photos', new Blob([])).catch((caught: unknown) => caught)).toBeInstanceOf(Unreachable)
})
