import { describe, expect, it } from 'vitest'
import { horizonMarks } from './horizonMarks'

const BOX = { x: 58, width: 150, top: 100, bottom: 220 }
const horizon = (described: object) => ({ id: 3, described }) as Parameters<typeof horizonMarks>[0]
const count = (path: string) => path.split('M').length - 1
const numbers = (path: string) =>
  [...path.matchAll(/M(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const)

describe('the marks of a horizon', () => {
  it('are none where nothing was written', () =>
    expect(horizonMarks(horizon({}), BOX)).toEqual({ mottles: '', roots: '', stones: '' }))

  it.each([
    ['mottles', 'mottle_abundance', ['few', 'common', 'many']],
    ['roots', 'roots', ['few', 'common', 'many']],
  ] as const)('grow with %s', (kind, name, words) => {
    const counts = words.map((word) => count(horizonMarks(horizon({ [name]: word }), BOX)[kind]))
    expect(counts[0]).toBeGreaterThan(0)
    expect(counts[1]).toBeGreaterThan(counts[0]!)
    expect(counts[2]).toBeGreaterThan(counts[1]!)
    expect(horizonMarks(horizon({ [name]: 'none' }), BOX)[kind]).toBe('')
  })

  it('grow with the stones, and stay within the column', () => {
    const counts = [2, 30, 80].map((percent) =>
      count(horizonMarks(horizon({ fragments_percent: percent }), BOX).stones),
    )
    expect(counts).toEqual([...counts].sort((a, b) => a - b))
    for (const path of Object.values(
      horizonMarks(horizon({ fragments_percent: 90, mottle_abundance: 'many', roots: 'many' }), BOX),
    ))
      for (const [x, y] of numbers(path)) {
        expect(x).toBeGreaterThanOrEqual(BOX.x - 2)
        expect(x).toBeLessThanOrEqual(BOX.x + BOX.width)
        expect(y).toBeGreaterThanOrEqual(BOX.top)
        expect(y).toBeLessThanOrEqual(BOX.bottom)
      }
  })

  it('are the same each time it is drawn', () =>
    expect(horizonMarks(horizon({ roots: 'many' }), BOX)).toEqual(horizonMarks(horizon({ roots: 'many' }), BOX)))
})
