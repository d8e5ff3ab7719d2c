import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useWords } from '@/api'

export type Kept = { id: number; name: string }
const tray = useLocalStorage<Kept[]>('grittle.beside', [])

/** Readings that are gathered, from anywhere, to be set side by side. */
export function useTray() {
  const has = (id: number): boolean => tray.value.some((one) => one.id === id)
  const words = useWords()
  const most = computed(() => words.value.side_by_side.most)
  const full = (): boolean => tray.value.length >= most.value
  const drop = (id: number): void => void (tray.value = tray.value.filter((one) => one.id !== id))
  const toggle = (one: Kept): void => {
    if (has(one.id)) drop(one.id)
    else if (!full()) tray.value = [...tray.value, one]
  }
  const clear = (): void => void (tray.value = [])
  const href = (): string => `/side-by-side?readings=${tray.value.map(({ id }) => id).join(',')}`
  return { tray, most, has, full, toggle, drop, clear, href }
}
