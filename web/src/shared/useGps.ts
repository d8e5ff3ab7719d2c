import { ref } from 'vue'
import { request, type Schemas } from '@/api'

/** The mean of the receiver's fixes, asked for by a press, with what is said of it meanwhile. */
export function useGps() {
  const said = ref('')
  const trouble = ref('')
  async function locate(): Promise<Schemas['Position'] | undefined> {
    said.value = 'Listening to the receiver'
    trouble.value = ''
    try {
      const here = await request<Schemas['Position']>('POST', '/api/positions/here', {})
      const refused = here.refused
        ? `, ${here.refused} damaged ${here.refused === 1 ? 'sentence' : 'sentences'} refused`
        : ''
      said.value = `${here.text}: ${here.fixes} fixes, spread ${here.accuracy_m} m${refused}.`
      return here
    } catch (error) {
      said.value = ''
      trouble.value = (error as Error).message
      return undefined
    }
  }
  return { said, trouble, locate }
}
