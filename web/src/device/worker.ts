import { call, withDesk } from './ruby'

/** What the page asks, and what it is answered. */
export type Asked = { id: number; name: string; args: unknown[] }
export type Answered = { id: number; value?: unknown; failed?: string }

// Ruby's errors know where they were raised.
function said(error: unknown): string {
  const { name, message, stack } = error as { name?: string; message?: string; stack?: string }
  return [`${name}: ${message}`, ...(stack ?? '').split('\n').slice(1, 9)].join('\n')
}

globalThis.onmessage = async ({ data: { id, name, args } }: MessageEvent<Asked>) => {
  let answered: Answered
  try {
    if (name === 'desk') await withDesk()
    answered = { id, value: name === 'desk' ? null : call(name, args) }
  } catch (error) {
    answered = { id, failed: said(error) }
  }
  globalThis.postMessage(answered)
}
