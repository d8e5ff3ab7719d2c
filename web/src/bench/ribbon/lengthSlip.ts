import type { Reading } from '@/api'

/** A length as typed that may be meant otherwise: another number, or none for a ribbon of nothing. */
export type Slip = { typed: string; meant: string | null }

/** What the core says of such a length, if anything. */
export function slipOf(typed: string, mm: number, slips: Reading['ruler']['slips']): Slip | null {
  const found = slips.find(({ from_mm, to_mm }) => from_mm <= mm && mm <= to_mm)
  if (!found) return null
  return { typed, meant: found.times === null ? null : String(Number((Number(typed) * found.times).toPrecision(6))) }
}
