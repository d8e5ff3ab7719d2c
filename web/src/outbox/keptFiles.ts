import { createStore, del, get, set } from 'idb-keyval'
import { ApiProblem, sendFile } from '@/api'

// Files that wait to be sent lie on the device beside their writes, so that a killed tab loses none.
let store: ReturnType<typeof createStore> | undefined
const files = () => (store ??= createStore('grittle', 'files'))

export const keepFile = (name: string, file: Blob): Promise<void> => set(name, file, files())
export const keptFile = (name: string): Promise<Blob | undefined> => get<Blob>(name, files())
export const forgetFile = (name: string): Promise<void> => del(name, files())

/**
 * Sends a kept file under the key of its write.
 * @throws {ApiProblem} when the server refuses it, or the device no longer has it
 * @throws {Unreachable} when there is no answer
 */
export async function sendKept<T>(path: string, name: string, key: string): Promise<T> {
  const file = await keptFile(name)
  if (!file)
    throw new ApiProblem({
      type: 'about:blank',
      title: 'No file',
      status: 410,
      detail: 'The photograph is no longer on this device. Take it again.',
    })
  return sendFile<T>(path, file, key)
}
