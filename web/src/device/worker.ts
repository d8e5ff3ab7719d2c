import type { Asked as Request, Keeper, Place } from './keeper'
import { call, withBench, withDesk, withPit } from './ruby'

/** What the page asks, and what it is answered. */
export type Asked = { id: number; name: string; args: unknown[] }
export type Answered = { id: number; value?: unknown; failed?: string }

/** What a bench asks of the core: all else needs what lies on the device. */
const OF_THE_BENCH = new Set(['assess', 'preview', 'run_specs'])

// An answer at any bench, some times over: the core works its tables out, and the browser compiles what it runs often.
const TRIES = 18 // until the times stand still [our own: measured]
const STAGES = ['none', 'estimate', 'none', 'full']
const RUBS = ['neither', 'very_gritty', 'very_smooth']
const ANY = {
  method: {},
  observations: { ball_holds: true },
  moisture: { answers: [] },
  ribbons: [41, 47].map((length_mm, id) => ({ id, length_mm })),
  own_hand: null,
  assessment: { contradictions: [] },
}
async function warm(): Promise<void> {
  // What the page asks meanwhile comes first.
  const others = () => new Promise((go) => setTimeout(go))
  for (const system of call('systems', []) as string[]) {
    call('know_names', [system])
    await others()
  }
  for (let done = 0; done < TRIES; done += 1) {
    const ribbon = { method: 'POST', path: '/api/readings/1/ribbons', body: { length: 30 + done, unit: 'mm' } }
    const rub = { method: 'PATCH', path: '/api/readings/1', body: { answers: { wet_rub: RUBS[done % RUBS.length] } } }
    call('preview', [ANY, done % 2 ? [ribbon, rub] : [rub], STAGES[done % STAGES.length]])
    await others()
  }
}

/** What is loaded without being asked anything yet. */
const LOADED: Record<string, () => Promise<void>> = { bench: () => withBench().then(warm), desk: withDesk }

const keepers = new Map<number, Promise<Keeper>>()
function keeper({ account }: Place): Promise<Keeper> {
  const known = keepers.get(account) ?? import('./keeper').then(({ Keeper }) => new Keeper(account))
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
    answered = { id, failed: said(error) }
  }
  globalThis.postMessage(answered)
}
