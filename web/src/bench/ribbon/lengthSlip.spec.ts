import { expect, it } from 'vitest'
import { slipOf } from './lengthSlip'

const SLIPS = [
  { from_mm: 0, to_mm: 0, times: null },
  { from_mm: 3, to_mm: 8, times: 10 },
  { from_mm: 325, to_mm: 832, times: 0.1 },
]

it.each([
  ['5.4', 5.4, '54', true],
  ['0.54', 5.4, '5.4', true],
  ['540', 540, '54', false],
  ['0', 0, null, false],
  ['5400', 5400, null, false],
])('asks about %s', (typed, mm, meant, possible) =>
  expect(slipOf(typed, mm, SLIPS, 300)).toEqual({ typed, meant, possible }),
)

it.each([
  ['54', 54],
  ['15', 15],
])('takes %s as it is', (typed, mm) => expect(slipOf(typed, mm, SLIPS, 300)).toBeNull())
