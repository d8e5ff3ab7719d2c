import { computed } from 'vue'
import { mainKey, useWords, type Naming } from '@/api'
import { useBench } from './useReading'

/** The key of the reading at the bench, and the names it gives. */
export function useNaming() {
  const words = useWords()
  const bench = useBench()
  const key = computed(() => words.value.keys.find(({ id }) => id === bench.reading.value!.method.key)!)
  const system = computed(() => mainKey(bench.reading.value!).system)
  const find = (code: string): Naming | undefined =>
    words.value.names.find((name) => name.system === system.value && name.code === code)
  /** What may be assigned, in the key's order. */
  const classes = computed(() => (key.value.codes[system.value] ?? []).map(find).filter((name) => name !== undefined))
  /** All that a result may speak of: a key can end at half a class where a person assigns the whole. */
  const names = computed(() => words.value.names.filter((name) => name.system === system.value && name.middle))
  const nameOf = (code: string): string => find(code)?.name ?? code
  /** About how much clay is written beside a field grade. */
  const clayOf = (code: string): string => {
    const [from, to] = find(code)?.clay ?? []
    return from === undefined ? '' : from === to ? `about ${from} % clay` : `about ${from} to ${to} % clay`
  }
  const named = (code: string | null | undefined) => (code ? { system: system.value, code } : undefined)
  // Field grades are bands of clay and no partition of the triangle: they lie over the lines of a triangle that is one.
  const lines = computed(() =>
    names.value[0]?.kind === 'grade'
      ? words.value.names
          .filter((name) => name.system === 'usda' && name.kind === 'region')
          .flatMap(({ regions }) => regions)
      : undefined,
  )
  const short = (test: string | null | undefined): string =>
    words.value.tests.find(({ name }) => name === test)?.short ?? 'an answer'
  return { key, system, classes, names, nameOf, clayOf, named, lines, short }
}
