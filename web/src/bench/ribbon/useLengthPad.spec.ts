import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { Reading } from '@/api'
import { useLengthPad } from './useLengthPad'

// What the core says of lengths beside ribbons of about 50 mm: up to 13 mm it asks whether ten times that is meant.
const SLIPS: Reading['ruler']['slips'] = [{ from_mm: 0.5, to_mm: 13, times: 10 }]
const typed = ref('')
const keep = vi.fn()
let unit = 'mm'
const pad = useLengthPad(
  typed,
  {
    toMm: (value) => (unit === 'cm' ? value * 10 : value),
    show: (mm) => (unit === 'cm' ? (mm / 10).toFixed(1) : String(Math.round(mm))),
    slips: () => SLIPS,
    longest: () => 300,
  },
  keep,
)
const press = (keys: string) => keys.split(' ').forEach(pad.press)
beforeEach(() => {
  unit = 'mm'
  pad.settle(null)
  keep.mockClear()
})

describe('the keypad of a length', () => {
  it.each([
    ['5 2', '52'],
    ['5 . 2 . 1', '5.21'],
    ['5 2 del', '5'],
    ['1 2 3 4 5 6 7', '123456'],
    ['del', ''],
  ])('takes %s for %s', (keys, length) => {
    press(keys)
    expect(typed.value).toBe(length)
  })

  it('replaces a length that was tapped by one that is typed', () => {
    pad.place(47)
    expect([typed.value, pad.placed.value]).toEqual(['47', true])
    press('5 1')
    expect([typed.value, pad.placed.value]).toEqual(['51', false])
    pad.add()
    expect(keep).toHaveBeenCalledWith(51)
    expect(typed.value).toBe('')
  })

  it('asks about a length that may be a slip, and keeps what is answered', () => {
    press('5 . 4')
    pad.add()
    expect(keep).not.toHaveBeenCalled()
    expect(pad.slip.value?.meant).toBe('54')
    pad.settle('54')
    expect(keep).toHaveBeenCalledWith(54)
    expect(pad.slip.value).toBeNull()
  })

  it('keeps nothing where nothing is typed, and the same length in another unit', () => {
    pad.add()
    press('.')
    pad.add()
    expect(keep).not.toHaveBeenCalled()
    pad.settle(null)
    press('5 2')
    pad.inUnit(() => (unit = 'cm'))
    expect([typed.value, pad.mm.value]).toEqual(['5.2', 52])
  })
})
