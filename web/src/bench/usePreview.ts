import { watch, type ComputedRef, type ShallowRef } from 'vue'
import { queryClient, readingQuery, type Reading } from '@/api'
import { askCore, loadBenchLater, verdictFirst } from '@/device/device'
import { note } from '@/device/differences'
import type { Outbox, Write } from '@/outbox/outbox'
import { painted } from '@/shared/painted'

type Preview = Pick<Reading, 'assessment' | 'ruler' | 'ended_at'>

/** What is shown one after the other: the keys, the estimate beside them, and what it suggests. */
const STAGES = ['none', 'estimate', 'full'] as const

/** By how many versions a record is further once these writes are answered. */
export const changes = (writes: Write[]): number => writes.filter(({ version }) => version !== null).length

/** What the core needs of a reading: the whole of it would take longer to hand over than the keys take to answer. */
const needed = ({ method, observations, moisture, ribbons, own_hand, assessment }: Reading) => ({
  method,
  observations,
  moisture: { answers: moisture?.answers ?? [] },
  ribbons,
  own_hand,
  assessment: { contradictions: assessment.contradictions },
})

/**
 * The core beside the page says at once what follows from answers that are on their way: the keys first, then the
 * estimate. The server says it again when it has them, and its word stands.
 */
export function usePreview(
  id: number,
  reading: ComputedRef<Reading | undefined>,
  unit: ComputedRef<string>,
  outbox: ShallowRef<Outbox<Reading> | undefined>,
): void {
  loadBenchLater()
  const { queryKey } = readingQuery(id)
  let said: { version: number; unit: string; assessment: Reading['assessment'] } | undefined

  // Where the bench stands is no part of what follows.
  const waiting = (): Write[] => (outbox.value?.queue.value ?? []).filter(({ version }) => version !== null)
  const name = (writes: Write[]): string => writes.map(({ key }) => key).join(' ')

  /** @returns whether it still stands */
  async function show(base: Reading, writes: Write[], stage: (typeof STAGES)[number]): Promise<boolean> {
    const plain = writes.map(({ method, path, body }) => ({ method, path, body }))
    // What the page watches cannot be handed to a worker as it is.
    const given = JSON.parse(JSON.stringify([needed(base), plain])) as unknown[]
    const found = await askCore<Preview | null>('preview', ...given, stage)
    if (!found) return false
    const version = base.version + changes(writes)
    const quicker = reading.value?.version === version
    const stands = quicker || (reading.value?.version === base.version && name(waiting()) === name(writes))
    // Something else was pressed meanwhile.
    if (!stands) return false
    if (stage !== 'estimate') said = { version, unit: base.method.unit, assessment: found.assessment }
    queryClient.setQueryData<Reading>(queryKey, (now) => {
      if (!now) return now
      const { estimateOf = now.version, assessment } = now
      const own = found.assessment.evidence
      // What the tests suggest stands until that has been worked out as well.
      const evidence = { ...assessment.evidence, ...own } as typeof own
      // The server has said what the keys say, and its estimate may be on its way.
      if (quicker)
        return own && now.estimateOf !== undefined
          ? { ...now, estimateOf: version, assessment: { ...assessment, evidence } }
          : now
      return {
        ...now,
        ...found,
        estimateOf: own ? version : estimateOf,
        assessment: { ...found.assessment, evidence },
        previewed: true,
      }
    })
    return true
  }

  async function sayOf(base: Reading, writes: Write[]): Promise<void> {
    try {
      for (const stage of STAGES) {
        if (!(await show(base, writes, stage))) return
        // What was found is on the screen before the processor is given to what follows.
        await painted()
      }
    } catch (error) {
      // Without the core the page waits for the server, as it always can.
      console.info(String(error))
    }
  }

  // What the server said last: the writes that wait are laid over it.
  let plain: Reading | undefined
  watch(
    () => `${name(waiting())} on ${reading.value?.version}`,
    () => {
      const writes = waiting()
      if (!writes.length || !plain) return
      said = undefined
      verdictFirst(sayOf({ ...plain, method: { ...plain.method, unit: unit.value } }, writes))
    },
  )

  watch(
    reading,
    (now) => {
      if (!now || now.previewed) return
      plain = now
      // The unit that lengths are said in is the bench's before it is the server's, and makes no version.
      if (!said || now.version !== said.version || now.method.unit !== said.unit) return
      const whole = now.estimateOf === undefined
      const { assessment } = said
      note(
        whole ? assessment : { ...assessment, evidence: null },
        now.assessment,
        `reading ${id}, version ${now.version}`,
      )
      if (whole) said = undefined
    },
    { immediate: true, flush: 'sync' },
  )
}
