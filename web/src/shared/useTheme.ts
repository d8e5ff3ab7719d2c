import { useLocalStorage, useMediaQuery } from '@vueuse/core'
import { computed, watch } from 'vue'

export type Theme = 'paper' | 'dusk'
type Choice = Theme | 'system'
const STORE = 'grittle.theme'
const DARK = '(prefers-color-scheme: dark)'

/** Before the page is drawn: no flash of the other theme. Without a choice it is as the system has it. */
export function applyTheme(choice: string | null = localStorage.getItem(STORE)): void {
  const chosen = choice === 'dusk' || choice === 'paper' ? choice : matchMedia(DARK).matches ? 'dusk' : 'paper'
  document.documentElement.dataset.theme = chosen
}

const CHOICES = [
  { value: 'system', name: 'As the system' },
  { value: 'paper', name: 'Light' },
  { value: 'dusk', name: 'Dark' },
]

export function useTheme() {
  const choice = useLocalStorage<Choice>(STORE, 'system')
  const dark = useMediaQuery(DARK)
  const theme = computed<Theme>(() => (choice.value === 'system' ? (dark.value ? 'dusk' : 'paper') : choice.value))
  watch([choice, dark], () => applyTheme(choice.value))
  const toggle = () => void (choice.value = theme.value === 'dusk' ? 'paper' : 'dusk')
  return { theme, choice, toggle, CHOICES }
}
