import { body, clay, dots, hair, silt, type Figures, type Part } from './hand'

/** The edge of the finger that a ribbon leaves. */
const EDGE = body('M2 22H18q8 0 8 8V44q0 8 -8 8H2')
/** A band from the finger, level and then hanging. */
const hanging = (length: number, thick: number, fall: number): Part[] => {
  const [top, bottom, end] = [38 - thick / 2, 38 + thick / 2, 26 + length]
  return body(
    `M26 ${top}H${end - fall}Q${end} ${top} ${end} ${top + fall}L${end} ${bottom + fall}` +
      `H${end - thick}Q${end - thick} ${bottom} ${end - fall - thick / 2} ${bottom}H26Z`,
  )
}
const straight = (length: number, thick: number): Part[] =>
  body(`M26 ${38 - thick / 2}H${26 + length}l-3 ${thick * 0.3}l4 ${thick * 0.3}l-3 ${thick * 0.4}H26Z`)

export const RIBBONS: Figures = {
  ribbon_forms: {
    true: [...EDGE, ...hanging(70, 8, 14)],
    false: [
      ...EDGE,
      ...straight(10, 10),
      ...body('M50 62L54 50L68 52L70 62Z'),
      dots(
        [
          [82, 60],
          [92, 58],
          [44, 60],
        ],
        2,
      ),
    ],
  },
  ribbons: {
    // The two ways that are taught: over the second knuckle of the bent finger, or off the side of the straight one.
    second_knuckle: [
      ...body('M4 36H58q16 0 16 13t-16 13H30q-6 0 -6 -6t6 -6h22'),
      ...body('M70 30H94q10 0 10 10V66H96V44q0 -6 -6 -6H66Z'),
      ...body('M4 10H54q14 0 18 10t-6 14L30 32H4'),
      hair('M58 16q8 2 8 9M34 50H52M76 24l6 -6m0 6v-6h-6'),
    ],
    side_of_finger: [
      ...body('M68 40V16q0 -10 10 -10H98V14H84q-6 0 -6 6V40Z'),
      ...body('M4 40H96q12 0 12 9t-12 9H4'),
      ...body('M22 70Q28 44 58 36q14 -2 16 8t-10 14L44 70'),
      hair('M62 40q8 0 8 6M96 44q6 0 6 5M90 30V18m-5 6l5 -6l5 6'),
    ],
    broke: [...EDGE, ...straight(54, 8), ...body('M86 54L104 58L102 66L84 62Z')],
    folded: [...EDGE, ...hanging(64, 8, 22)],
    never_broke: [...EDGE, ...body('M26 28H118V48H26Z'), hair('M104 38h12m-5 -4l5 4l-5 4')],
    torn: [
      ...EDGE,
      ...body('M26 34H56l-4 3l6 3l-5 4H26Z'),
      ...body('M76 32L98 36L96 46L74 43l5 -4z'),
      hair('M56 37q10 -4 20 -1M56 41q10 3 19 0'),
    ],
  },
  ribbon_character: {
    none: [
      ...EDGE,
      dots(
        [
          [40, 58],
          [52, 62],
          [62, 56],
          [74, 61],
          [86, 58],
        ],
        2.6,
      ),
    ],
    stub: [...EDGE, ...straight(12, 11)],
    flakes: [
      ...EDGE,
      ...body('M30 34L42 32L44 40L32 42Z'),
      ...body('M50 42L64 38L66 46L54 50Z'),
      ...body('M72 50L86 48L88 56L76 60Z'),
      silt('M34 37h6M56 44h6M78 54h6'),
    ],
    short_thick: [...EDGE, ...straight(34, 18)],
    thin: [...EDGE, ...hanging(64, 7, 16)],
    very_thin: [...EDGE, ...hanging(88, 4, 28), clay('M30 38H84')],
  },
}
