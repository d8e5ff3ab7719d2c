import { beforeEach, describe, expect, it, test, vi } from 'vitest'
import { useDepths } from './useDepths'

vi.mock('@/api', () => ({
  useWords: () => ({
    value: {
      depth_units: [
        { value: 'cm', cm: 1 },
        { value: 'in', cm: 2.54 },
      ],
    },
  }),
}))
const { unit, show, range, toCm, ticks } = useDepths()
beforeEach(() => (unit.value = 'cm'))

describe('depths', () => {
  it.each([
    [20, 1],
    [130, 10],
    [400, 50],
  ])('mark a tape of %i cm in steps that can be read', (depth, least) => {
    const marks = ticks(depth, 560, 46)
    expect(marks[1]! - marks[0]!).toBeGreaterThanOrEqual(least)
    expect(marks.length).toBeGreaterThan(3)
    expect(marks.at(-1)).toBeLessThanOrEqual(depth)
  })

  test('in inches are shown and typed, and kept in cm', () => {
    unit.value = 'in'
    expect([show(2.54), range(25.4, 50.8), toCm('7,5'), toCm('about 8')]).toEqual(['1', '10 to 20 in', 19.1, 'about 8'])
    expect([show(55), toCm('21.7')]).toEqual(['21.7', 55]) // not 55.1
    expect(ticks(130, 560, 46).map(show)).toEqual(['0', '5', '10', '15', '20', '25', '30', '35', '40', '45', '50'])
  })
})
