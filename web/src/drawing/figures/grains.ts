import { body, circle, clay, dots, hair, ink, PALM, silt, SLAB, solid, spread, type Figures, type Part } from './hand'

const fingers = (gap: number, threads: number): Part[] => [
  ...body(`M8 ${26 - gap}H70a9 9 0 0 0 0 -18H8`),
  ...body(`M8 ${46 + gap}H70a9 9 0 0 1 0 18H8`),
  ...Array.from({ length: threads }, (_, i) => hair(`M${34 + i * 13} ${26 - gap}q3 ${10 + gap} 0 ${20 + 2 * gap}`)),
]
const SMEAR = 'M24 54C34 38 86 38 96 54C86 64 34 64 24 54Z'
const lens = (grains: [number, number][]): Part[] => [
  ...body(circle(52, 34, 28)),
  hair('M73 54L104 70'),
  ink('M76 53L106 67L102 72L72 57Z'),
  dots(grains, 2.2),
]
const inLens = (count: number): [number, number][] =>
  Array.from({ length: count }, (_, i): [number, number] => [
    52 + 22 * Math.sqrt((i + 0.5) / count) * Math.cos(i * 2.4),
    34 + 22 * Math.sqrt((i + 0.5) / count) * Math.sin(i * 2.4),
  ])
const dish = (count: number): Part[] => [
  hair('M10 40Q60 84 110 40'),
  silt('M96 52q8 4 8 14M104 46q8 4 8 12'),
  dots(
    Array.from({ length: count }, (_, i): [number, number] => [
      60 + ((i * 23.7) % 52) - 26,
      56 - Math.abs(((i * 23.7) % 52) - 26) * 0.16 - (i % 4) * 3.4,
    ]),
    2.1,
  ),
]
const tip = (marks: Part[]): Part[] => [
  ...body('M6 10H70Q106 10 106 36T70 62H6'),
  hair('M92 36Q92 22 72 22M92 36Q92 50 72 50M82 36Q82 28 70 28M82 36Q82 44 70 44M72 36H64'),
  ...marks,
]
/** Grains of one diameter at true size, as close as they lie in a pinch. */
const atTrueSize = (mm: number, pxPerMm: number): Part[] => {
  const r = (mm * pxPerMm) / 2
  const step = Math.max(r * 3.4, 3.4)
  const places: [number, number][] = []
  for (let y = 10; y < 64; y += step)
    for (let x = 14 + ((y / step) % 2) * step * 0.5; x < 108; x += step)
      places.push([Math.round(x * 10) / 10, Math.round(y * 10) / 10])
  return [hair('M10 6H110V68H10Z'), { d: places.map(([x, y]) => circle(x, y, r)).join(''), kind: 'solid' }]
}
/**
 * mm: the middle of each grade; very fine 0.05-0.10, fine 0.10-0.25, medium 0.25-0.5, coarse 0.5-1 [published: Soil
 * Survey Manual, USDA Handbook 18, 2017, ch. 3].
 */
export const GRADE_MM: Record<string, number> = { coarse: 0.75, medium: 0.375, fine: 0.175, very_fine: 0.075 }
export const sandGrades = (pxPerMm: number): Record<string, Part[]> =>
  Object.fromEntries(Object.entries(GRADE_MM).map(([grade, mm]) => [grade, atTrueSize(mm, pxPerMm)]))

export const GRAINS: Figures = {
  wet_rub: {
    very_gritty: [
      PALM,
      ...body(SMEAR),
      dots(
        [
          [36, 52],
          [46, 47],
          [52, 57],
          [60, 50],
          [68, 58],
          [74, 48],
          [84, 53],
          [44, 56],
          [62, 44],
        ],
        2.6,
      ),
    ],
    neither: [
      PALM,
      ...body(SMEAR),
      dots(
        [
          [48, 50],
          [70, 55],
        ],
        2.2,
      ),
      silt('M54 56h8M60 46h8'),
    ],
    very_smooth: [PALM, ...body(SMEAR), silt('M36 50q12 -6 24 0t24 0M36 57q12 -6 24 0t24 0')],
  },
  grittiness: {
    none: body(SLAB),
    slight: [
      ...body(SLAB),
      dots(
        [
          [42, 28],
          [76, 46],
        ],
        2.4,
      ),
    ],
    moderate: [
      ...body(SLAB),
      dots(
        [
          [32, 24],
          [52, 36],
          [74, 22],
          [88, 44],
          [42, 52],
          [66, 50],
        ],
        2.4,
      ),
    ],
    very: [
      ...body(SLAB),
      dots(
        [
          [28, 22],
          [40, 30],
          [52, 20],
          [64, 32],
          [76, 22],
          [90, 30],
          [30, 42],
          [46, 46],
          [60, 52],
          [74, 44],
          [90, 52],
          [36, 54],
        ],
        2.6,
      ),
    ],
    extreme: [
      ...body(SLAB),
      dots(
        [...Array(28)].map((_, i): [number, number] => [27 + (i % 7) * 11, 20 + Math.floor(i / 7) * 11]),
        3.2,
      ),
    ],
  },
  stickiness: { non: fingers(3, 0), slightly: fingers(2, 1), moderately: fingers(2, 3), very: fingers(4, 5) },
  grains_seen: { none: lens([]), some: lens(inLens(6)), many: lens(inLens(30)) },
  decanted_sand: { none: dish(0), trace: dish(4), some: dish(16), most: dish(44) },
  floury_feel: {
    none: fingers(4, 0),
    some: [...fingers(6, 0), silt('M30 32h6M46 38h6M62 33h6M40 42h5')],
    strong: [
      ...fingers(6, 0),
      silt('M22 30h6M34 34h6M46 29h6M58 34h6M70 30h6M26 40h6M38 44h6M50 40h6M62 45h6M74 40h6M86 35h6M18 46h6'),
    ],
  },
  finger_stain: {
    clean: tip([]),
    grains_stick: tip([
      dots(
        [
          [96, 28],
          [88, 46],
          [76, 18],
          [74, 54],
          [98, 42],
          [84, 24],
        ],
        2.4,
      ),
    ]),
    stained: tip([clay('M88 24L96 30M86 28L97 37M84 34L96 43M82 40L92 49M80 46L86 53M78 20L88 26')]),
  },
  sand_estimate: {
    '': [
      ...body('M10 26H110V46H10Z'),
      dots(
        spread(16).map(([x, y]): [number, number] => [12 + (x - 27) * 0.7, 29 + (y - 20) * 0.4]),
        1.8,
      ),
      ink('M60 18V54M35 22V50'),
      solid('M43 12h9l-4.5 7z'),
    ],
  },
  clay_estimate: {
    '': [
      ...body(
        'M24 66V40q0 -6 5 -6t5 6V24q0 -6 5 -6t5 6V20q0 -6 5 -6t5 6v4q0 -6 5 -6t5 6V46q6 -10 12 -6q4 4 -2 12L62 66Z',
      ),
      clay('M84 30h24M84 38h24M84 46h24'),
    ],
  },
}
