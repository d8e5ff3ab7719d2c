import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { queryClient, request, type Schemas } from '@/api'
import { keyOf } from './keys'

export type Session = Schemas['PracticeSession']
export type Turn = Schemas['Turn']
type Who = 'person' | 'keeper'

/** ms after which a session that others take part in is asked for again. */
const LIVE = 4000

export const sessionKey = (id: number, who: Who) => ['practice-session', id, who]

/** The key that a session is asked with: one's own, or that of its set. */
export async function asked(id: number, who: Who): Promise<Session> {
  const path = `/api/practice-sessions/${id}`
  if (who === 'person') return request<Session>('GET', path, undefined, undefined, keyOf(`session/${id}`))
  const plain = await request<Session>('GET', path)
  return request<Session>('GET', path, undefined, undefined, keyOf(`set/${plain.set_id}`))
}

/** A session as somebody in it, or as who keeps its set; live where others take part. */
export function useSession(id: MaybeRefOrGetter<number>, who: Who) {
  return useQuery(
    computed(() => ({
      queryKey: sessionKey(toValue(id), who),
      queryFn: () => asked(toValue(id), who),
      staleTime: 0,
      refetchInterval: ({ state: { data } }: { state: { data?: Session } }) =>
        data && !data.ended_at && (who === 'keeper' || data.kind === 'group') ? LIVE : false,
    })),
  )
}

/** After a write to a session. */
export const forgetSession = (id: number): void => {
  void queryClient.invalidateQueries({ queryKey: ['practice-session', id] })
  void queryClient.invalidateQueries({ queryKey: ['practice'] })
}

/** "0.75", without more decimals than a credit has. */
export const credit = (value: number | null | undefined): string =>
  value === null || value === undefined ? '' : String(Math.round(value * 100) / 100)
export const percent = (share: number): string => `${Math.round(share * 100)} %`
export const signed = (value: number): string => (value > 0 ? `+${value}` : String(value).replace('-', '−'))
