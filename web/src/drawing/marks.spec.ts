import { describe, expect, it } from 'vitest'
import { figureOf } from './answerFigures'
import { fillOf, TILE } from './grain'
import { ribbonPath } from './ribbon'
import { field, frame, widthAt } from './triangle'

/** Every number of a path that is an x, for paths of absolute M, L, H and C only. */
const rightmost = (d: string) => Math.max(...[...d.matchAll(/(-?[\d.]+) -?[\d.]+/g)].map(([, x]) => Number(x)))

describe('a ribbon', () => {
  it.each(['broke', 'never_broke', 'torn'])('reaches its true length when it %s', (ended) => {
    expect(rightmost(ribbonPath(10, 200, 50, 12, ended, 1))).toBeGreaterThanOrEqual(199)
    expect(rightmost(ribbonPath(10, 200, 50, 12, ended, 1))).toBeLessThanOrEqual(207)
  })
  it('hangs over where it folded', () => {
    const d = ribbonPath(10, 200, 50, 12, 'folded', 1)
    expect(d).toContain('C')
    expect(rightmost(d)).toBeCloseTo(204, 0)
  })
  it('is drawn the same each time, and differently from its neighbour', () => {
    expect(ribbonPath(0, 90, 5, 9, 'broke', 3)).toBe(ribbonPath(0, 90, 5, 9, 'broke', 3))
    expect(ribbonPath(0, 90, 5, 9, 'broke', 3)).not.toBe(ribbonPath(0, 90, 5, 9, 'broke', 4))
  })
})

describe('the triangle', () => {
  it('knows how wide a region is at a height', () => {
    const f = frame(212, 6)
    const clayLoam = [
      [45, 27],
      [20, 27],
      [20, 40],
      [45, 40],
    ]
    expect(widthAt(f, clayLoam, 33)).toBeCloseTo((25 / 100) * f.side)
  })
  it('draws each kind of grain where it belongs', () => {
    const f = frame(300, 10)
    const { dots, lines } = field(f, 8)
    const mean = (d: string, pick: 1 | 2) => {
      const values = [...d.matchAll(/M(-?[\d.]+) (-?[\d.]+)/g)].map((m) => Number(m[pick]))
      return values.reduce((a, b) => a + b) / values.length
    }
    expect(mean(dots, 1)).toBeLessThan(150)
    expect(mean(lines, 2)).toBeLessThan(mean(dots, 2))
  })
})

describe('fills', () => {
  it('refer to the class, or to none', () => {
    expect(fillOf({ system: 'usda', code: 'SICL' })).toBe('url(#grain-usda-SICL)')
    expect(fillOf({ system: 'australia', code: 'CL-' }, true)).toBe('url(#grain-australia-CL-light-fine)')
    expect(fillOf(null)).toBe('none')
    expect(TILE).toBe(80)
  })
})

describe('drawings of answers', () => {
  it('exist for the tests that are drawn, and for no other', () => {
    for (const state of ['non', 'slightly', 'moderately', 'very']) expect(figureOf('plasticity', state)).toBeDefined()
    expect(figureOf('ball_holds', true)).toBeDefined()
    expect(figureOf('weather', 'fair')).toBeUndefined()
  })
  it('show grains at the size they have on this screen', () => {
    const radius = (grade: string, pxPerMm: number) =>
      Number(figureOf('sand_grade', grade, pxPerMm)![1]!.d.match(/a([\d.]+) /)![1])
    expect(radius('coarse', 4) / 4).toBeCloseTo(0.75 / 2)
    expect(radius('very_fine', 8)).toBeCloseTo(2 * radius('very_fine', 4))
  })
  it('show rolls of 6, 4 and 2 mm at true thickness for 96 px an inch', () => {
    const thickness = ['slightly', 'moderately', 'very'].map((state) => {
      const [, top, bottom] = figureOf('plasticity', state)![0]!.d.match(/M12 ([\d.]+)H108V([\d.]+)/)!
      return (Number(bottom) - Number(top)) / (96 / 25.4)
    })
    thickness.forEach((mm, i) => expect(mm).toBeCloseTo([6, 4, 2][i]!))
  })
})
