import { ref } from 'vue'
import { forgetLists, isProblem, newKey, request, type Method } from '@/api'

/**
 * Sends a form. What was typed stays until it is saved; the key stays the same for a retry, so that a lost answer makes
 * no second record.
 */
export function useForm<T>() {
  const saving = ref(false)
  const problem = ref<unknown>()
  let key = newKey()

  const at = (field: string): string | undefined => (isProblem(problem.value) ? problem.value.at(field) : undefined)
  const general = (fields: string[]): string | undefined => {
    if (!problem.value) return undefined
    if (isProblem(problem.value)) return fields.some((field) => at(field)) ? undefined : problem.value.message
    return 'The server cannot be reached. What you wrote is still here: try again.'
  }

  async function send(method: Method, path: string, body: unknown): Promise<T | undefined> {
    if (saving.value) return undefined
    saving.value = true
    problem.value = undefined
    try {
      const saved = await request<T>(method, path, body, key)
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

  return { saving, problem, at, general, send }
}
