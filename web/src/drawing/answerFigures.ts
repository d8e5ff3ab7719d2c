/**
 * A small drawing for each answer of a test, 120 x 72: what it looks like in the hand. One style: ink outline, the
 * grains of the fills, nothing that only colour would tell. Rolls are drawn at true thickness for 96 px an inch.
 */
type Part = { d: string; kind: 'ink' | 'solid' | 'ground' | 'hair' | 'sand' | 'silt' | 'clay' }
const PX_PER_MM = 96 / 25.4

const ink = (d: string): Part => ({ d, kind: 'ink' })
const ground = (d: string): Part => ({ d, kind: 'ground' })
const hair = (d: string): Part => ({ d, kind: 'hair' })
const circle = (x: number, y: number, r: number): string => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`
const dots = (places: [number, number][], r = 2): Part => ({ d: places.map(([x, y]) => circle(x, y, r)).join(''), kind: 'sand' })
const palm = hair('M14 58C34 70 86 70 106 58')
const body = (d: string): Part[] => [ground(d), ink(d)]

const BALL = circle(60, 36, 25)
const HEAP = 'M26 60C30 44 42 46 48 34C54 26 66 28 70 36C80 40 88 46 94 60Z'
const crumbs: [number, number][] = [[30, 54], [40, 46], [50, 54], [60, 42], [70, 54], [80, 48], [90, 56], [56, 58], [46, 60], [74, 60]]
const roll = (mm: number): Part[] => {
  const half = (mm * PX_PER_MM) / 2
  return body(`M12 ${36 - half}H108V${36 + half}H12Z`)
}
const fingers = (gap: number, threads: number): Part[] => [
  ...body(`M8 ${26 - gap}H70a9 9 0 0 0 0 -18H8`),
  ...body(`M8 ${46 + gap}H70a9 9 0 0 1 0 18H8`),
  ...Array.from({ length: threads }, (_, i) => hair(`M${34 + i * 13} ${26 - gap}q3 ${10 + gap} 0 ${20 + 2 * gap}`)),
]

const FIGURES: Record<string, Record<string, Part[]>> = {
  ball_holds: {
    true: [palm, ...body(BALL), { d: 'M42 28q18 -5 36 0M38 36q22 -5 44 0M42 45q18 -5 36 0', kind: 'clay' }],
    false: [palm, ...body('M28 60L34 44L46 42L52 56Z'), ...body('M56 60L60 36L76 40L74 58Z'), ...body('M80 60L84 48L94 52L96 60Z'), dots([[24, 62], [54, 62], [100, 62], [50, 36], [82, 38]])],
  },
  moisture: {
    too_dry: [palm, ...body(BALL), ink('M60 11L54 26L64 34L56 46M64 34L80 30M54 26L40 32')],
    too_wet: [palm, ...body(BALL), { d: 'M48 60v7M60 62v8M72 60v7', kind: 'silt' }, hair('M44 24q8 -8 18 -7')],
    neither: [palm, ...body(BALL)],
  },
  mould_feel: {
    crumbly: [palm, dots(crumbs, 3.4)],
    soft: [palm, ...body('M18 60C18 44 44 42 60 42S102 44 102 60Z')],
    doughy: [palm, ...body('M30 60C24 30 44 22 60 22S96 30 90 60Z'), hair('M50 22c4 12 16 12 20 0')],
    stiff: [palm, ...body('M34 60V24L86 20V60Z'), { d: 'M40 34L80 31M40 44L80 42M40 53L80 52', kind: 'clay' }],
  },
  wet_rub: {
    very_gritty: [palm, ...body('M24 54C34 38 86 38 96 54C86 64 34 64 24 54Z'), dots([[36, 52], [46, 47], [52, 57], [60, 50], [68, 58], [74, 48], [84, 53], [44, 56], [62, 44]], 2.6)],
    neither: [palm, ...body('M24 54C34 38 86 38 96 54C86 64 34 64 24 54Z'), dots([[48, 50], [70, 55]], 2.2), { d: 'M54 56h8M60 46h8', kind: 'silt' }],
    very_smooth: [palm, ...body('M24 54C34 38 86 38 96 54C86 64 34 64 24 54Z'), { d: 'M36 50q12 -6 24 0t24 0M36 57q12 -6 24 0t24 0', kind: 'silt' }],
  },
  grittiness: {
    none: [...body('M20 60V14H100V60Z')],
    slight: [...body('M20 60V14H100V60Z'), dots([[42, 28], [76, 46]], 2.4)],
    moderate: [...body('M20 60V14H100V60Z'), dots([[32, 24], [52, 36], [74, 22], [88, 44], [42, 52], [66, 50]], 2.4)],
    very: [...body('M20 60V14H100V60Z'), dots([[28, 22], [40, 30], [52, 20], [64, 32], [76, 22], [90, 30], [30, 42], [46, 46], [60, 52], [74, 44], [90, 52], [36, 54]], 2.6)],
    extreme: [...body('M20 60V14H100V60Z'), dots([...Array(28)].map((_, i): [number, number] => [27 + (i % 7) * 11, 20 + Math.floor(i / 7) * 11]), 3.2)],
  },
  plasticity: {
    non: [hair('M12 36h20M40 36h14M62 36h18M88 36h20')],
    slightly: roll(6),
    moderately: roll(4),
    very: roll(2),
  },
  stickiness: { non: fingers(3, 0), slightly: fingers(2, 1), moderately: fingers(2, 3), very: fingers(4, 5) },
  ribbon_forms: { true: body('M12 26H96q10 0 10 10v10h-12v-6H12Z'), false: [...body('M12 26H36l-4 8l4 8H12Z'), ...body(HEAP)] },
}

/** @returns the parts of the drawing, or nothing where an answer has none */
export const figureOf = (test: string, state: unknown): Part[] | undefined => FIGURES[test]?.[String(state)]
