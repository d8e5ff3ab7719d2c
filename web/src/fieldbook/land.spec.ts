import { describe, expect, it } from 'vitest'
import type { ProfileSummary, Site } from '@/api'
import { groundLine, layOut, standing } from './land'

type Layer = ProfileSummary['horizons'][number]
const horizon = (id: number, code?: string) => ({ id, designation: `H${id}`, code: code ?? null }) as Layer
const profile = (...horizons: Layer[]) =>
  ({ horizons, next_horizon_id: horizons.find(({ code }) => !code)?.id ?? null }) as ProfileSummary
const site = (landform: string | null, ...profiles: ProfileSummary[]) => ({ landform, profiles }) as Site

describe('the land', () => {
  it('hangs profiles side by side, site after site', () => {
    const rows = layOut([site('crest', profile(), profile()), site('flat', profile())], 600, 100, 40, 30)
    expect(rows).toHaveLength(1)
    expect(rows[0]!.plots.map(({ x }) => x)).toEqual([30, 130, 270])
    expect(rows[0]!.plots.map(({ first }) => first)).toEqual([true, false, true])
  })

  it('leaves room after the last profile of a site, also at the end of a row', () => {
    const rows = layOut([site('crest', profile()), site('flat', profile())], 320, 100, 60, 20)
    expect(rows.map(({ plots }) => plots.length)).toEqual([1, 1])
    expect(layOut([site('crest', profile()), site('flat', profile())], 340, 100, 60, 20)).toHaveLength(1)
  })

  it('begins a new row where the page ends, and names the site there again', () => {
    const rows = layOut([site('crest', profile(), profile(), profile())], 280, 100, 40)
    expect(rows.map(({ plots }) => plots.length)).toEqual([2, 1])
    expect(rows[1]!.plots[0]!.first).toBe(true)
  })

  it('keeps a place for a site that has no profile yet', () => {
    const [row] = layOut([site(null)], 400, 100, 40)
    expect(row!.plots[0]).toMatchObject({ profile: null, first: true })
  })

  it('puts higher landforms on higher ground', () => {
    const grounds = ['crest', 'upper_slope', 'mid_slope', 'lower_slope', 'drainage_line'].map(
      (landform) => layOut([site(landform)], 400, 100, 40)[0]!.plots[0]!.ground,
    )
    expect([...grounds].sort((a, b) => b - a)).toEqual(grounds)
  })

  it('draws level ground where something hangs and a slope between', () => {
    const [row] = layOut([site('crest', profile()), site('drainage_line', profile())], 600, 100, 40)
    const line = groundLine(row!, 100, 600, (ground) => 200 - ground)
    expect(line.startsWith('M0 116H100C')).toBe(true)
    expect(line.endsWith('200H240H600')).toBe(true)
  })
})

describe('how a profile stands', () => {
  it.each([
    [profile(), { done: 0, total: 0, next: 'no horizon yet' }],
    [profile(horizon(1, 'L'), horizon(2)), { done: 1, total: 2, next: 'next: H2' }],
    [profile(horizon(1, 'L')), { done: 1, total: 1, next: 'complete' }],
  ])('is said in a word or two', (found, said) => {
    expect(standing(found)).toEqual(said)
  })
})
