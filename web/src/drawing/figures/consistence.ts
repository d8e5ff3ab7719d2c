import {
  arrow,
  BALL,
  body,
  circle,
  clay,
  dots,
  fromAbove,
  fromLeft,
  fromRight,
  hair,
  handLeft,
  handRight,
  HEAP,
  ink,
  PALM,
  silt,
  SLAB,
  solid,
  spread,
  type Figures,
  type Part,
} from './hand'

const CLOD = 'M40 50L36 34L46 22L66 18L82 28L84 44L72 54Z'
const CLOD_HALVES = [
  ...body('M40 50L36 34L46 22L56 20L54 34L58 52Z'),
  ...body('M64 19L66 18L82 28L84 44L72 54L66 53L62 36Z'),
]
const clods: Record<string, Part[]> = {
  loose: [
    dots(
      [
        [34, 58],
        [44, 50],
        [54, 58],
        [62, 48],
        [72, 58],
        [82, 52],
        [90, 59],
        [50, 60],
        [68, 60],
        [40, 60],
        [78, 60],
        [58, 40],
        [46, 42],
        [74, 44],
      ],
      3,
    ),
  ],
  soft: [
    ...body('M44 58L40 46L50 38L66 40L76 48L74 58Z'),
    dots(
      [
        [34, 60],
        [84, 60],
        [90, 54],
        [30, 54],
        [60, 34],
      ],
      2.6,
    ),
    ...fromAbove(60, 34),
  ],
  firm: [...CLOD_HALVES, ...fromLeft(34, 37), ...fromRight(87, 37)],
  hard: [...body(CLOD), ink('M58 20L54 34L62 40L58 53'), ...handLeft, ...handRight],
  very_hard: [...body(CLOD), clay('M42 30L78 30M40 37L80 37M44 44L80 44'), ...handLeft, ...handRight],
}

const drop = (x: number, y: number, r: number): string =>
  [
    `M${x} ${y - 1.8 * r}Q${x + r * 1.1} ${y - r * 0.3} ${x + r} ${y + r * 0.3}`,
    `A${r} ${r} 0 1 1 ${x - r} ${y + r * 0.3}`,
    `Q${x - r * 1.1} ${y - r * 0.3} ${x} ${y - 1.8 * r}Z`,
  ].join('')
const face = (top = 38): Part[] => body(`M14 ${top}H106V66H14Z`)
const wet = (d: string): Part => ({ d, kind: 'silt' })

const sheared = (offset: number, push: number): Part[] => [
  ...body('M30 40H90V60H30Z'),
  ...body(`M${30 + offset} 20H${90 + offset}V40H${30 + offset}Z`),
  arrow(4, 30, push),
  hair('M22 62H98'),
]
const cut = (gloss: string): Part[] => [PALM, ...body(BALL), hair('M42 22Q60 12 78 22L82 44Q60 54 38 44Z'), silt(gloss)]

