import { useLocalStorage } from '@vueuse/core'

// Keys of sets that are kept on this device, and of sessions somebody sits in here: "set/3" or "session/7". The server
// keeps a digest of each and gives none of them out.
const kept = useLocalStorage<Record<string, string>>('grittle.keys', {})

/** 128 bits as hexadecimal digits; also where the page is not served from this machine, so no randomUUID. */
export const freshKey = (): string =>
  [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('')

export const keyOf = (what: string): string | undefined => kept.value[what]
export const keepKey = (what: string, key: string): void => void (kept.value = { ...kept.value, [what]: key })
export const dropKey = (what: string): void => {
  kept.value = Object.fromEntries(Object.entries(kept.value).filter(([name]) => name !== what))
}

/** Who practises on this device. */
export const usePractiser = () => useLocalStorage('grittle.practiser', '')
