import { expect, it } from 'vitest'
import { slipOf } from './lengthSlip'

const LIMITS = { apart: 4, near: 1.6 }

it.each([
  ['5.4', [52], '54'],
  ['540', [52, 49], '54'],
  ['12', [150], '120'],
  ['54', [5.2], '5.4'],
  ['0', [], null],
  ['0', [52], null],
])('asks about %s after %j', (typed, others, meant) => expect(slipOf(typed, others, LIMITS)).toEqual({ typed, meant }))

it.each([
  ['54', [52]],
  ['54', []],
  ['15', [52]],
  ['10', [52]],
])('takes %s after %j as it is', (typed, others) => expect(slipOf(typed, others, LIMITS)).toBeNull())
