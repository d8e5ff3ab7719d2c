import { useLocalStorage } from '@vueuse/core'

export type Theme = 'paper' | 'dusk'
const STORE = 'grittle.theme'

/** Before the page is drawn: no flash of the other theme. */
export function applyTheme(theme: string | null = localStorage.getItem(STORE)): void {
  document.documentElement.dataset.theme = theme === 'dusk' ? 'dusk' : 'paper'
}

export function useTheme() {
  const theme = useLocalStorage<Theme>(STORE, 'paper')
  const toggle = () => {
    theme.value = theme.value === 'dusk' ? 'paper' : 'dusk'
    applyTheme(theme.value)
  }
  return { theme, toggle }
}
