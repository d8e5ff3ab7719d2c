import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { layOut } from '@/fieldbook/land'
import type { Site } from '@/api'
import { marks, tile } from './grain'
import { niceStep, spread } from './scale'
import { at, frame, under } from './triangle'

describe('grain', () => {
  it('draws one more mark for one more percent, and the same for the same', () => {
    expect(marks({ sand: 40, silt: 40, clay: 20 })).toEqual({ dots: 40, dashes: 40, lines: 7 })
    const [less, more] = [39, 40].map((sand) => tile({ sand, silt: 40, clay: 20 }).dots)
    expect(more!.startsWith(less!)).toBe(true)
  })
})

describe('triangle', () => {
  it('stands on sand and silt with clay on top', () => {
    const f = frame(220, 10)
    expect(at(f, 100, 0)).toEqual([10, 10 + f.height])
    expect(at(f, 0, 0)).toEqual([210, 10 + f.height])
    expect(at(f, 0, 100)).toEqual([110, 10])
  })
})

describe('a place in the triangle', () => {
  it.each([
    [40, 20],
    [0, 100],
    [100, 0],
    [0, 0],
  ])('is %i sand, %i clay again', (sand, clay) => {
    const f = frame(420, 10)
    expect(under(f, ...at(f, sand, clay))).toEqual({ sand, clay })
  })
  it('stays within it', () => {
    const f = frame(420, 10)
    expect(under(f, -50, 900)).toEqual({ sand: 100, clay: 0 })
    expect(under(f, 900, -50)).toEqual({ sand: 0, clay: 100 })
  })
})

describe('scale', () => {
  it.each([
    [130, 600, 46, 10],
    [40, 600, 46, 5],
    [12, 600, 46, 1],
  ])('labels %i cm on %i px every %i px at most', (span, px, room, step) => {
    expect(niceStep(span, px, room)).toBe(step)
  })
  it('moves labels apart and back into the room', () => {
    expect(spread([0, 10, 20], [30, 30, 30], 0, 200)).toEqual([0, 30, 60])
    expect(spread([150, 160], [30, 30], 0, 200)).toEqual([140, 170])
  })
})

describe('land', () => {
  it('begins a new row where the page ends', () => {
    const site = { profiles: [{}, {}, {}] } as Site
    expect(layOut([site, site], 400, 100, 40).map((row) => row.plots.length)).toEqual([3, 3])
    expect(layOut([site], 160, 100, 40).map((row) => row.plots.length)).toEqual([1, 1, 1])
  })
})

// WCAG 2.2: contrast is (L1 + 0.05)/(L2 + 0.05) of relative luminances.
describe('tokens', () => {
  const css = readFileSync(new URL('../style/tokens.css', import.meta.url), 'utf8')
  const theme = (block: string) =>
    Object.fromEntries([...block.matchAll(/--([\w-]+): (#\w{6})/g)].map(([, name, value]) => [name!, value!]))
  const luminance = (hex: string) => {
    const [r, g, b] = [1, 3, 5]
      .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
      .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4))
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
  }
  const contrast = (a: string, b: string) => {
    const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p)
    return (x! + 0.05) / (y! + 0.05)
  }
  const [light, dusk] = css.split('[data-theme').map(theme)
  const pairs = [
    ['ink', 'paper'],
    ['ink', 'leaf'],
    ['ink', 'sunk'],
    ['ink', 'warn'],
    ['ink', 'wash'],
    ['pencil', 'paper'],
    ['pencil', 'leaf'],
    ['lit-ink', 'lit'],
    ['on-ink', 'ink'],
    ['iron', 'paper'],
    ['on-ink', 'iron'],
  ]

  it.each(
    pairs.flatMap(
      ([text, ground]) =>
        [
          ['light', light!, text!, ground!],
          ['dusk', dusk!, text!, ground!],
        ] as const,
    ),
  )('keeps 7:1 in %s', (_, tokens, text, ground) => {
    expect(contrast(tokens[text]!, tokens[ground]!)).toBeGreaterThanOrEqual(7)
  })
})
