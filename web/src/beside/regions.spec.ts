import { expect, test } from 'vitest'
import { regionPath } from './regions'

const frame = { x: 0, y: 0, side: 100, height: 100 }
const outlines = (runs: number[][]) => regionPath(frame, runs).split('M').length - 1

test.each([
  [
    'rows that touch',
    [
      [10, 20, 30],
      [11, 25, 35],
      [12, 30, 40],
    ],
    1,
  ],
  [
    'rows that lie apart',
    [
      [10, 20, 30],
      [20, 20, 30],
    ],
    2,
  ],
  [
    'two parts of one row',
    [
      [10, 0, 5],
      [10, 50, 60],
      [11, 1, 4],
      [11, 52, 58],
    ],
    2,
  ],
  ['nothing', [], 0],
])('outlines %s', (_, runs, count) => {
  expect(outlines(runs)).toBe(count)
})