export const CONSISTENCE: Figures = {
  dry_clod: clods,
  moist_clod: clods,
  mould_feel: {
    crumbly: [
      PALM,
      dots(
        [
          [30, 54],
          [40, 46],
          [50, 54],
          [60, 42],
          [70, 54],
          [80, 48],
          [90, 56],
          [56, 58],
          [46, 60],
          [74, 60],
        ],
        3.4,
      ),
    ],
    soft: [PALM, ...body('M18 60C18 44 44 42 60 42S102 44 102 60Z')],
    doughy: [PALM, ...body('M30 60C24 30 44 22 60 22S96 30 90 60Z'), hair('M50 22c4 12 16 12 20 0')],
    stiff: [PALM, ...body('M34 60V24L86 20V60Z'), clay('M40 34L80 31M40 44L80 42M40 53L80 52')],
  },
  water_uptake: {
    soaks_in: [...face(), wet('M40 44V60M52 44V62M64 44V62M76 44V60'), hair('M36 38q24 6 44 0')],
    slow: [...face(), ...body('M42 38Q60 20 78 38Z'), wet('M52 44V50M60 44V52M68 44V50')],
    keeps_taking: [
      ...face(),
      ...body(drop(38, 18, 7)),
      ...body(drop(60, 22, 7)),
      ...body(drop(82, 18, 7)),
      wet('M28 44V56M40 44V62M52 44V62M64 44V62M76 44V62M90 44V56'),
    ],
    repels: [
      ...face(46),
      ...body(circle(36, 37, 9)),
      ...body(circle(62, 35, 11)),
      ...body(circle(88, 38, 8)),
      hair('M58 29q4 -4 8 -1'),
    ],
  },
  stiffens_while_worked: {
    true: [
      ...body('M8 56C8 42 24 40 30 40S52 42 52 56Z'),
      arrow(56, 46, 14),
      ...body('M78 58V30L110 27V58Z'),
      clay('M82 38L106 36M82 48L106 47'),
    ],
    false: [
      ...body('M8 56C8 42 24 40 30 40S52 42 52 56Z'),
      arrow(56, 46, 14),
      ...body('M74 56C74 42 88 40 95 40S116 42 116 56Z'),
    ],
  },
  working_minutes: {
    '': [
      ...body(circle(40, 36, 26)),
      ink('M40 18V36L52 44'),
      hair('M40 12v4M64 36h-4M40 60v-4M16 36h4'),
      ...body('M76 60C72 40 82 32 94 32S116 40 112 60Z'),
    ],
  },
  moisture_rounds: {
    '': [
      ...body(circle(44, 40, 20)),
      ...body(drop(92, 26, 9)),
      ink('M72 20Q60 6 44 12m6 -6l-6 6l8 3M72 58Q84 66 92 50m2 8l-2 -8l-7 4'),
    ],
  },
  coherence: {
    none: [
      dots(
        [
          [24, 40],
          [38, 54],
          [50, 34],
          [60, 56],
          [72, 40],
          [86, 54],
          [96, 38],
          [44, 22],
          [78, 24],
          [60, 18],
        ],
        3,
      ),
    ],
    very_slight: [
      dots(
        [
          [36, 58],
          [48, 58],
          [60, 58],
          [72, 58],
          [84, 58],
          [42, 48],
          [54, 48],
          [66, 48],
          [78, 48],
          [50, 38],
          [62, 38],
          [72, 38],
          [60, 28],
        ],
        4,
      ),
    ],
    slight: [
      ...body('M22 56V36Q40 24 58 34V56Z'),
      ...body('M64 60V38Q82 26 100 38V60Z'),
      dots(
        [
          [34, 46],
          [46, 42],
          [76, 48],
          [88, 46],
        ],
        2.4,
      ),
    ],
    coherent: [
      ...body('M22 58C16 36 36 22 60 22S104 36 98 58Z'),
      dots(
        [
          [44, 44],
          [74, 40],
        ],
        2,
      ),
    ],
    strongly_coherent: [
      ...handLeft,
      ...handRight,
      ...body('M26 20C46 30 74 30 94 20V52C74 42 46 42 26 52Z'),
      clay('M32 32H88M32 40H88'),
    ],
  },
  ball_holds: {
    true: [PALM, ...body(circle(60, 36, 25)), clay('M42 28q18 -5 36 0M38 36q22 -5 44 0M42 45q18 -5 36 0')],
    false: [
      PALM,
      ...body('M28 60L34 44L46 42L52 56Z'),
      ...body('M56 60L60 36L76 40L74 58Z'),
      ...body('M80 60L84 48L94 52L96 60Z'),
      dots([
        [24, 62],
        [54, 62],
        [100, 62],
        [50, 36],
        [82, 38],
      ]),
    ],
  },
  moisture: {
    too_dry: [PALM, ...body(circle(60, 36, 25)), ink('M60 11L54 26L64 34L56 46M64 34L80 30M54 26L40 32')],
    too_wet: [PALM, ...body(circle(60, 36, 25)), silt('M48 60v7M60 62v8M72 60v7'), hair('M44 24q8 -8 18 -7')],
    neither: [PALM, ...body(circle(60, 36, 25))],
  },
  toss: {
    breaks: [
      PALM,
      ...body('M30 56L36 42L50 44L52 56Z'),
      ...body('M58 58L64 44L82 48L78 58Z'),
      dots(
        [
          [44, 34],
          [70, 34],
          [26, 46],
          [94, 50],
          [58, 36],
        ],
        2.4,
      ),
      hair('M60 26V6m-5 14l5 6l5 -6'),
    ],
    cracks: [PALM, ...body(circle(60, 44, 18)), ink('M56 27L60 40L52 48M60 40L72 46'), hair('M60 22V4m-5 12l5 6l5 -6')],
    holds: [PALM, ...body(circle(60, 44, 18)), hair('M60 22V4m-5 12l5 6l5 -6')],
  },
  cast_strength: {
    none: [
      PALM,
      ...body(HEAP),
      dots(
        [
          [44, 52],
          [56, 46],
          [68, 54],
          [80, 54],
          [60, 56],
        ],
        2.4,
      ),
    ],
    very_weak: [PALM, ...body('M30 58L36 44L50 46L54 58Z'), ...body('M62 58L66 42L84 46L86 58Z')],
    weak: [
      PALM,
      ...body('M38 54A24 24 0 0 1 56 20L58 32L52 40Z'),
      ...body('M84 52A24 24 0 0 0 68 20L66 34L74 42Z'),
      ...fromAbove(62, 26),
    ],
    moderate: [PALM, ...body(circle(60, 42, 20)), ...fromAbove(60, 23)],
    strong: [PALM, ...body(circle(60, 42, 20)), ink('M60 36L52 46L56 60M60 36L70 48'), ...fromAbove(60, 34)],
    very_strong: [
      PALM,
      ...body(circle(60, 42, 20)),
      clay('M46 40H74M42 47H78M46 54H74'),
      ...fromAbove(60, 24),
      solid('M40 14l8 4l-8 4zM80 14l-8 4l8 4z'),
    ],
  },
  finest_wire_mm: {
    none: [
      ...body('M12 30H34V44H12Z'),
      ...body('M42 31H58V44H42Z'),
      ...body('M68 30H84V45H68Z'),
      ...body('M92 31H108V43H92Z'),
    ],
  },
  ring_forms: {
    true: [...body(circle(60, 36, 29)), ...body(circle(60, 36, 20))],
    false: [
      ...body('M31 36A29 29 0 0 1 54 8L56 17A20 20 0 0 0 40 36Z'),
      ...body('M66 8A29 29 0 0 1 88 30L79 33A20 20 0 0 0 65 17Z'),
      ...body('M86 46A29 29 0 0 1 34 50L42 45A20 20 0 0 0 78 43Z'),
    ],
  },
  rods: {
    cannot: [
      ...body('M14 40L24 26L38 30L34 46Z'),
      ...body('M48 44L54 28L70 30L66 46Z'),
      ...body('M82 46L86 30L104 32L100 46Z'),
    ],
    fracture: [
      ...body('M22 62V38Q22 12 60 12T98 38V62H80V40Q80 28 60 28T40 40V62Z'),
      ink('M46 14L50 30M58 12L58 28M72 13L68 29M84 18L76 31'),
    ],
    without_fracture: [
      ...body('M22 62V38Q22 12 60 12T98 38V62H80V40Q80 28 60 28T40 40V62Z'),
      clay('M28 60V40Q30 18 60 18T92 40V60'),
    ],
  },
  squeezed_surface: {
    rough_torn: [
      ...body(
        'M20 20L32 14L42 22L56 12L66 22L80 14L88 22L100 18L96 34L102 44L94 58' +
          'L80 52L68 60L54 52L42 60L30 54L20 58L26 44L18 34Z',
      ),
    ],
    smooth_dull: [...body('M18 36C18 18 40 14 60 14S102 18 102 36S80 58 60 58S18 54 18 36Z')],
    moderately_shiny: [
      ...body('M18 36C18 18 40 14 60 14S102 18 102 36S80 58 60 58S18 54 18 36Z'),
      hair('M34 28q12 -8 26 -7'),
    ],
    shiny: [
      ...body('M18 36C18 18 40 14 60 14S102 18 102 36S80 58 60 58S18 54 18 36Z'),
      hair('M34 28q12 -8 26 -7M36 36q14 -9 34 -8'),
      ink('M84 26v12M78 32h12M80 28l8 8M88 28l-8 8'),
    ],
  },
  shine: {
    none: cut(''),
    slight: cut('M48 30L58 26'),
    moderate: cut('M46 32L62 25M50 40L70 31'),
    strong: cut('M44 30L60 23M46 37L70 26M50 44L76 33'),
  },
  thumbprint: {
    true: [
      ...body('M22 60V24Q60 8 98 24V60Z'),
      hair('M46 52Q46 24 60 24T74 52M52 54Q52 32 60 32T68 54M58 54V42q2 -4 4 0V54'),
    ],
    false: [...body('M22 60V24Q60 8 98 24V60Z'), hair('M46 52Q46 24 60 24T74 52')],
  },
  shear_resistance: {
    none: sheared(28, 24),
    slight: sheared(21, 20),
    moderate: sheared(14, 17),
    firm: sheared(6, 20),
    very_firm: [...sheared(0, 22), arrow(4, 22, 22), arrow(4, 38, 22)],
  },
  feel_words: {
    spongy: [
      ...body('M20 60V28Q60 52 100 28V60Z'),
      ...fromAbove(60, 36),
      dots(
        [
          [34, 50],
          [48, 54],
          [74, 54],
          [88, 50],
        ],
        2,
      ),
    ],
    greasy: [...fromLeft(70, 24), ...fromLeft(70, 50), ...body('M74 26Q96 30 96 37T74 48Q82 37 74 26Z')],
    silky: [
      ...body(SLAB),
      silt('M28 26q8 -6 16 0t16 0t16 0t16 0M28 38q8 -6 16 0t16 0t16 0t16 0M28 50q8 -6 16 0t16 0t16 0t16 0'),
    ],
    soapy: [
      ...body('M26 60V34Q26 26 34 26H86Q94 26 94 34V60Z'),
      hair(circle(40, 18, 6) + circle(58, 14, 8) + circle(76, 19, 5)),
    ],
    smooth: body(SLAB),
    like_modelling_clay: [...body('M16 60L22 34H46L52 60Z'), ...body(circle(84, 44, 16)), ...body('M58 22H100V32H58Z')],
  },
  blind_spots: {
    organic: [...body(SLAB), ink('M40 52Q42 28 66 22Q68 46 40 52L58 34M84 54Q80 42 92 34Q98 46 84 54')],
    calcareous: [
      ...body('M20 62V44H100V62Z'),
      hair(
        circle(36, 36, 4) +
          circle(48, 26, 6) +
          circle(60, 36, 5) +
          circle(72, 24, 4) +
          circle(84, 34, 6) +
          circle(60, 16, 3),
      ),
    ],
    sodic: [
      hair('M12 26H108L98 64H22Z'),
      ...body('M46 58L50 46L66 44L74 58Z'),
      silt('M36 52h6M34 58h6M80 52h6M80 59h8M44 42h6M70 40h7M58 36h6'),
    ],
    micaceous: [
      ...body(SLAB),
      ink('M34 28l8 -5l8 5l-8 5zM66 44l9 -5l9 5l-9 5zM74 22l6 -4l6 4l-6 4zM38 48l6 -4l6 4l-6 4z'),
    ],
    volcanic_ash: [
      ...body('M16 62L48 24H72L104 62Z'),
      hair('M54 24q-6 -10 4 -14q10 -4 4 -8'),
      dots(
        [
          [40, 54],
          [56, 46],
          [70, 56],
          [84, 56],
          [60, 36],
        ],
        1.8,
      ),
    ],
    subplastic: [
      PALM,
      ...body(circle(60, 36, 26)),
      ...[
        [50, 28],
        [66, 26],
        [74, 40],
        [58, 42],
        [46, 44],
        [62, 54],
      ].flatMap(([x, y]) => [clay(circle(x!, y!, 6)), ink(circle(x!, y!, 6))]),
    ],
    stones_left_in: [
      PALM,
      ...body(circle(60, 36, 26)),
      ...body('M44 34L50 26L60 28L58 38L48 40Z'),
      ...body('M62 48L68 40L78 44L74 52Z'),
    ],
    moisture_doubtful: [...body(drop(42, 40, 16)), ink('M72 26q4 -12 16 -8q12 5 2 16q-8 7 -8 14M82 58v1')],
  },
  coarse_fragments_percent: {
    '': [
      ...body(SLAB),
      ...body('M30 30L38 22L50 26L46 38L34 38Z'),
      ...body('M62 50L70 40L84 44L80 56Z'),
      ...body('M74 26L82 20L92 26L86 32Z'),
      dots(spread(9), 1.4),
    ],
  },
}
