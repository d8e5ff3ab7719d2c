import { describe, expect, it } from 'vitest'
import { countdown, dueSaid } from './clock'

describe('a clock', () => {
  it.each([
    [0, '0:00'],
    [45_000, '0:45'],
    [125_000, '2:05'],
    [3_599_000, '59:59'],
    [3_600_000, '1 h 00'],
    [33_060_000, '9 h 11'],
    [-65_000, '1:05'],
    [2 * 86_400_000, '2 days'],
  ])('shows %i ms as %s', (ms, said) => expect(countdown(ms)).toBe(said))

  it.each([
    [90_000, 'in 1:30'],
    [400, 'due now'],
    [-9_000, 'due now'],
    [-10_000, '0:10 over'],
  ])('says of %i ms that a look is %s', (ms, said) => expect(dueSaid(ms)).toBe(said))
})
