import type { Book, Row } from './store'

/** A fieldbook as the server gives it: see GET /api/mirror. */
export type Mirror = {
  stamp: string
  unchanged?: boolean
  columns: Book['columns']
  rows: Record<string, unknown[][]>
  profiles: number
  left_out: number
}

/** The rows of a mirror, one by one. */
export function unpacked(book: number, mirror: Mirror): Row[] {
  return Object.entries(mirror.rows).flatMap(([table, values]) => {
    const names = mirror.columns[table]!.map(([column]) => column)
    return values.map((row) => {
      const named = Object.fromEntries(names.map((column, at) => [column, row[at]]))
      return { book, table, id: named.id as number, row: named }
    })
  })
}

/** Names in place of the numbers that were given here. */
export function renamed(value: unknown, uids: Map<number, string>): unknown {
  if (typeof value === 'number') return uids.get(value) ?? value
  if (Array.isArray(value)) return value.map((one) => renamed(one, uids))
  if (!value || typeof value !== 'object') return value
  return Object.fromEntries(Object.entries(value).map(([name, part]) => [name, renamed(part, uids)]))
}

/** The same but for some of its parts. */
export function without<T extends object, K extends keyof T>(one: T, ...names: K[]): Omit<T, K> {
  const rest = { ...one }
  for (const name of names) delete rest[name]
  return rest
}

const PIECE = 8192 // bytes that are turned into text at once
export async function base64(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  let text = ''
  for (let at = 0; at < bytes.length; at += PIECE) text += String.fromCharCode(...bytes.subarray(at, at + PIECE))
  return btoa(text)
}

export const fromBase64 = (text: string): Blob =>
  new Blob([Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0))], { type: 'application/octet-stream' })
