/** A linear scale from values to px. */
export const linear =
  (from: number, to: number, start: number, end: number) =>
  (value: number): number =>
    start + ((value - from) / (to - from || 1)) * (end - start)

/** The step between labels that leaves at least `room` px for each: 1, 2, 5, 10, 20, 50 … */
export function niceStep(span: number, pixels: number, room: number): number {
  const least = (span * room) / Math.max(pixels, 1)
  let step = 10 ** Math.floor(Math.log10(Math.max(least, 1e-9)))
  for (const factor of [2, 2.5, 2]) {
    if (step >= least) break
    step *= factor
  }
  return step
}

/**
 * Places for labels that want to stand at given heights but must not overlap: pushed down in order, then up from the
 * end where they would leave the room. Returns the top of each.
 */
export function spread(wanted: number[], sizes: number[], top: number, bottom: number): number[] {
  const tops: number[] = []
  wanted.forEach((want, i) => tops.push(Math.max(want, i ? tops[i - 1]! + sizes[i - 1]! : top)))
  let limit = bottom
  for (let i = tops.length - 1; i >= 0; i--) {
    if (tops[i]! + sizes[i]! <= limit) break
    tops[i] = limit - sizes[i]!
    limit = tops[i]!
  }
  return tops
}
