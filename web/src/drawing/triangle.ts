import { seeded, tenth } from './random'

export type Frame = { x: number; y: number; side: number; height: number }

/** A texture triangle in px: clay upwards, sand to the left, silt to the right. */
export const frame = (width: number, pad: number, padRight = pad): Frame => {
  const side = width - pad - padRight
  return { x: pad, y: pad, side, height: (side * Math.sqrt(3)) / 2 }
}

/** Where a composition lies, from its sand and clay percent. */
export function at(f: Frame, sand: number, clay: number): [number, number] {
  const silt = 100 - sand - clay
  return [f.x + ((silt + clay / 2) / 100) * f.side, f.y + f.height * (1 - clay / 100)]
}

/** The composition under a place in px, held to the triangle and to whole percents. */
export function under(f: Frame, x: number, y: number): { sand: number; clay: number } {
  const clay = Math.min(Math.max(Math.round((1 - (y - f.y) / f.height) * 100), 0), 100)
  const silt = Math.min(Math.max(Math.round(((x - f.x) / f.side) * 100 - clay / 2), 0), 100 - clay)
  return { sand: 100 - clay - silt, clay }
}

export const points = (f: Frame, polygon: number[][]): string =>
  polygon.map((vertex) => at(f, vertex[0]!, vertex[1]!).map(tenth).join(',')).join(' ')

/** px a polygon is wide at a clay percent. */
export function widthAt(f: Frame, polygon: number[][], clay: number): number {
  const crossings = polygon.flatMap((from, i) => {
    const to = polygon[(i + 1) % polygon.length]!
    const [a, b] = [from[1]!, to[1]!]
    if (a === b || clay < Math.min(a, b) || clay > Math.max(a, b)) return []
    return [at(f, from[0]! + ((to[0]! - from[0]!) * (clay - a)) / (b - a), clay)[0]]
  })
  return Math.max(...crossings) - Math.min(...crossings)
}

export const corners = (f: Frame): string =>
  points(f, [
    [0, 100],
    [100, 0],
    [0, 0],
  ])

/** Grains over the whole triangle, the kind drawn by lot from the composition under each. */
export function field(f: Frame, step: number): { dots: string; dashes: string; lines: string } {
  const random = seeded(5)
  const long = step * 1.2 // px: of a line of clay
  let dots = ''
  let dashes = ''
  let lines = ''
  for (let row = f.y + step * 0.6; row < f.y + f.height; row += step * 0.86)
    for (let column = f.x; column < f.x + f.side; column += step) {
      const x = column + (random() - 0.5) * step * 0.8
      const y = row + (random() - 0.5) * step * 0.7
      const lot = random() * 100
      const clay = (1 - (y - f.y) / f.height) * 100
      const silt = ((x - f.x) / f.side) * 100 - clay / 2
      const sand = 100 - silt - clay
      if (Math.min(sand, silt, clay) < 0.6) continue
      const [px, py] = [tenth(x), tenth(y)]
      if (lot < sand) dots += `M${px - 1.2} ${py}a1.2 1.2 0 1 0 2.4 0a1.2 1.2 0 1 0 -2.4 0`
      else if (lot < sand + silt) dashes += `M${tenth(x - 3)} ${py}h6`
      else lines += `M${tenth(x - long / 2)} ${tenth(y - 1.2)}h${tenth(long)}m${tenth(-long)} 2.4h${tenth(long)}`
    }
  return { dots, dashes, lines }
}
