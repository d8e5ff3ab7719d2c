import { watch, type ComputedRef, type ShallowRef } from 'vue'
import { queryClient, readingQuery, type Reading } from '@/api'
import { ask, loadBenchLater } from '@/device/device'
import { note } from '@/device/differences'
import type { Outbox, Write } from '@/outbox/outbox'

type Preview = Pick<Reading, 'assessment' | 'ruler' | 'ended_at'>

/** By how many versions a record is further once these writes are answered. */
export const changes = (writes: Write[]): number => writes.filter(({ version }) => version !== null).length

/**
 * The core beside the page says at once what follows from answers that are on their way: the keys first, then the
 * estimate. The server says it again when it has them, and its word stands.
 */
export function usePreview(
  id: number,
  reading: ComputedRef<Reading | undefined>,
  outbox: ShallowRef<Outbox<Reading> | undefined>,
): void {
  loadBenchLater()
  const { queryKey } = readingQuery(id)
  let said: { version: number; assessment: Reading['assessment'] } | undefined

  const waiting = (): Write[] => outbox.value?.queue.value ?? []
  const name = (writes: Write[]): string => writes.map(({ key }) => key).join(' ')

  async function show(base: Reading, writes: Write[], evidence: 'none' | 'full'): Promise<boolean> {
    const plain = writes.map(({ method, path, body }) => ({ method, path, body }))
    // What the page watches cannot be handed to a worker as it is.
    const given = JSON.parse(JSON.stringify([base, plain])) as unknown[]
    const found = await ask<Preview | null>('preview', ...given, evidence)
    // Something else was pressed meanwhile, or the server was quicker.
    if (!found || name(waiting()) !== name(writes) || reading.value?.version !== base.version) return false
    const version = base.version + changes(writes)
    if (evidence === 'none') said = { version, assessment: found.assessment }
    queryClient.setQueryData<Reading>(queryKey, (now) => {
      if (!now) return now
      const { estimateOf = now.version } = now
      const own = found.assessment.evidence
      return {
        ...now,
        ...found,
        assessment: { ...found.assessment, evidence: own ?? now.assessment.evidence },
        estimateOf: own ? version : estimateOf,
        previewed: true,
      }
    })
    return true
  }

  // What the server said last: the writes that wait are laid over it.
  let plain: Reading | undefined
  watch(
    () => [name(waiting()), reading.value?.version] as const,
    async () => {
      const writes = [...waiting()]
      if (!writes.length || !plain) return
      try {
        if (await show(plain, writes, 'none')) await show(plain, writes, 'full')
      } catch (error) {
        // Without the core the page waits for the server, as it always can.
        console.info(String(error))
      }
    },
  )

  watch(
    reading,
    (now) => {
      if (!now || now.previewed) return
      plain = now
      if (now.version !== said?.version) return
      note(said.assessment, now.assessment, `reading ${id}, version ${now.version}`)
      said = undefined
    },
    { immediate: true, flush: 'sync' },
  )
}
