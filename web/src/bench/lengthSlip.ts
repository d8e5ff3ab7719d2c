/** A length as typed that may be meant otherwise: another number where its point is moved, or none for a ribbon of nothing. */
export type Slip = { typed: string; meant: string | null }

const times = (one: number, other: number) => Math.max(one / other, other / one)

/**
 * @param typed as it stands in the line
 * @param others lengths that were kept, in the same unit
 * @param limits times the mean of the others, from the catalogue
 */
export function slipOf(typed: string, others: number[], limits: { apart: number; near: number }): Slip | null {
  const length = Number(typed)
  if (length === 0) return { typed, meant: null }
  if (!others.length) return null
  const mean = others.reduce((sum, one) => sum + one, 0) / others.length
  if (!mean || times(length, mean) < limits.apart) return null
  const meant = [length * 10, length / 10].find((other) => times(other, mean) <= limits.near)
  return meant === undefined ? null : { typed, meant: String(Number(meant.toFixed(2))) }
}
