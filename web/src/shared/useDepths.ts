import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { niceStep } from '@/drawing/scale'
import { numberOr } from './described'

type Unit = 'cm' | 'in'
/** cm in an inch. [published: NIST Special Publication 811, 2008, appendix B] */
const CM_PER_IN = 2.54
const UNITS = [
  { value: 'cm', name: 'cm' },
  { value: 'in', name: 'inches' },
]
const unit = useLocalStorage<Unit>('grittle.depths', 'cm')

/** Depths as this device shows them; what is kept, exported and said in sentences is cm. */
export function useDepths() {
  const inches = computed(() => unit.value === 'in')
  /** cm as a number in the unit, to a tenth of a centimetre or of an inch. */
  const show = (cm: number): string => String(Number((inches.value ? cm / CM_PER_IN : cm).toFixed(1)))
  const range = (upper: number, lower: number): string => `${show(upper)} to ${show(lower)} ${unit.value}`
  /** What was typed in the unit, as cm; what is no number stays as it is, for the server to name. */
  const toCm = (text: string): number | string | undefined => {
    const number = numberOr(text)
    return typeof number === 'number' && inches.value ? Number((number * CM_PER_IN).toFixed(1)) : number
  }
  /** Marks of a scale from the surface to a depth, in cm, at round numbers of the unit. */
  const ticks = (deepest: number, pixels: number, room: number): number[] => {
    const per = inches.value ? CM_PER_IN : 1
    const step = niceStep(deepest / per, pixels, room) * per
    return Array.from({ length: Math.floor(deepest / step + 1e-9) + 1 }, (_, i) => i * step)
  }
  return { unit, UNITS, show, range, toCm, ticks }
}
