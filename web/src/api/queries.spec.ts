import { describe, expect, it, vi } from 'vitest'
import { sitesQuery } from './queries'

describe('the sites that are asked for', () => {
  const asked = async (...wanted: Parameters<typeof sitesQuery>): Promise<string> => {
    vi.stubGlobal('fetch', vi.fn().mockResolvedValue({ ok: true, status: 200, json: () => Promise.resolve({}) }))
    await (sitesQuery(...wanted).queryFn as () => Promise<unknown>)()
    const path = vi.mocked(fetch).mock.calls[0]![0] as string
    vi.unstubAllGlobals()
    return path
  }

  it('are one page of all of them where nothing is wanted', async () => {
    expect(await asked(2)).toBe('/api/sites?page=2')
    expect(await asked(1, { text: '', unfinished: '' })).toBe('/api/sites?page=1')
  })

  it('are wanted by what an address can carry', async () => {
    expect(await asked(1, { text: 'low & wet', class: 'usda:CL', unfinished: '1' })).toBe(
      '/api/sites?page=1&text=low+%26+wet&class=usda%3ACL&unfinished=1',
    )
  })

  it('are kept apart by what was wanted', () =>
    expect(sitesQuery(1, { text: 'a' }).queryKey).not.toEqual(sitesQuery(1, { text: 'b' }).queryKey))
})
