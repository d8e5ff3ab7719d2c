import { computed, ref, type Ref } from 'vue'
import type { Reading } from '@/api'
import { slipOf, type Slip } from './lengthSlip'

type Ruler = {
  toMm: (value: number) => number
  show: (mm: number) => string
  slips: () => Reading['ruler']['slips']
  /** mm */
  longest: () => number
}

/** As many signs as a length is typed in. */
const LONGEST_ENTRY = 6

/**
 * The keypad of a ribbon's length: digits as they are pressed, a length placed by a tap on the ruler, which what is
 * typed after it replaces, and the question about a length that may be a slip.
 * @param typed what stands in the line, which outlives the step
 */
export function useLengthPad(
  typed: Ref<string>,
  { toMm, show, slips, longest }: Ruler,
  keep: (length: number) => void,
) {
  const placed = ref(false)
  const slip = ref<Slip | null>(null)
  const mm = computed(() => (typed.value && Number.isFinite(Number(typed.value)) ? toMm(Number(typed.value)) : null))

  function place(length: number): void {
    slip.value = null
    typed.value = show(length)
    placed.value = true
  }
  function press(key: string): void {
    slip.value = null
    if (placed.value) typed.value = ''
    placed.value = false
    if (key === 'del') typed.value = typed.value.slice(0, -1)
    else if (typed.value.length < LONGEST_ENTRY && !(key === '.' && typed.value.includes('.'))) typed.value += key
  }
  function kept(): void {
    keep(Number(typed.value))
    typed.value = ''
    placed.value = false
  }
  /** Keeps what is typed, unless it is asked about first. */
  function add(): void {
    if (mm.value === null) return
    slip.value = slipOf(typed.value, mm.value, slips(), longest())
    if (!slip.value) kept()
  }
  /** The answer to the question: this length, or none. */
  function settle(length: string | null): void {
    slip.value = null
    typed.value = length ?? ''
    if (length) kept()
  }
  /** The same length in another unit. */
  function inUnit(change: () => void): void {
    const length = mm.value
    change()
    typed.value = length === null ? '' : show(length)
  }
  return { placed, slip, mm, place, press, add, settle, inUnit }
}
