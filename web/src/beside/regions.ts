import { points, type Frame } from '@/drawing/triangle'

/** One run of whole percents: clay, and sand from and to. */
type Run = { clay: number; from: number; to: number }

/**
 * The outlines of a region of compositions, given as runs of sand one percent of clay high: runs that touch from row to
 * row are one outline.
 */
export function regionPath(f: Frame, runs: number[][]): string {
  const chains: Run[][] = []
  for (const [clay, from, to] of [...runs].sort((a, b) => a[0]! - b[0]!) as [number, number, number][]) {
    const touching = chains.find((chain) => {
      const last = chain.at(-1)!
      return last.clay === clay - 1 && last.from <= to + 1 && from <= last.to + 1
    })
    if (touching) touching.push({ clay, from, to })
    else chains.push([{ clay, from, to }])
  }
  return chains.map((chain) => `M${points(f, outline(chain)).replaceAll(' ', 'L')}Z`).join('')
}

const HALF = 0.5
/** Up along the sandy side and down along the other, through the middle of each row; a row alone has its height. */
function outline(chain: Run[]): number[][] {
  const [first, last] = [chain[0]!, chain.at(-1)!]
  const rows = [{ ...first, clay: first.clay - HALF }, ...chain.slice(1, -1), { ...last, clay: last.clay + HALF }]
  return [
    ...rows.map(({ clay, to }) => [to + HALF, clay]),
    ...[...rows].reverse().map(({ clay, from }) => [from - HALF, clay]),
  ]
}
