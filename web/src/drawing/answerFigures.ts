import { CONSISTENCE } from './figures/consistence'
import { GRAINS, sandGrades } from './figures/grains'
import { NOMINAL_PX_PER_MM, hair, roll, type Figures, type Part } from './figures/hand'
import { RIBBONS } from './figures/ribbons'

/** A small drawing for each answer of a test, 120 x 72: what it looks like in the hand. */
const FIGURES: Figures = { ...CONSISTENCE, ...GRAINS, ...RIBBONS }

/** Drawings that mean their size: rolls, wires and grains. They are shown unscaled, at the screen's own mm. */
const AT_TRUE_SIZE: Record<string, (pxPerMm: number) => Record<string, Part[]>> = {
  plasticity: (px) => ({
    non: [hair('M12 36h20M40 36h14M62 36h18M88 36h20')],
    slightly: roll(6, px),
    moderately: roll(4, px),
    very: roll(2, px),
  }),
  finest_wire_mm: (px) => ({ ...CONSISTENCE.finest_wire_mm, '7': roll(7, px), '3': roll(3, px) }),
  sand_grade: sandGrades,
}
export const meansItsSize = (test: string): boolean => test in AT_TRUE_SIZE

/**
 * @param state an answer, or '' for a test that is no choice
 * @param pxPerMm CSS pixels in a mm on this screen
 * @returns the parts of the drawing, or nothing where there is none
 */
export const figureOf = (test: string, state: unknown, pxPerMm: number = NOMINAL_PX_PER_MM): Part[] | undefined =>
  (AT_TRUE_SIZE[test]?.(pxPerMm) ?? FIGURES[test])?.[String(state)]
