import { call, withDesk } from './ruby'

/** What the page asks, and what it is answered. */
export type Asked = { id: number; name: string; args: unknown[] }
export type Answered = { id: number; value?: unknown; failed?: string }

globalThis.onmessage = async ({ data: { id, name, args } }: MessageEvent<Asked>) => {
  let answered: Answered
  try {
    if (name === 'desk') await withDesk()
    answered = { id, value: name === 'desk' ? null : call(name, args) }
  } catch (error) {
    answered = { id, failed: error instanceof Error ? `${error.name}: ${error.message}` : String(error) }
  }
  globalThis.postMessage(answered)
}
