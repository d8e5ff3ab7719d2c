import type { Asked as Request, Keeper, Place } from './keeper'
import { NotFetched, call, fetched, withBench, withDesk, withPit } from './ruby'

/** What the page asks, and what it is answered. */
export type Asked = { id: number; name: string; args: unknown[] }
export type Answered = {
  id: number
  value?: unknown
  failed?: string
  /** Whether a part of this worker is missing: what could not be fetched once is not asked for again by the browser. */
  incomplete?: boolean
}

/** What a bench asks of the core: all else needs what lies on the device. */
const OF_THE_BENCH = new Set(['assess', 'preview', 'warm', 'run_specs'])

// What the page asks meanwhile comes first.
const others = () => new Promise((go) => setTimeout(go))
async function warm(): Promise<void> {
  for (let nth = 0; call('warm', [nth]); nth += 1) await others()
}

/** What is loaded without being asked anything yet. */
const LOADED: Record<string, () => Promise<void>> = { bench: () => withBench().then(warm), desk: withDesk }

const keepers = new Map<number, Promise<Keeper>>()
function keeper({ account }: Place): Promise<Keeper> {
  const known = keepers.get(account) ?? fetched(import('./keeper')).then(({ Keeper }) => new Keeper(account))
  keepers.set(account, known)
  return known
}

// What is kept on the device, by the page's word for it; anything else is a method of Ruby's.
const KEPT: Record<string, (kept: Keeper, place: Place, ...args: never[]) => Promise<unknown>> = {
  answer: (kept, place, asked: Request) => kept.request(place, asked),
  take: (kept, place, name: string) => kept.take(place, name),
  renew: (kept, place, part: string) => kept.renew(place, part),
  send: (kept, place, device: string) => kept.send(place, device),
  state: (kept, place) => kept.state(place),
  resolve: (kept, _, seq: number, choice: 'mine' | 'drop') => kept.resolve(seq, choice),
  unsent: (kept, place) => kept.unsent(place),
  takeIn: (kept, place, packed) => kept.takeIn(place, packed),
  forget: (kept, _, book: number) => kept.forget(book),
}

// Ruby's errors know where they were raised.
function said(error: unknown): string {
  const { name, message, stack } = error as { name?: string; message?: string; stack?: string }
  return [`${name}: ${message}`, ...(stack ?? '').split('\n').slice(1, 9)].join('\n')
}

async function value(name: string, args: unknown[]): Promise<unknown> {
  if (name in LOADED) return LOADED[name]!()
  const kept = KEPT[name]
  if (kept) return kept(await keeper(args[0] as Place), args[0] as Place, ...(args.slice(1) as never[]))
  await (OF_THE_BENCH.has(name) ? withBench() : withPit())
  return call(name, args)
}

globalThis.onmessage = async ({ data: { id, name, args } }: MessageEvent<Asked>) => {
  let answered: Answered
  try {
    answered = { id, value: await value(name, args) }
  } catch (error) {
    answered = { id, failed: said(error), incomplete: error instanceof NotFetched }
  }
  globalThis.postMessage(answered)
}
