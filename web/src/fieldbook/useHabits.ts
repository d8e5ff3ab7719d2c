import { useLocalStorage } from '@vueuse/core'
import { here, useWords, type Schemas } from '@/api'
import { useSession } from '@/people/useSession'

type Habits = Schemas['Method'] & { textured_by: string; recorded_by: string }

/**
 * Who works and how they measure rarely changes from pit to pit: as the last profile of the person on this device had
 * it. Who is signed in begins with their own name.
 */
export function useHabits() {
  const words = useWords()
  const usual = Object.fromEntries(words.value.method.map(({ name, default: one }) => [name, one])) as Schemas['Method']
  const { personName } = useSession()
  const own: Partial<Habits> = personName.value ? { textured_by: personName.value, recorded_by: personName.value } : {}
  const habits = useLocalStorage<Partial<Habits>>(`grittle.habits${here.account ? `.${here.account}` : ''}`, own)
  return { habits, usual: { textured_by: '', recorded_by: '', ...usual } as Habits }
}
