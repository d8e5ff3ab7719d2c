import { expect, it } from 'vitest'
import { watchTime } from './useWorkingClock'

it.each([
  [0, '0:00'],
  [1.5, '1:30'],
  [9.99, '9:59'],
  [0.1, '0:06'],
  [12, '12:00'],
])('reads %f minutes as %s', (minutes, text) => {
  expect(watchTime(minutes)).toBe(text)
})
