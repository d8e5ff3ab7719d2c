import { computed } from 'vue'
import { useUnits } from '@/shared/useUnits'
import { useAnswers } from './useAnswers'
import { useBench } from './useReading'

/** The steps of the key's path, each with what was answered there. */
export function useStepSummaries() {
  const bench = useBench()
  const { words, steps, word } = useAnswers()
  const { show } = useUnits(bench.unit)

  const said = (step: { id: string; tests: string[]; noticed: string[] }): string => {
    const given = bench.observations.value
    const reading = bench.reading.value
    if (step.id === 'ball') return given.ball_holds === undefined ? '' : given.ball_holds ? 'holds' : 'no ball'
    if (step.id === 'assign') return reading?.assigned?.full_name ?? ''
    if (step.id === 'ribbon') {
      const mean = reading?.assessment.ribbon_set?.mean_mm
      return mean === undefined ? (given.ribbon_forms === false ? 'none' : '') : `${show(mean)} ${bench.unit.value}`
    }
    const answered = [...step.tests, ...step.noticed].filter((name) => given[name] !== undefined)
    return answered.length > 2
      ? `${answered.length} answers`
      : answered.map((name) => word(name, given[name])).join(', ')
  }

  return { words, steps: computed(() => steps.value.map((step) => ({ ...step, said: said(step) }))) }
}
