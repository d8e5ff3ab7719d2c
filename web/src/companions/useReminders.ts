import { useTitle } from '@vueuse/core'
import { computed, watch } from 'vue'
import { sound, useTimers, type Timer } from './useTimers'

const TOLD = 'grittle.reminded'
/** Reminders that are remembered, so that another tab or a reload does not tell them again. */
const MOST = 200

/** What each timer was told at: its reminder, and again when it is due. */
function firstTime(key: string): boolean {
  const told = JSON.parse(localStorage.getItem(TOLD) ?? '[]') as string[]
  if (told.includes(key)) return false
  localStorage.setItem(TOLD, JSON.stringify([...told, key].slice(-MOST)))
  return true
}

/** Two short notes; nothing where the browser allows no sound before somebody has touched the page. */
function ring(): void {
  if (!navigator.userActivation?.hasBeenActive) return
  try {
    const context = new AudioContext()
    for (const [at, pitch] of [
      [0, 660],
      [0.25, 880],
    ] as const) {
      const note = context.createOscillator()
      const volume = context.createGain()
      note.frequency.value = pitch
      volume.gain.setValueAtTime(0.25, context.currentTime + at)
      volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + at + 0.22)
      note.connect(volume).connect(context.destination)
      note.start(context.currentTime + at)
      note.stop(context.currentTime + at + 0.23)
    }
    setTimeout(() => void context.close(), 1000)
  } catch {
    // No sound here: strip, title and notification are there.
  }
}

const said = (timer: Timer) => `${timer.title}, ${timer.place}: ${timer.label.toLowerCase()}`

function notify(timer: Timer): void {
  if (!('Notification' in window) || Notification.permission !== 'granted') return
  try {
    new Notification(timer.left > 0 ? 'Look soon' : 'Look now', { body: said(timer), tag: timer.key })
  } catch {
    // Some phones allow notifications to installed pages alone.
  }
}

/** Reminds of looks: a sound that can be turned off, a notification where it is allowed, a count in the title. */
export function useReminders(): void {
  const { timers, due } = useTimers()
  watch(
    () =>
      timers.value
        .filter(({ reminded }) => reminded)
        .map((timer) => ({ timer, stage: timer.left > 0 ? 'soon' : 'due' })),
    (told) => {
      const fresh = told.filter(({ timer, stage }) => firstTime(`${timer.key}-${stage}`))
      if (fresh.length && sound.value) ring()
      for (const { timer } of fresh) notify(timer)
    },
  )
  // Whatever page sets the title, the count stays before it.
  const title = useTitle(null, { observe: true })
  const count = computed(() => due.value.length)
  watch(
    [title, count],
    () => {
      const plain = (title.value ?? '').replace(/^\(\d+\) /, '')
      const wanted = count.value ? `(${count.value}) ${plain}` : plain
      if (title.value !== wanted) title.value = wanted
    },
    { immediate: true, flush: 'post' },
  )
}
