import type { Reading } from '@/api'

/** A length as typed that may be meant otherwise, as another number if there is a likely one; or that no ribbon has. */
export type Slip = { typed: string; meant: string | null; possible: boolean }

/** What the core says of such a length, if anything; no ribbon is longer than the longest. */
export function slipOf(typed: string, mm: number, slips: Reading['ruler']['slips'], longest: number): Slip | null {
  const found = slips.find(({ from_mm, to_mm }) => from_mm <= mm && mm <= to_mm)
  if (!found && mm <= longest) return null
  const meant = found?.times ? String(Number((Number(typed) * found.times).toPrecision(6))) : null
  return { typed, meant, possible: 0 < mm && mm <= longest }
}
