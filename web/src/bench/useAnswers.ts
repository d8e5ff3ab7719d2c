import { computed } from 'vue'
import { useWords, type Schemas } from '@/api'
import { useBench } from './useReading'

export type Test = Schemas['Test']

/** The words of tests and answers, with those the limit set asks the rub in. */
export function useAnswers() {
  const words = useWords()
  const bench = useBench()
  const limitSet = computed(() => words.value.limit_sets.find(({ value }) => value === bench.reading.value?.method.limit_set))

  const test = (name: string): Test => {
    const found = words.value.tests.find((one) => one.name === name)!
    const rubWords = name === 'wet_rub' ? limitSet.value?.rub_words : undefined
    return rubWords ? { ...found, answers: found.answers.map((a) => ({ ...a, name: rubWords[a.value as string] ?? a.name })) } : found
  }
  const word = (name: string, value: unknown): string =>
    test(name).answers.find((answer) => answer.value === value)?.name.toLowerCase() ?? ''

  return { words, limitSet, test, word }
}
