import { describe, expect, it } from 'vitest'
import type { Reading } from '@/api'
import { otherTiers, schoolsOf } from './schools'

const outcome = (name: string, weight = 1) => ({ code: name, name, weight, percent: Math.round(weight * 100) })
const key = (id: string, outcomes: object[], more: object = {}) => ({
  key: id,
  name: id,
  system: 'usda',
  outcomes,
  next_question: null,
  agreement: null,
  ...more,
})
const reading = (main: object, more: object = {}) =>
  ({
    assessment: {
      keys: [
        main,
        key('sand_first', [outcome('loam', 0.6), outcome('clay loam', 0.4)], { agreement: 'one_off' }),
        key('rolling', [], { next_question: 'ring_forms' }),
        key('length_alone', [outcome('loam')]),
      ],
      limit_sets: [],
      systems: [],
      ...more,
    },
  }) as unknown as Reading

describe('what the schools say', () => {
  it('parts those that agree from those off, those that ask, and those that name a group', () => {
    const found = schoolsOf(reading(key('ribbon_and_rub', [outcome('clay loam')])))
    expect(found.map(({ id, says, stance, asks }) => [id, says, stance, asks])).toEqual([
      ['sand_first', 'loam 60 %, clay loam 40 %', 'one_off', undefined],
      ['rolling', '', 'asks', 'ring_forms'],
      ['length_alone', 'loam', 'group', undefined],
    ])
  })

  const sets = [
    {
      limit_set: 'metric',
      name: 'Metric',
      outcomes: [outcome('clay')],
      tiers: [
        { tier: 'strong', odds: 0.7 },
        { tier: 'medium', odds: 0.3 },
      ],
      agreement: null,
    },
    {
      limit_set: 'contest',
      name: 'Contest',
      outcomes: [outcome('clay loam')],
      tiers: [
        { tier: 'medium', odds: 0.9 },
        { tier: 'strong', odds: 0.1 },
      ],
      agreement: 'one_off',
    },
  ]
  const flow = key('ribbon_and_rub', [outcome('clay')], { limit_set: 'metric', tiers: sets[0]!.tiers })

  it('leaves out the limit set the reading goes by, and all of them under another key', () => {
    const ids = (main: object) =>
      schoolsOf(reading(main, { limit_sets: sets }))
        .filter(({ kind }) => kind === 'limits')
        .map(({ id }) => id)
    expect(ids(flow)).toEqual(['contest'])
    expect(ids(key('rolling', []))).toEqual([])
  })

  it('names limit sets that put the ribbon into another tier', () => {
    expect(otherTiers(reading(flow, { limit_sets: sets }))).toEqual([{ name: 'Contest', tier: 'medium', percent: 90 }])
    expect(otherTiers(reading(key('rolling', []), { limit_sets: sets }))).toEqual([])
  })

  it('names a system with the classes near its line, but not the one the key already speaks for', () => {
    const systems = ['usda', 'uk'].map((system) => ({
      system,
      name: system,
      code: 'CL',
      class: 'clay loam',
      near: ['loam'],
      agreement: 'agree',
    }))
    expect(schoolsOf(reading(flow, { systems })).filter(({ kind }) => kind === 'system')).toEqual([
      { id: 'uk', kind: 'system', name: 'uk', says: 'clay loam or loam', stance: 'agree' },
    ])
  })
})
