import { useLocalStorage } from '@vueuse/core'
import { NOMINAL_PX_PER_MM } from './figures/hand'

/** CSS pixels in a mm on this screen, as somebody measured it, or as a screen nominally has it. */
export function useScreenScale() {
  const pxPerMm = useLocalStorage('grittle.px-per-mm', NOMINAL_PX_PER_MM)
  const calibrated = useLocalStorage('grittle.calibrated', false)
  return { pxPerMm, calibrated, nominal: NOMINAL_PX_PER_MM }
}
