import { computed, ref } from 'vue'
import { forgetLists, isProblem, newKey, request, type Method } from '@/api'

/** A form that somebody else saved meanwhile: both versions, field by field. */
export type FormConflict = { theirs: Record<string, unknown>; yours: Record<string, unknown>; version: number }

/**
 * Sends a form. What was typed stays until it is saved; the key stays the same for a retry, so that a lost answer makes
 * no second record.
 */
export function useForm<T>(as?: () => string | undefined) {
  const saving = ref(false)
  const problem = ref<unknown>()
  let key = newKey()
  // What was sent last, to be sent again over what somebody else saved meanwhile.
  let last: { method: Method; path: string; body: Record<string, unknown> } | null = null
  const conflict = computed<FormConflict | null>(() => {
    const standing = isProblem(problem.value) && problem.value.status === 409 ? problem.value.body.standing : null
    return standing && last
      ? { theirs: standing.values as Record<string, unknown>, yours: last.body, version: standing.version }
      : null
  })

  const at = (field: string): string | undefined => (isProblem(problem.value) ? problem.value.at(field) : undefined)
  const general = (fields: string[]): string | undefined => {
    if (!problem.value || conflict.value) return undefined
    if (isProblem(problem.value)) return fields.some((field) => at(field)) ? undefined : problem.value.message
    return 'The server cannot be reached. What you wrote is still here: try again.'
  }

  async function send(method: Method, path: string, body: unknown): Promise<T | undefined> {
    if (saving.value) return undefined
    saving.value = true
    problem.value = undefined
    last = { method, path, body: body as Record<string, unknown> }
    try {
      const saved = await request<T>(method, path, body, key, as?.())
      forgetLists()
      return saved
    } catch (error) {
      problem.value = error
      return undefined
    } finally {
      saving.value = false
      if (isProblem(problem.value) || !problem.value) key = newKey()
    }
  }

  /** Saves what was typed on top of what is saved by now. */
  const onTop = (): Promise<T | undefined> =>
    conflict.value && last
      ? send(last.method, last.path, { ...last.body, version: conflict.value.version })
      : Promise.resolve(undefined)

  return { saving, problem, conflict, at, general, send, onTop }
}
