/** Ruby's own values in script: a hash is a Map, nil an object of its own; symbols are texts. */
type Ruby = { nil: unknown; Device: Record<string, (...args: unknown[]) => unknown> }
const ruby = (): Ruby => (globalThis as unknown as { Opal: Ruby }).Opal

function toRuby(value: unknown): unknown {
  if (value === null || value === undefined) return ruby().nil
  if (Array.isArray(value)) return value.map(toRuby)
  if (typeof value !== 'object') return value
  return new Map(Object.entries(value).map(([name, part]) => [name, toRuby(part)]))
}

function fromRuby(value: unknown): unknown {
  if (value === ruby().nil) return null
  if (Array.isArray(value)) return value.map(fromRuby)
  if (value instanceof Map) return Object.fromEntries([...value].map(([name, part]) => [name, fromRuby(part)]))
  // Texts that are objects, as Ruby makes them where something is said of one.
  return value instanceof String || value instanceof Number ? value.valueOf() : value
}

/** Calls a method of device/lib/bench.rb or device/lib/device.rb with plain values. */
export const call = (name: string, args: unknown[]): unknown =>
  fromRuby(ruby().Device[`$${name}`]!(...args.map(toRuby)))

/** A part of the core that could not be loaded. */
export class NotFetched extends Error {}
/** A part as it is imported; refused with NotFetched, so that its worker can be begun anew. */
export const fetched = <T>(part: Promise<T>): Promise<T> =>
  part.catch((error) => {
    throw new NotFetched(String(error))
  })

/** The core as far as a verdict needs it; it is loaded once, when it is first asked. */
export const withBench = async (): Promise<void> => void (await fetched(import('./ruby/bench.js')))

/** What a pit needs beyond the bench, with the server's models and routes for what lies on this device. */
export async function withPit(): Promise<void> {
  await withBench()
  await fetched(import('./ruby/pit.js'))
}

/** The rest of the core. */
export async function withDesk(): Promise<void> {
  await withPit()
  await fetched(import('./ruby/desk.js'))
}
