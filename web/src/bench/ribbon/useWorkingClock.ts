import { useLocalStorage, useNow } from '@vueuse/core'
import { computed } from 'vue'
import { useBench } from '@/bench/useReading'

const MS_PER_MINUTE = 60_000
type Running = { since: number; base: number }

/** Minutes the bolus has been worked. The clock survives a sleeping tablet: what is stored is when it was started. */
export function useWorkingClock() {
  const bench = useBench()
  const running = useLocalStorage<Running | null>(`grittle.clock.${bench.reading.value!.id}`, null, {
    serializer: { read: (text) => JSON.parse(text) as Running | null, write: (value) => JSON.stringify(value) },
  })
  const now = useNow({ interval: 1000 })
  const kept = computed(() => bench.observations.value.working_minutes as number | undefined)
  const minutes = computed(() =>
    running.value
      ? running.value.base + Math.max(now.value.getTime() - running.value.since, 0) / MS_PER_MINUTE
      : (kept.value ?? 0),
  )
  const tenths = (value: number): number => Math.round(value * 10) / 10

  return {
    running: computed(() => running.value !== null),
    minutes,
    kept,
    /** The minute a ribbon made now carries; none where nothing was timed. */
    minute: computed(() => (running.value || kept.value !== undefined ? tenths(minutes.value) : null)),
    start: (): void => void (running.value = { since: Date.now(), base: kept.value ?? 0 }),
    stop: (): void => {
      bench.answer('working_minutes', tenths(minutes.value))
      running.value = null
    },
    forget: (): void => {
      running.value = null
      if (kept.value !== undefined) bench.answer('working_minutes', null)
    },
  }
}

/** @returns minutes and seconds, as on a watch */
export const watchTime = (minutes: number): string => {
  const seconds = Math.floor(minutes * 60 + 1e-6)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
