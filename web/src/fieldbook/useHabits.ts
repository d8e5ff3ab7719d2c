import { useLocalStorage } from '@vueuse/core'
import { useWords, type Schemas } from '@/api'

type Habits = Schemas['Method'] & { textured_by: string; recorded_by: string }

/** Who works and how they measure rarely changes from pit to pit: as the last profile on this device had it. */
export function useHabits() {
  const words = useWords()
  const usual = Object.fromEntries(words.value.method.map(({ name, default: one }) => [name, one])) as Schemas['Method']
  const habits = useLocalStorage<Partial<Habits>>('grittle.habits', {})
  return { habits, usual: { textured_by: '', recorded_by: '', ...usual } as Habits }
}
