import { afterEach, describe, expect, it, vi } from 'vitest'
import * as deviceSide from '@/device/device'
import { request } from './client'
import { ApiProblem, isPassing, isProblem, Unreachable } from './problem'

const answers = (status: number, body: unknown) =>
  vi.stubGlobal(
    'fetch',
    vi.fn().mockResolvedValue({
      ok: status < 400,
      status,
      json: () => (body === undefined ? Promise.reject(new Error('no JSON')) : Promise.resolve(body)),
    }),
  )
const problem = (status: number) => ({
  type: 'about:blank',
  title: '',
  status,
  detail: 'Not so.',
  errors: [{ pointer: '/lower_cm', detail: 'It runs upwards.' }],
})

afterEach(() => vi.unstubAllGlobals())

describe('a request', () => {
  it('carries a key when it writes, its own or the one given for another try, and none when it reads', async () => {
    answers(200, { id: 1 })
    await request('GET', '/api/sites')
    await request('POST', '/api/sites', { name: 'x' })
    await request('POST', '/api/sites', { name: 'x' }, 'again-and-again')
    const sent = vi
      .mocked(fetch)
      .mock.calls.map(([, options]) => (options!.headers as Record<string, string>)['Idempotency-Key'])
    expect(sent[0]).toBeUndefined()
    expect(sent[1]).toMatch(/^[0-9a-f-]{36}$/)
    expect(sent[2]).toBe('again-and-again')
  })

  it('hands on what the server refused, with the sentence at its field', async () => {
    answers(422, problem(422))
    const error = await request('POST', '/api/x', {}).catch((caught: unknown) => caught)
    expect(isProblem(error)).toBe(true)
    expect((error as ApiProblem).message).toBe('Not so.')
    expect((error as ApiProblem).at('lower_cm')).toBe('It runs upwards.')
    expect((error as ApiProblem).at('upper_cm')).toBeUndefined()
    expect(isPassing(error)).toBe(false)
  })

  it('does without the device where that stands behind what the server has said already', async () => {
    const profile = (version: number) => ({ id: 1, version: 3, horizons: [{ id: 7, version }], samples: [] })
    const onDevice = vi.spyOn(deviceSide, 'askDevice')
    answers(200, profile(2))
    await request('GET', '/api/profiles/1')
    vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('failed')))
    for (const [version, answered] of [
      [2, profile(2)],
      [1, null],
    ] as const) {
      onDevice.mockResolvedValue({ status: 200, body: profile(version) })
      expect(await request('GET', '/api/profiles/1').catch(() => null)).toEqual(answered)
    }
    onDevice.mockRestore()
  })

  it('knows what will pass by itself: no answer, or a trouble of the server', async () => {
    vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('failed')))
    const silent = await request('GET', '/api/x').catch((caught: unknown) => caught)
    expect(silent).toBeInstanceOf(Unreachable)
    expect(isPassing(silent)).toBe(true)
    answers(503, undefined)
    const unreadable = await request('GET', '/api/x').catch((caught: unknown) => caught)
    expect(isPassing(unreadable)).toBe(true)
    expect((unreadable as ApiProblem).message).toBe('The server gave no readable answer.')
  })
})
