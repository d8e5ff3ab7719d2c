import { computed } from 'vue'
import { useWords } from '@/api'
import { useUnits } from '@/shared/useUnits'
import type { BenchReading } from './useReading'

/** The steps of the path, each with what was answered there. */
export function useStepSummaries(bench: BenchReading) {
  const words = useWords()
  const { show } = useUnits(bench.unit)
  const word = (name: string, value: unknown): string =>
    words.value.tests.find((test) => test.name === name)?.answers.find((answer) => answer.value === value)?.name.toLowerCase() ?? ''

  const said = (step: string): string => {
    const given = bench.observations.value
    const reading = bench.reading.value
    if (step === 'ball') return given.ball_holds === undefined ? '' : given.ball_holds ? 'holds' : 'no ball'
    if (step === 'assign') return reading?.assigned?.name ?? ''
    if (step === 'ribbon') {
      const mean = reading?.assessment.ribbon_set?.mean_mm
      return mean === undefined ? (given.ribbon_forms === false ? 'none' : '') : `${show(mean)} ${bench.unit.value}`
    }
    const tests = words.value.steps.find(({ id }) => id === step)?.tests ?? []
    const answered = tests.filter((name) => given[name] !== undefined)
    return answered.length > 2 ? `${answered.length} answers` : answered.map((name) => word(name, given[name])).join(', ')
  }

  return { words, steps: computed(() => words.value.steps.map(({ id, name }) => ({ id, name, said: said(id) }))) }
}
