import { describe, expect, it } from 'vitest'
import type { Profile } from '@/api'
import { layOutSection } from './layout'

const column = (...depths: [number, number][]) =>
  ({ horizons: depths.map(([upper_cm, lower_cm], id) => ({ id, upper_cm, lower_cm })) }) as Profile

describe('the section', () => {
  it('draws boundaries at true depth, and words of neighbours never on each other', () => {
    const { layers, y, wordsHeight } = layOutSection(column([0, 4], [4, 7], [7, 90], [90, 95]), 600)
    expect(layers[1]!.top).toBeCloseTo(layers[0]!.bottom)
    expect((y(90) - y(7)) / (y(7) - y(4))).toBeCloseTo(83 / 3)
    layers
      .slice(1)
      .forEach((layer, i) => expect(layer.words).toBeGreaterThanOrEqual(layers[i]!.words + wordsHeight - 1e-6))
  })

  it('grows downward with many thin horizons, and keeps their words within it', () => {
    const thin = Array.from({ length: 12 }, (_, i) => [i * 3, i * 3 + 3] as [number, number])
    const { height, layers, wordsHeight } = layOutSection(column(...thin), 600)
    expect(height).toBeGreaterThan(600)
    expect(layers.at(-1)!.words + wordsHeight).toBeLessThanOrEqual(height + 1e-6)
  })
})
