import { describe, expect, it } from 'vitest'
import { depthList } from './depthList'

const depths = (text: string) => depthList(text).map(({ upper_cm, lower_cm }) => [upper_cm, lower_cm])

describe('depths as they are typed', () => {
  it.each([
    ['', []],
    ['10', [[10, null]]],
    [
      '2, 20; 40',
      [
        [2, null],
        [20, null],
        [40, null],
      ],
    ],
    [
      '5 15',
      [
        [5, null],
        [15, null],
      ],
    ],
    [
      '60-70, 80–90',
      [
        [60, 70],
        [80, 90],
      ],
    ],
    ['deep', [['deep', null]]],
  ])('%j', (text, found) => expect(depths(text)).toEqual(found))
})
