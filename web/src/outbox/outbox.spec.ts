import { describe, expect, it, vi } from 'vitest'
import { ApiProblem, Unreachable, type Reading } from '@/api'
import { createOutbox } from './outbox'

const memory = () => {
  const kept = new Map<string, string>()
  return {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
  }
}
const reading = (version: number) => ({ id: 1, version }) as Reading
const problem = (status: number, current?: Reading) =>
  new ApiProblem({ type: 'about:blank', title: '', status, detail: 'no', current })
const answer = (name: string) => ({
  method: 'PATCH' as const,
  path: '/api/readings/1',
  body: { answers: { [name]: 1 } },
  answers: { [name]: 1 },
  label: name,
})

function outbox(send: (...call: unknown[]) => Promise<Reading>, store = memory()) {
  const calls: { path: string; body: Record<string, unknown>; key: string }[] = []
  const onRefused = vi.fn()
  const onEmpty = vi.fn()
  const box = createOutbox({
    storeKey: 'q',
    store,
    version: () => 7,
    versionIn: (saved: Reading) => saved.version,
    onSaved: () => {},
    onRefused,
    onEmpty,
    retryAfter: 1e6,
    send: (method, path, body, key) => {
      calls.push({ path: String(path), body: body as Record<string, unknown>, key })
      return send(method, path, body, key)
    },
  })
  return { box, calls, store, onRefused, onEmpty }
}

describe('the outbox of the bench', () => {
  it('sends one after another, each on the version the one before left', async () => {
    let version = 7
    const { box, calls, store } = outbox(() => Promise.resolve(reading(++version)))
    box.add(answer('a'))
    box.add(answer('b'))
    await vi.waitFor(() => expect(box.state.value).toBe('saved'))
    expect(calls.map(({ body }) => body.version)).toEqual([7, 8])
    expect(store.getItem('q')).toBeNull()
  })

  it('asks of the answer what the write says, and tells once when all is answered', async () => {
    const { box, calls, onEmpty } = outbox(() => Promise.resolve(reading(8)))
    box.add({ ...answer('a'), query: 'evidence=none' })
    box.add({ ...answer('b'), method: 'DELETE', query: 'evidence=none' })
    await vi.waitFor(() => expect(onEmpty).toHaveBeenCalledOnce())
    expect(calls.map(({ path }) => path)).toEqual([
      '/api/readings/1?evidence=none',
      '/api/readings/1?version=8&evidence=none',
    ])
  })

  it('keeps what has no answer and tries it again under the same key', async () => {
    const { box, calls, store } = outbox(vi.fn().mockRejectedValueOnce(new Unreachable()).mockResolvedValue(reading(8)))
    box.add(answer('a'))
    await vi.waitFor(() => expect(box.state.value).toBe('waiting'))
    expect(box.answers.value).toEqual({ a: 1 })
    const { box: next } = outbox(() => Promise.resolve(reading(8)), store)
    expect(next.queue.value.map(({ key }) => key)).toEqual([calls[0]!.key])
    await box.flush()
    expect(calls.map(({ key }) => key)).toEqual([calls[0]!.key, calls[0]!.key])
    expect(box.state.value).toBe('saved')
  })

  it('says of each write that it is tried, and that it waits, also behind others that wait', async () => {
    const { box } = outbox(() => Promise.reject(new Unreachable()))
    for (const name of ['a', 'b']) {
      box.add(answer(name))
      expect(box.state.value).toBe('saving')
      await vi.waitFor(() => expect(box.state.value).toBe('waiting'))
    }
  })

  // What the server refuses, and what it cannot do by a mistake of its own, is not sent again for ever.
  it.each([422, 500])(
    'drops what is refused with %i, says so, and goes on with the rest on the same version',
    async (status) => {
      const { box, calls, onRefused } = outbox(
        vi.fn().mockRejectedValueOnce(problem(status)).mockResolvedValue(reading(8)),
      )
      box.add(answer('a'))
      box.add(answer('b'))
      await vi.waitFor(() => expect(box.state.value).toBe('saved'))
      expect(onRefused).toHaveBeenCalledOnce()
      expect(calls.map(({ body }) => body.version)).toEqual([7, 7])
    },
  )

  it.each([
    ['mine', [7, 9]],
    ['theirs', [7]],
  ] as const)('stops at a conflict until the person chooses %s', async (choice, versions) => {
    const { box, calls } = outbox(
      vi
        .fn()
        .mockRejectedValueOnce(problem(409, reading(9)))
        .mockResolvedValue(reading(10)),
    )
    box.add(answer('a'))
    await vi.waitFor(() => expect(box.state.value).toBe('conflict'))
    box.resolve(choice)
    await vi.waitFor(() => expect(box.state.value).toBe('saved'))
    expect(calls.map(({ body }) => body.version)).toEqual(versions)
  })
})
