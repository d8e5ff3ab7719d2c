import { seeded, tenth } from './random'

export type Composition = { sand: number; silt: number; clay: number }
type Place = { x: number; y: number; turn: number; size: number }

/** px: side of the tile that repeats. */
export const TILE = 80
const PLACES = 100
const CLAY_LINES = 34
const CANDIDATES = 24

/**
 * A hundred places spread evenly over the tile, in a fixed order. Sand takes them from the front as dots, silt from the
 * back as dashes, a share of x % takes x places, and clay draws level lines under both: so a composition that holds one
 * percent more sand has one dot more, and neighbouring classes look related.
 */
const places: Place[] = (() => {
  const random = seeded(11)
  const chosen: Place[] = []
  const around = (a: number, b: number) => Math.min(Math.abs(a - b), TILE - Math.abs(a - b))
  while (chosen.length < PLACES) {
    let best: Place | undefined
    let farthest = -1
    for (let i = 0; i < CANDIDATES; i++) {
      const place = { x: random() * TILE, y: random() * TILE, turn: random() - 0.5, size: random() }
      const nearest = Math.min(
        ...chosen.map((other) => around(other.x, place.x) ** 2 + around(other.y, place.y) ** 2),
        1e9,
      )
      if (nearest > farthest) {
        farthest = nearest
        best = place
      }
    }
    chosen.push(best!)
  }
  return chosen
})()

/** How many marks of each kind a tile holds. */
export function marks({ sand, silt, clay }: Composition): { dots: number; dashes: number; lines: number } {
  return {
    dots: Math.round((sand * PLACES) / 100),
    dashes: Math.round((silt * PLACES) / 100),
    lines: Math.round((clay * CLAY_LINES) / 100),
  }
}

/** The tile as three SVG paths. Marks that cross an edge are drawn on the other side too, so that tiles join. */
export function tile(composition: Composition): { dots: string; dashes: string; lines: string } {
  const count = marks(composition)
  const half = TILE / 2 + 1
  let lines = ''
  for (let i = 0; i < count.lines; i++) {
    const y = tenth(((i + 0.5) * TILE) / count.lines)
    lines += `M-1 ${y}q${half / 2} -1.4 ${half} 0t${half} 0`
  }
  let dashes = ''
  for (const { x, y, turn } of places.slice(PLACES - count.dashes)) {
    const dx = 3.4 * Math.cos(turn / 2)
    const dy = 3.4 * Math.sin(turn / 2)
    for (const shift of shifts(x, 5))
      dashes += `M${tenth(x + shift - dx)} ${tenth(y - dy)}L${tenth(x + shift + dx)} ${tenth(y + dy)}`
  }
  let dots = ''
  for (const { x, y, size } of places.slice(0, count.dots)) {
    const r = tenth(1.1 + size)
    for (const dx of shifts(x, r))
      for (const dy of shifts(y, r))
        dots += `M${tenth(x + dx - r)} ${tenth(y + dy)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`
  }
  return { dots, dashes, lines }
}

const shifts = (at: number, reach: number): number[] => [
  0,
  ...(at < reach ? [TILE] : []),
  ...(at > TILE - reach ? [-TILE] : []),
]

type Named = { system?: string | null; code?: string | null }

/** The id of a name's fill; signs that an address cannot hold are spelt out. */
export const grainId = ({ system, code }: Named, fine = false): string =>
  `grain-${system}-${code!.replace('+', '-heavy').replace(/-$/, '-light').replace('/', '-')}${fine ? '-fine' : ''}`

/** The fill of a texture class, a field grade or a group, as defined by GrainDefs. */
export const fillOf = (name: Named | null | undefined, fine = false): string =>
  name?.code ? `url(#${grainId(name, fine)})` : 'none'
