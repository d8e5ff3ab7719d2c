import { useQuery } from '@tanstack/vue-query'
import { useLocalStorage, useNow } from '@vueuse/core'
import { computed } from 'vue'
import { timersQuery } from '@/api'

// What is due next over all companion tests that run, by the server's clock.

/** Whether a reminder is heard on this device. */
export const sound = useLocalStorage('grittle.sound', true)

export function useTimers() {
  const { data } = useQuery(timersQuery)
  const now = useNow({ interval: 1000 })
  /** By the server's clock. */
  const time = computed(() => now.value.getTime() + (data.value?.behind ?? 0))
  const timers = computed(() =>
    (data.value?.timers ?? []).map((timer) => ({
      ...timer,
      key: `${timer.place_id}-${timer.due_at}`,
      left: Date.parse(timer.due_at) - time.value,
      reminded: Date.parse(timer.remind_at) <= time.value,
    })),
  )
  return { timers, time, due: computed(() => timers.value.filter(({ left }) => left <= 0)) }
}
export type Timer = ReturnType<typeof useTimers>['timers']['value'][number]
