import { Keeper, type Asked as Request, type Place } from './keeper'
import { call, withDesk } from './ruby'

/** What the page asks, and what it is answered. */
export type Asked = { id: number; name: string; args: unknown[] }
export type Answered = { id: number; value?: unknown; failed?: string }

const keepers = new Map<number, Keeper>()
function keeper({ account }: Place): Keeper {
  const known = keepers.get(account) ?? new Keeper(account)
  keepers.set(account, known)
  return known
}

// What is kept on the device, by the page's word for it; anything else is a method of device/lib/device.rb.
const KEPT: Record<string, (place: Place, ...args: never[]) => Promise<unknown>> = {
  answer: (place, asked: Request) => keeper(place).request(place, asked),
  take: (place, name: string) => keeper(place).take(place, name),
  renew: (place, part: string) => keeper(place).renew(place, part),
  send: (place, device: string) => keeper(place).send(place, device),
  state: (place) => keeper(place).state(place),
  resolve: (place, seq: number, choice: 'mine' | 'drop') => keeper(place).resolve(seq, choice),
  unsent: (place) => keeper(place).unsent(place),
  takeIn: (place, packed) => keeper(place).takeIn(place, packed),
  forget: (place, book: number) => keeper(place).forget(book),
}

// Ruby's errors know where they were raised.
function said(error: unknown): string {
  const { name, message, stack } = error as { name?: string; message?: string; stack?: string }
  return [`${name}: ${message}`, ...(stack ?? '').split('\n').slice(1, 9)].join('\n')
}

async function value(name: string, args: unknown[]): Promise<unknown> {
  if (name === 'desk') return withDesk()
  const kept = KEPT[name]
  return kept ? kept(args[0] as Place, ...(args.slice(1) as never[])) : call(name, args)
}

globalThis.onmessage = async ({ data: { id, name, args } }: MessageEvent<Asked>) => {
  let answered: Answered
  try {
    answered = { id, value: await value(name, args) }
  } catch (error) {
    answered = { id, failed: said(error) }
  }
  globalThis.postMessage(answered)
}
