import { useEventListener } from '@vueuse/core'
import { onScopeDispose } from 'vue'

type Handler = (key: string) => boolean
const handlers: Handler[] = []

/** Gives single keys to a part of the bench while it is shown; the newest part is asked first. True means taken. */
export function useBenchKeys(handler: Handler): void {
  handlers.unshift(handler)
  onScopeDispose(() => handlers.splice(handlers.indexOf(handler), 1))
}

/** Listens for the whole bench. Keys meant for a text line, a dialog or a focused button are left alone. */
export function listenForBenchKeys(): void {
  useEventListener(
    window,
    'keydown',
    (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return
      const target = event.target as HTMLElement
      // While a dialog is open every key is its own, wherever the focus stands.
      if (target.closest('input, textarea, select') || document.querySelector('[role="dialog"]')) return
      // Enter presses a focused button, unless it is already chosen: then it goes on.
      const pressable = target.closest('button, a')
      if (event.key === ' ' && pressable) return
      if (event.key === 'Enter' && pressable && !pressable.matches('[aria-pressed="true"], [aria-current="step"]'))
        return
      if (handlers.some((handler) => handler(event.key))) event.preventDefault()
    },
    { capture: true },
  )
  // A key pressed by thumb or mouse keeps no focus, so that Enter still means the next step.
  useEventListener(window, 'click', (event: MouseEvent) => {
    const pressed = (event.target as HTMLElement).closest<HTMLElement>('button, a')
    if (event.detail > 0 && pressed && !pressed.closest('[role="dialog"]')) pressed.blur()
  })
}
