import { keepPreviousData, QueryClient, queryOptions, useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { request, type Catalogue, type Profile, type Reading, type Schemas, type Sheet } from './client'
import { isPassing } from './problem'

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => isPassing(error) && count < 2,
      staleTime: 5_000,
      networkMode: 'always',
      // What was answered is never changed in place: watching each of its thousands of numbers is time for nothing.
      shallow: true,
    },
  },
})

type Sites = { sites: Schemas['Site'][]; page: number; pages: number; total: number; more: boolean }
type Readings = { readings: Schemas['QuickReading'][]; page: number; pages: number; total: number }

/**
 * The server writes into the page which catalogue it has, so that one that was loaded before is not asked for again.
 */
const catalogueVersion = () => document.querySelector<HTMLMetaElement>('meta[name="catalogue"]')?.content ?? ''
export const catalogueQuery = queryOptions({
  queryKey: ['catalogue'],
  queryFn: () => request<Catalogue>('GET', `/api/catalogue${catalogueVersion() && `?v=${catalogueVersion()}`}`),
  staleTime: Infinity,
})
export const workQuery = queryOptions({
  queryKey: ['work'],
  queryFn: () => request<{ work: Schemas['Work'] | null }>('GET', '/api/work'),
})
/** What the fieldbook is searched for: a text, a class as SYSTEM:CODE, days, "1" for what is unfinished. */
export type Wanted = { text: string; class: string; from: string; to: string; unfinished: string }
const search = (page: number, wanted: Record<string, string | undefined>): string => {
  const given = Object.entries(wanted).filter((entry): entry is [string, string] => !!entry[1])
  return new URLSearchParams({ page: String(page), ...Object.fromEntries(given) }).toString()
}
/** The order of sites while nothing is looked for. */
export type Sort = 'own' | 'name' | 'newest'
export const sitesQuery = (page: number, wanted: Partial<Wanted> = {}, sort: Sort = 'own') => {
  const asked = search(page, { ...wanted, sort: sort === 'own' ? '' : sort })
  return queryOptions({
    queryKey: ['sites', asked],
    queryFn: () => request<Sites>('GET', `/api/sites?${asked}`),
    placeholderData: keepPreviousData,
  })
}
/** Quick readings; near a position, the nearest first. */
export const quickQuery = (page = 1, wanted: Partial<Wanted> & { near?: string } = {}) => {
  const asked = search(page, wanted)
  return queryOptions({
    queryKey: ['readings', 'quick', asked],
    queryFn: () => request<Readings>('GET', `/api/readings?${asked}`),
    placeholderData: keepPreviousData,
  })
}
export const profileQuery = (id: number) =>
  queryOptions({ queryKey: ['profile', id], queryFn: () => request<Profile>('GET', `/api/profiles/${id}`) })
/** A sheet of a companion test; others may enter looks on it too. */
export const sheetQuery = (id: number) =>
  queryOptions({
    queryKey: ['companion', id],
    queryFn: () => request<Sheet>('GET', `/api/companion-tests/${id}`),
    refetchInterval: 15_000,
  })
type Sheets = { tests: Schemas['CompanionLine'][]; page: number; pages: number; total: number }
export const sheetsQuery = (page: number, profile?: number) =>
  queryOptions({
    queryKey: ['companions', page, profile ?? 0],
    queryFn: () =>
      request<Sheets>('GET', `/api/companion-tests?page=${page}${profile ? `&profile_id=${profile}` : ''}`),
    placeholderData: keepPreviousData,
  })
export const timersQuery = queryOptions({
  queryKey: ['timers'],
  queryFn: async () => {
    const found = await request<Schemas['Timers']>('GET', '/api/timers')
    // ms that this device's clock is behind the server's.
    return { ...found, behind: Date.parse(found.now) - Date.now() }
  },
  refetchInterval: 20_000,
  refetchOnWindowFocus: true,
})
export const readingQuery = (id: number) => queryOptions({ queryKey: ['reading', id], queryFn: () => newest(id) })
/** The reading, unless what an answer has brought in the meantime is newer than what was read. */
async function newest(id: number): Promise<Reading> {
  const read = await request<Reading>('GET', `/api/readings/${id}`)
  const answered = queryClient.getQueryData<Reading>(['reading', id])
  return answered && answered.version > read.version ? answered : read
}

export const trianglesQuery = queryOptions({
  queryKey: ['triangles'],
  queryFn: () => request<{ triangles: Schemas['Triangle'][] }>('GET', '/api/triangles'),
  staleTime: Infinity,
})

export const useCatalogue = () => useQuery(catalogueQuery)

/** The catalogue, which App.vue waits for before any page is shown. */
export function useWords() {
  const { data } = useCatalogue()
  return computed(() => {
    if (!data.value) throw new Error('The catalogue is not loaded: show pages below App.vue only.')
    return data.value
  })
}

/** One profile; none is asked for while the id is 0. */
export const useProfile = (id: MaybeRefOrGetter<number>) =>
  useQuery(computed(() => ({ ...profileQuery(toValue(id)), enabled: toValue(id) > 0 })))

const LISTS = ['work', 'sites', 'readings', 'profile']

/** After a write: what lists and sections show may have changed. */
export function forgetLists(): void {
  // What is asked for the first time just now may be answered with what was before the write: it is asked for again.
  const asked = queryClient.getQueryCache().findAll({
    fetchStatus: 'fetching',
    predicate: ({ queryKey, state }) => LISTS.includes(String(queryKey[0])) && state.data === undefined,
  })
  for (const { promise, queryKey } of asked)
    void promise?.then(() => queryClient.invalidateQueries({ queryKey, exact: true })).catch(() => {})
  for (const list of LISTS) void queryClient.invalidateQueries({ queryKey: [list] })
}
