import { describe, expect, it } from 'vitest'
import { changes, groups, numberOr, saidOf, written, type Field } from './described'

const field = (name: string, more: Partial<Field> = {}): Field => ({
  name,
  label: name,
  type: 'text',
  group: null,
  unit: null,
  hint: null,
  suggestions: null,
  carries: false,
  words: null,
  ...more,
})
const FIELDS = [
  field('roots', { type: 'choice', group: 'Life', words: [{ value: 'many', name: 'Many' }] }),
  field('ph', { type: 'number', group: 'Chemistry' }),
  field('worms', { type: 'number', group: 'Life', unit: 'of them' }),
  field('fell_in', { type: 'flag' }),
]

describe('what is described', () => {
  it('becomes lines of a form, and only what changed comes back', () => {
    const before = written(FIELDS, { roots: 'many', ph: 6.5, fell_in: false })
    expect(before).toEqual({ roots: 'many', ph: '6.5', worms: '', fell_in: 'false' })
    expect(changes({ ...before, ph: '7', roots: '' }, before)).toEqual({ ph: '7', roots: '' })
    expect(changes(before, before)).toEqual({})
    expect(written(FIELDS, null).ph).toBe('')
  })

  it('stands in the groups of the catalogue, in its order', () => {
    expect(groups(FIELDS).map(({ name, fields }) => [name, fields.map((one) => one.name)])).toEqual([
      ['Life', ['roots', 'worms']],
      ['Chemistry', ['ph']],
      ['', ['fell_in']],
    ])
  })

  it.each([
    [0, 'many', 'Many'],
    [0, 'other', 'other'],
    [2, 7, '7 of them'],
    [3, true, 'yes'],
    [3, false, 'no'],
  ])('says field %i, %s, as %s', (at, value, said) => expect(saidOf(FIELDS[at]!, value)).toBe(said))

  it.each([
    ['12,5', 12.5],
    [' 7 ', 7],
    ['', undefined],
    ['deep', 'deep'],
    ['-3', -3],
  ])('takes %j for %j', (text, number) => expect(numberOr(text)).toBe(number))
})
