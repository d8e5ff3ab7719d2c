import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, reactive, shallowRef, watch, type Ref } from 'vue'
import { request, type Schemas } from '@/api'

export type Interpretation = Schemas['Interpretation']
export type Layer = Schemas['InterpretedHorizon']
export type Figure = Layer['figures'][number]

/** What a person may assume; blank is what the core takes. */
export type Assumed = {
  amount_mm: string
  root_depth_cm: string
  daily_mm: string
  share: string
  efficiency: string
  rate_mm_h: string
  /** The authority's own table, by its number, and the depths it is looked up between. */
  table_id: string
  base_cm: string
  interest_cm: string
  /** hand, or laboratory where there is a result */ from: string
}
/** What a person assumes of single horizons, by their number. */
export type OfHorizons = Record<'organic_matter' | 'density_factor', Record<number, string>>
/** One horizon, taken for another class. */
export type WhatIf = { horizon_id: number; taken_for: string } | null

/** What follows from a profile, by what is assumed; and with one horizon taken for another class. */
export function useInterpretation(id: Ref<number>) {
  const assumed = reactive<Assumed>({
    amount_mm: '',
    root_depth_cm: '',
    daily_mm: '',
    share: '',
    efficiency: '',
    rate_mm_h: '',
    table_id: '',
    base_cm: '',
    interest_cm: '',
    from: '',
  })
  const ofHorizons = reactive<OfHorizons>({ organic_matter: {}, density_factor: {} })
  const listed = (of: Record<number, string>) =>
    Object.entries(of)
      .filter(([, value]) => value.trim() !== '')
      .map(([horizon, value]) => `${horizon}:${value.trim().replace(',', '.')}`)
      .join(',')
  const asked = refDebounced(
    computed(() => {
      const all = {
        ...assumed,
        organic_matter: listed(ofHorizons.organic_matter),
        density_factor: listed(ofHorizons.density_factor),
      }
      const given = Object.entries(all).filter(([, value]) => value.trim() !== '')
      return new URLSearchParams(given.map(([name, value]) => [name, value.trim()])).toString()
    }),
    120,
  )
  const found = useQuery(
    computed(() => ({
      queryKey: ['profile', 'interpretation', id.value, asked.value],
      queryFn: () => read(id.value, asked.value),
      placeholderData: keepPreviousData,
    })),
  )
  // What cannot be assumed is refused, and what followed before stays in sight.
  const last = shallowRef<Interpretation>()
  watch(found.data, (data) => data && (last.value = data), { immediate: true })
  watch(id, () => (last.value = undefined))
  return { assumed, ofHorizons, asked, follows: computed(() => found.data.value ?? last.value), trouble: found.error }
}

/** The same with one horizon taken for another class; nothing while none is. */
export const useWhatIf = (id: Ref<number>, asked: Ref<string>, whatIf: Ref<WhatIf>) =>
  useQuery(
    computed(() => ({
      queryKey: ['profile', 'interpretation', id.value, asked.value, whatIf.value],
      queryFn: () =>
        read(id.value, `${asked.value}&horizon_id=${whatIf.value!.horizon_id}&taken_for=${whatIf.value!.taken_for}`),
      enabled: whatIf.value !== null,
    })),
  )

const read = (id: number, asked: string) =>
  request<Interpretation>('GET', `/api/profiles/${id}/interpretation?${asked}`)

/** Two significant figures, as far as any of this is known. */
export const figures = (value: number | null | undefined): string =>
  value === null || value === undefined ? '' : String(Number(value.toPrecision(2)))
