import { queryOptions, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { here, keepSession, queryClient, request, type Schemas } from '@/api'
import { begin, device, waitedBefore } from '@/device/device'
import { speaksOfOwn } from '@/device/numbers'
import { settled } from '@/device/settled'

type Session = Schemas['Session']

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async () => {
    const found = await request<Session>('GET', '/api/session')
    // The first view waits for the device only where it cannot do without it; else it comes first.
    if (device.alone.value || waitedBefore() || speaksOfOwn(location.pathname)) await keepHere(found)
    else void keepHere(found, settled())
    return found
  },
  staleTime: Infinity,
})

async function keepHere({ account, fieldbook }: Session, when?: Promise<void>): Promise<void> {
  // Whose page this is, it stays until it is loaded anew: what waits in it is theirs.
  if (!here.account) here.account = account?.id ?? 0
  if (!fieldbook) return
  const { id, name, person, role } = fieldbook
  await begin({ account: here.account, book: id, person: person?.id ?? null, role }, name, when)
}

/** What the server has said of who is signed in now. */
export function told(found: Session): void {
  keepSession(found)
  queryClient.setQueryData(sessionQuery.queryKey, found)
}

/** Somebody has come in, on a page that was nobody's so far. */
export function enter(found: Session): void {
  void keepHere(found)
  told(found)
}

export const membersQuery = queryOptions({
  queryKey: ['members'],
  queryFn: () => request<Schemas['Members']>('GET', '/api/members'),
})

/**
 * Who is signed in, and what they may do in this fieldbook. The server decides; the page only leaves out what would be
 * refused.
 */
export function useSession() {
  const { data } = useQuery(sessionQuery)
  return {
    session: data,
    alone: computed(() => data.value?.alone ?? false),
    mayWrite: computed(() => data.value?.fieldbook?.writes ?? false),
    mayLead: computed(() => data.value?.fieldbook?.leads ?? false),
    /** What a password must be, in the server's words. */
    passwordSays: computed(() => data.value?.password_says ?? ''),
    personName: computed(() => data.value?.fieldbook?.person?.name ?? ''),
  }
}

/** The page begins anew, as whoever is signed in now. */
export const beginAnew = (path = '/'): void => {
  queryClient.clear()
  location.assign(path)
}
