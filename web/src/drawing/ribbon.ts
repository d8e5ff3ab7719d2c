import { seeded, tenth } from './random'

/**
 * A ribbon at true length and thickness: torn, folded over, or running on at its end.
 * @param x0 px, where it leaves the finger
 * @param x1 px, its end
 * @param y px, its middle
 * @param thickness px
 * @param ended how it ended, as on the wire
 * @param seed makes its wavy edges its own
 */
export function ribbonPath(x0: number, x1: number, y: number, thickness: number, ended: string, seed: number): string {
  const random = seeded(seed * 97 + 3)
  const half = thickness / 2
  const end = ended === 'folded' ? Math.max(x0, x1 - thickness * 0.9) : x1
  const count = Math.max(3, Math.round((end - x0) / 34))
  const edge = (offset: number) =>
    Array.from(
      { length: count },
      (_, i) => `${tenth(x0 + ((end - x0) * (i + 1)) / count)} ${tenth(y + offset + (random() - 0.5) * 1.8)}`,
    )
  const top = edge(-half)
  const bottom = edge(half).reverse()
  const tip = ending(end, x1, y, half, ended)
  return `M${tenth(x0)} ${tenth(y - half)}L${top.join('L')}${tip}L${bottom.join('L')}L${tenth(x0)} ${tenth(y + half)}Z`
}

function ending(end: number, x1: number, y: number, half: number, ended: string): string {
  const at = (x: number, dy: number) => `${tenth(x)} ${tenth(y + dy)}`
  if (ended === 'folded')
    return [
      `C${at(x1 + 2, -half)} ${at(x1 + 4, half * 1.4)} ${at(x1 - 2, half * 2.2)}`,
      `L${at(x1 - half * 1.4, half * 1.9)}`,
      `C${at(x1 - half, half * 1.4)} ${at(x1 - half, half)} ${at(end, half)}`,
    ].join('')
  if (ended === 'never_broke') return `L${at(x1, -half)}L${at(x1 + half, 0)}L${at(x1, half)}`
  const notch = ended === 'torn' ? 12 : 6
  return `L${at(x1 - notch, -half * 0.4)}L${at(x1, 0)}L${at(x1 - notch, half * 0.4)}L${at(x1 - 2, half)}`
}
