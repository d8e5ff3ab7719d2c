import type { Horizon } from '@/api'
import { seeded, tenth } from './random'

// What was seen of a horizon, as marks in its column: mottles as blots, roots as threads from the top, stones as
// outlines.
type Box = { x: number; top: number; width: number; bottom: number }
const MOTTLES: Record<string, number> = { few: 3, common: 8, many: 18 }
const ROOTS: Record<string, number> = { few: 2, common: 5, many: 9 }
/** Stones drawn for a horizon full of them. */
const MOST_STONES = 16

const places = (seed: number, count: number, { x, top, width, bottom }: Box, inset: number) => {
  const random = seeded(seed)
  return Array.from({ length: count }, () => ({
    x: x + inset + random() * Math.max(width - 2 * inset, 1),
    y: top + inset + random() * Math.max(bottom - top - 2 * inset, 1),
    size: random(),
    turn: random(),
  }))
}

/** Paths for one horizon; empty where nothing was written. */
export function horizonMarks(
  horizon: Pick<Horizon, 'id' | 'described'>,
  box: Box,
): { mottles: string; roots: string; stones: string } {
  const seen = horizon.described as Record<string, string | number>
  const tall = Math.max(Math.min((box.bottom - box.top) / 90, 1.4), 0.25)
  const number = (count = 0) => Math.round(count * tall) || (count ? 1 : 0)
  const mottles = places(horizon.id, number(MOTTLES[String(seen.mottle_abundance)]), box, 8).map(
    ({ x, y, size, turn }) => {
      const [w, h] = [tenth(4 + size * 4), tenth(2.5 + turn * 3)]
      return `M${tenth(x - w)} ${tenth(y)}q${w} ${-2 * h} ${2 * w} 0q${-w} ${2 * h} ${-2 * w} 0z`
    },
  )
  const roots = places(horizon.id + 7, number(ROOTS[String(seen.roots)]), { ...box, bottom: box.top + 1 }, 8).map(
    ({ x, size, turn }) => {
      const length = Math.min((box.bottom - box.top) * (0.35 + 0.45 * size), 90)
      const lean = turn - 0.5
      const bend = [lean * 26, length / 2, lean * 8, length].map(tenth).join(' ')
      return `M${tenth(x)} ${tenth(box.top)}q${bend}`
    },
  )
  const stones = places(
    horizon.id + 13,
    Math.ceil((Number(seen.fragments_percent ?? 0) / 100) * MOST_STONES * tall),
    box,
    10,
  ).map(({ x, y, size, turn }) => {
    const r = 4 + size * 5
    return [
      `M${tenth(x - r)} ${tenth(y)}l${tenth(r * 0.7)} ${tenth(-r * 0.8)}h${tenth(r * (0.6 + turn * 0.4))}`,
      `l${tenth(r * 0.5)} ${tenth(r * 0.7)}l${tenth(-r * 0.6)} ${tenth(r * 0.8)}h${tenth(-r * 0.9)}z`,
    ].join('')
  })
  return { mottles: mottles.join(''), roots: roots.join(''), stones: stones.join('') }
}
