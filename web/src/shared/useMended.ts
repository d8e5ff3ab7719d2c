import { computed, ref, watch, type ComputedRef } from 'vue'

/** What is wrong with a line, until somebody writes in it again. */
export function useMended(error: () => string | undefined): {
  wrong: ComputedRef<string | undefined>
  mend: () => void
} {
  const mended = ref(false)
  watch(error, () => (mended.value = false))
  return { wrong: computed(() => (mended.value ? undefined : error())), mend: () => (mended.value = true) }
}
