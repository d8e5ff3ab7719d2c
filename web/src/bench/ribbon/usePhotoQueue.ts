import { computedAsync } from '@vueuse/core'
import { onScopeDispose, type Ref, type ShallowRef } from 'vue'
import { newKey, type Reading, type Schemas } from '@/api'
import { keepFile, keptFile } from '@/outbox/keptFiles'
import type { Outbox, Write } from '@/outbox/outbox'

/** A photograph that waits on this device: without a number, known by its token. */
export type WaitingPhoto = Schemas['Photo'] & { token: string }

/** Photographs of a reading go through its queue, so that they work without an answer from the server. */
export function usePhotoQueue(
  reading: number,
  outbox: ShallowRef<Outbox<Reading> | undefined>,
  write: (write: Omit<Write, 'key'>) => void,
) {
  const urls = new Map<string, string>()
  onScopeDispose(() => urls.forEach((url) => URL.revokeObjectURL(url)))

  /** As the browser shows it: upright, as the server will have it. */
  async function shown(token: string, name: string, place: number): Promise<WaitingPhoto | null> {
    const file = await keptFile(token)
    if (!file) return null
    const url = urls.get(token) ?? URL.createObjectURL(file)
    urls.set(token, url)
    const image = new Image()
    image.src = url
    await image.decode()
    const { naturalWidth: width, naturalHeight: height } = image
    return { id: -1 - place, token, caption: name, width, height, url, thumb_url: url }
  }

  const coming: Ref<WaitingPhoto[]> = computedAsync(async () => {
    const waiting = (outbox.value?.queue.value ?? []).filter(({ file }) => file)
    const found = await Promise.all(
      waiting.map(({ file, path }, place) =>
        shown(file!, new URLSearchParams(path.split('?')[1]).get('name') ?? '', place).catch(() => null),
      ),
    )
    return found.filter((one) => one !== null)
  }, [])

  async function add(file: File): Promise<void> {
    const token = newKey()
    await keepFile(token, file)
    const asked = new URLSearchParams({ of: 'reading', of_id: String(reading), name: file.name, token })
    write({ method: 'POST', path: `/api/photos?${asked}`, body: {}, version: null, label: 'photograph', file: token })
  }
  return { add, coming }
}
