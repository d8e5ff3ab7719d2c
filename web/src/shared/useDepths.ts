import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useWords } from '@/api'
import { niceStep } from '@/drawing/scale'
import { numberOr } from './described'

const unit = useLocalStorage<string>('grittle.depths', 'cm')

/** What a shown depth is in cm, so that one that comes back as it was shown is the same depth and not a rounded one. */
const shown = new Map<string, number>()

/** Depths as this device shows them; what is kept, exported and said in sentences is cm. */
export function useDepths() {
  const words = useWords()
  const units = computed(() => words.value.depth_units)
  /** cm in one of the unit. */
  const per = computed(() => units.value.find(({ value }) => value === unit.value)?.cm ?? 1)
  /** cm as a number in the unit, to a tenth of it. */
  const show = (cm: number): string => {
    const text = String(Number((cm / per.value).toFixed(1)))
    shown.set(`${text} ${unit.value}`, cm)
    return text
  }
  const range = (upper: number, lower: number): string => `${show(upper)} to ${show(lower)} ${unit.value}`
  /** What was typed in the unit, as cm; what is no number stays as it is, for the server to name. */
  const toCm = (text: string): number | string | undefined => {
    const number = numberOr(text)
    if (typeof number !== 'number') return number
    return shown.get(`${number} ${unit.value}`) ?? Number((number * per.value).toFixed(1))
  }
  /** Marks of a scale from the surface to a depth, in cm, at round numbers of the unit. */
  const ticks = (deepest: number, pixels: number, room: number): number[] => {
    const step = niceStep(deepest / per.value, pixels, room) * per.value
    return Array.from({ length: Math.floor(deepest / step + 1e-9) + 1 }, (_, i) => i * step)
  }
  return { unit, units, show, range, toCm, ticks }
}
