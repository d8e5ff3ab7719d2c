import { ref } from 'vue'
import { isProblem } from '@/api'

/** Something that is asked of the server by one press: once at a time, and with a sentence where it fails. */
export function useAttempt() {
  const busy = ref(false)
  const trouble = ref('')

  /** @returns whether it was done */
  async function attempt(job: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    trouble.value = ''
    try {
      await job()
      return true
    } catch (problem) {
      trouble.value = isProblem(problem) ? problem.message : 'The server cannot be reached.'
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy, trouble, attempt }
}
