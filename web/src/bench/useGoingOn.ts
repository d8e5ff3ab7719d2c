import { computed, ref, watch, type ComputedRef } from 'vue'
import { useRouter } from 'vue-router'
import { mainKey, request, type Reading } from '@/api'
import { useBench } from './useReading'

type PathStep = { id: string; name: string; tests: string[] }
/** What is said of a step on the key that leads to it. */
const NEXT: Record<string, string> = {
  wire: 'roll a wire',
  sand: 'narrow the sand',
  moisten: 'wet and knead',
  ball: 'squeeze a ball',
  ribbon: 'push ribbons',
  rub: 'rub a pinch',
  more: 'more tests',
  assign: 'assign the class',
}
/** What a sample of a session is called. */
export const sampleName = ({ code, simulated }: { code: number; simulated: boolean }): string =>
  `${simulated ? 'sample' : 'code'} ${code}`
// The next palmful is wetted and kneaded while the last one is put away.
const READY = 'ball'

/**
 * How the bench moves along the path of its key: by hand, by itself after a ball and a rub, and on to the next horizon.
 */
export function useGoingOn(steps: ComputedRef<PathStep[]>) {
  const router = useRouter()
  const bench = useBench()
  const reading = computed(() => bench.reading.value!)
  const index = computed(() =>
    Math.max(
      steps.value.findIndex(({ id }) => id === bench.step.value),
      0,
    ),
  )
  const before = computed(() => steps.value[index.value - 1])
  // Where the key has ended early, at sand or loamy sand, the next step is to assign.
  const ended = computed(() => bench.step.value === reading.value.ended_at)
  const next = computed(() => (ended.value ? steps.value.at(-1) : steps.value[index.value + 1]))
  const turn = computed(() => reading.value.turn)
  const back = computed(() =>
    turn.value
      ? `/practice/sessions/${turn.value.session_id}`
      : reading.value.profile
        ? `/profiles/${reading.value.profile.id}`
        : reading.value.double_id
          ? '/double-readings'
          : '/readings',
  )
  const going = ref(false)

  const said = computed(() => {
    const typed = bench.pending.value
    if (next.value) return typed ? `Keep ${typed.name}, ${NEXT[next.value.id]}` : `Next: ${NEXT[next.value.id]}`
    if (turn.value) return turn.value.closed ? 'To the session' : `Close ${sampleName(turn.value)}`
    if (reading.value.next_horizon) return `Go on with ${reading.value.next_horizon.designation}`
    if (reading.value.double_id) return 'To the double readings'
    return reading.value.profile ? 'See the section' : 'To the quick readings'
  })

  /** To the step behind this one, whatever the key said before its answer. */
  const goAlong = (): void => bench.goTo(steps.value[index.value + 1]!.id)
  async function goOn(): Promise<void> {
    if (bench.pending.value && !bench.pending.value.keep()) return
    if (next.value) return bench.goTo(next.value.id)
    if (turn.value && !turn.value.closed) return bench.closeTurn()
    const following = reading.value.next_horizon
    if (!following) return void router.push(back.value)
    if (following.reading_id) return void router.push(`/readings/${following.reading_id}`)
    if (going.value) return
    going.value = true
    try {
      const begun = await request<Reading>('POST', '/api/readings', { horizon_id: following.id, step: READY })
      void router.push(`/readings/${begun.id}`)
    } catch {
      going.value = false
      void router.push(back.value)
    }
  }
  function goBack(): void {
    if (before.value) bench.goTo(before.value.id)
    else void router.push(back.value)
  }

  // After the answer that it asked for the key decides where to: to what it asks next, or to the class where it is at
  // its end. Without anybody's word for it, along the path. What else is noted at the step leads nowhere.
  const leaving = ref<string>()
  function goOnFrom(step: string, answered: string): void {
    // A quick hand answers what the step is there for while the answers before are still on their way.
    const early = bench.answering.value > 1 && steps.value[index.value]?.tests[0] === answered
    if (early || mainKey(reading.value).next_question === answered) leaving.value = step
  }
  watch(bench.answered, (saved) => {
    if (!leaving.value || saved === 'saving') return
    const from = leaving.value
    leaving.value = undefined
    if (bench.step.value !== from || saved === 'conflict' || bench.refused.value) return
    if (saved === 'waiting') return void goOn()
    const key = mainKey(reading.value)
    const asked = key.next_question
    const holder = asked && steps.value.find(({ tests }) => tests.includes(asked))
    if (holder && holder.id !== from) bench.goTo(holder.id, asked)
    else if (!asked && key.outcomes.length) bench.goTo('assign')
  })

  return { index, before, back, said, goOn, goAlong, goBack, goOnFrom }
}
