import { numberOr } from './described'

/** One depth or a stretch of depths as it was typed, in cm. */
export type DepthTyped = { text: string; upper_cm?: number | string; lower_cm?: number | string | null }

/** "2, 20, 40-60": what stands between commas is one depth or a stretch. What is no number stays as it was typed. */
export const depthList = (text: string): DepthTyped[] =>
  text
    .split(/[,;]\s*|\s+/)
    .filter(Boolean)
    .map((one) => {
      const [upper, lower] = one.split(/-|–|to/)
      return { text: one, upper_cm: numberOr(upper ?? ''), lower_cm: lower ? numberOr(lower) : null }
    })
