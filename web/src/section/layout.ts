import type { Profile } from '@/api'
import { linear, spread } from '@/drawing/scale'

/** What one horizon's words need, in px. */
export const WORDS_HEIGHT = { desk: 116, phone: 176 }
const LEAST_HEIGHT = 430

export type Layer = { id: number; top: number; bottom: number; words: number }

/**
 * The column to true depth, and the words beside it: boundaries never move, words do. The drawing grows until the words
 * of all horizons have room.
 */
export function layOutSection(profile: Profile, room: number, wordsHeight: number = WORDS_HEIGHT.desk) {
  const horizons = profile.horizons
  const depth = Math.max(...horizons.map(({ lower_cm }) => lower_cm))
  const head = 44
  const height = Math.max(LEAST_HEIGHT, room, horizons.length * wordsHeight + head + 16)
  const y = linear(0, depth, head, height - 16)
  const wanted = horizons.map(({ upper_cm, lower_cm }) => {
    const [top, bottom] = [y(upper_cm), y(lower_cm)]
    return bottom - top >= wordsHeight ? top + 6 : (top + bottom) / 2 - wordsHeight / 2
  })
  const words = spread(
    wanted,
    horizons.map(() => wordsHeight),
    head,
    height,
  )
  const layers: Layer[] = horizons.map((h, i) => ({
    id: h.id,
    top: y(h.upper_cm),
    bottom: y(h.lower_cm),
    words: words[i]!,
  }))
  return { height, depth, y, layers, wordsHeight }
}
