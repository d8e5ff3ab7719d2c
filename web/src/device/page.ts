import { ref } from 'vue'
import { settled } from './settled'

/** Whether a newer version of the page waits to be taken; what is unsent stays as it is either way. */
export const newer = ref<(() => void) | null>(null)

/** Lays the page's own files onto the device, once the first view stands. */
export function keepPage(): void {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return
  void settled().then(register)
}

async function register(): Promise<void> {
  const manifest = { rel: 'manifest', href: '/manifest.webmanifest' }
  document.head.append(Object.assign(document.createElement('link'), manifest))
  try {
    const registration = await navigator.serviceWorker.register('/sw.js')
    const offer = (): void => {
      const { waiting } = registration
      if (!waiting || !navigator.serviceWorker.controller) return
      newer.value = () => {
        navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true })
        waiting.postMessage({ type: 'SKIP_WAITING' })
      }
    }
    offer()
    registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', offer))
  } catch (error) {
    // Without it the page needs the server to begin; all else is as it was.
    console.info(`The page is not kept on this device: ${String(error)}`)
  }
}
