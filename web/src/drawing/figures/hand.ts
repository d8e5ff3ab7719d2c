/**
 * What the drawings of answers are made of: 120 x 72, ink outline, the grains of the fills, nothing that only colour
 * would tell. Every drawing of this project is put together from these few shapes.
 */
export type Part = { d: string; kind: 'ink' | 'ground' | 'hair' | 'sand' | 'silt' | 'clay' | 'solid' }
export type Figures = Record<string, Record<string, Part[]>>

/**
 * CSS pixels in a mm, by the reference pixel of 96 an inch [published: CSS Values and Units 3]; a calibrated screen
 * says better.
 */
export const NOMINAL_PX_PER_MM = 96 / 25.4

export const ink = (d: string): Part => ({ d, kind: 'ink' })
export const ground = (d: string): Part => ({ d, kind: 'ground' })
export const hair = (d: string): Part => ({ d, kind: 'hair' })
export const silt = (d: string): Part => ({ d, kind: 'silt' })
export const clay = (d: string): Part => ({ d, kind: 'clay' })
export const solid = (d: string): Part => ({ d, kind: 'solid' })
export const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`
export const dots = (places: [number, number][], r = 2): Part => ({
  d: places.map(([x, y]) => circle(x, y, r)).join(''),
  kind: 'sand',
})
/** A body: its ground hides what lies behind, its outline stands. */
export const body = (d: string): Part[] => [ground(d), ink(d)]

export const PALM = hair('M14 60C34 71 86 71 106 60')
export const BALL = circle(60, 36, 24)
export const HEAP = 'M26 60C30 44 42 46 48 34C54 26 66 28 70 36C80 40 88 46 94 60Z'
export const SLAB = 'M20 60V14H100V60Z'
/** A fingertip that comes from the left, its end at x. */
export const fromLeft = (x: number, y: number): Part[] => body(`M2 ${y - 9}H${x - 9}a9 9 0 0 1 0 18H2`)
export const fromRight = (x: number, y: number): Part[] => body(`M118 ${y - 9}H${x + 9}a9 9 0 0 0 0 18H118`)
/** A fingertip that comes from above, its end at y. */
export const fromAbove = (x: number, y: number): Part[] => body(`M${x - 9} 2V${y - 9}a9 9 0 0 0 18 0V2`)
/** A flat hand at the side. */
export const handLeft = body('M2 10H18q9 0 9 9V53q0 9 -9 9H2')
export const handRight = body('M118 10H102q-9 0 -9 9V53q0 9 9 9H118')
export const arrow = (x: number, y: number, length: number): Part =>
  ink(`M${x} ${y}h${length}m${-Math.sign(length) * 7} -5l${Math.sign(length) * 7} 5l${-Math.sign(length) * 7} 5`)

/** Places spread over the slab, the same each time. */
export const spread = (count: number): [number, number][] =>
  Array.from({ length: count }, (_, i): [number, number] => [27 + ((i * 37.3) % 67), 20 + ((i * 22.7) % 34)])

/** A roll at true thickness. */
export const roll = (mm: number, pxPerMm: number): Part[] => {
  const half = (mm * pxPerMm) / 2
  return body(`M12 ${36 - half}H108V${36 + half}H12Z`)
}
