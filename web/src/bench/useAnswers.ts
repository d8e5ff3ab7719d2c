import { computed } from 'vue'
import { useWords, type Schemas } from '@/api'
import { useBench } from './useReading'

export type Test = Schemas['Test']

/** The words of tests and answers, with those the limit set asks the rub in, and the steps of the reading's key. */
export function useAnswers() {
  const words = useWords()
  const bench = useBench()
  const method = computed(() => bench.reading.value?.method)
  const limitSet = computed(() => words.value.limit_sets.find(({ value }) => value === method.value?.limit_set))
  const steps = computed(() => words.value.keys.find(({ id }) => id === method.value?.key)?.steps ?? [])

  const test = (name: string): Test => {
    const found = words.value.tests.find((one) => one.name === name)!
    const rubWords =
      name === 'wet_rub' && method.value?.key === 'ribbon_and_rub' ? limitSet.value?.rub_words : undefined
    return rubWords
      ? { ...found, answers: found.answers.map((a) => ({ ...a, name: rubWords[a.value as string] ?? a.name })) }
      : found
  }
  const stateWord = (name: string, value: unknown): string =>
    test(name)
      .answers.find((answer) => answer.value === value)
      ?.name.toLowerCase() ?? ''
  /** What was answered, in words: a state, several, or a share. */
  const word = (name: string, value: unknown): string => {
    if (Array.isArray(value)) return value.map((one) => stateWord(name, one)).join(', ')
    if (typeof value === 'number') return name === 'working_minutes' ? `${value} min` : `${Math.round(value)} %`
    if (value && typeof value === 'object') return `${Math.round((value as { percent: number }).percent)} %`
    return stateWord(name, value)
  }

  return { words, limitSet, steps, test, word }
}
