import { useResizeObserver } from '@vueuse/core'
import { ref, type Ref } from 'vue'

/** The widths that were seen last, by what they are of, px. */
const seen = new Map<string, number>()

/**
 * The width of an element, px. It begins with that of the last of its kind: what is measured as soon as it is there has
 * the whole page laid out once more before it is painted.
 */
export function useWidth(of: string, element: Readonly<Ref<HTMLElement | null>>): Ref<number> {
  const width = ref(seen.get(of) ?? 0)
  useResizeObserver(element, ([entry]) => {
    width.value = entry!.contentRect.width
    seen.set(of, width.value)
  })
  return width
}
