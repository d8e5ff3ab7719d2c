import { describe, expect, it, vi } from 'vitest'
import { dropKey, freshKey, keepKey, keyOf } from './keys'
import { asked, credit, percent, signed } from './usePractice'

describe('keys', () => {
  it('are 128 bits, never the same twice', () => {
    const made = Array.from({ length: 50 }, freshKey)
    expect(made.every((key) => /^[0-9a-f]{32}$/.test(key))).toBe(true)
    expect(new Set(made).size).toBe(50)
  })

  it('stand by what they open, until they are put away', () => {
    keepKey('set/3', 'a')
    keepKey('session/3', 'b')
    expect([keyOf('set/3'), keyOf('session/3'), keyOf('set/4')]).toEqual(['a', 'b', undefined])
    dropKey('set/3')
    expect([keyOf('set/3'), keyOf('session/3')]).toEqual([undefined, 'b'])
  })
})

describe('a session', () => {
  const answers = (set: number) =>
    vi.fn<(path: string, options: { headers: Record<string, string> }) => Promise<Response>>(() =>
      Promise.resolve({ ok: true, json: () => Promise.resolve({ id: 7, set_id: set }) } as Response),
    )

  it('is asked for with a key of one’s own as a person, and with that of its set as its keeper', async () => {
    keepKey('session/7', 'mine')
    keepKey('set/2', 'keeps')
    const fetched = answers(2)
    vi.stubGlobal('fetch', fetched)
    await asked(7, 'person')
    await asked(7, 'keeper')
    expect(fetched.mock.calls.map(([path, { headers }]) => [path, headers['Grittle-Key']])).toEqual([
      ['/api/practice-sessions/7', 'mine'],
      ['/api/practice-sessions/7', undefined],
      ['/api/practice-sessions/7', 'keeps'],
    ])
    vi.unstubAllGlobals()
  })
})

describe('figures', () => {
  it.each([
    [credit(0.666), '0.67'],
    [credit(1), '1'],
    [credit(null), ''],
    [percent(0.584), '58 %'],
    [signed(1.5), '+1.5'],
    [signed(-2), '−2'],
    [signed(0), '0'],
  ])('say %s', (said, wanted) => expect(said).toBe(wanted))
})
