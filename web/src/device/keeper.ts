import { call, withPit } from './ruby'
import { FIRST_OWN, withoutOwn } from './numbers'
import { base64, fromBase64, renamed, unpacked, without, type Mirror } from './packing'
import { Store, type Book, type TableRow, type Waiting } from './store'

/** Who asks, in which fieldbook, below which address. */
export type Place = { account: number; book: number; base: string; person: number | null; role: string }
export type Asked = {
  method: string
  path: string
  body: Record<string, unknown> | null
  key: string
  file?: Blob
}
export type Answer = { status: number; body: unknown }
/** What the page shows of a fieldbook that lies here. */
export type Kept = Omit<Book, 'columns'>
/** What the page shows of what lies here. */
export type State = {
  book: Kept | null
  /** Other fieldbooks of the same person. */
  others: Kept[]
  waiting: Omit<Waiting, 'file'>[]
  sending: boolean
  /** Numbers that the server has given since, by those that were given here. */
  numbers: [number, number][]
}
/** What a record hangs on: by which column, in which table. */
const ABOVE: { [table: string]: [string, string] } = {
  readings: ['sample_id', 'samples'],
  samples: ['horizon_id', 'horizons'],
  horizons: ['profile_id', 'profiles'],
  companion_places: ['companion_test_id', 'companion_tests'],
  companion_tests: ['profile_id', 'profiles'],
}

type Unsent = { grittle_unsent: number; events: (Omit<Waiting, 'file' | 'book'> & { file?: string })[] }
type Found = Answer & { changes: [string, number, Record<string, unknown> | null][] }
type Result = { key: string; status: number; version?: number | null; problem?: Waiting['refused'] }

/** Writes in one delivery: as many as the API takes. */
const AT_ONCE = 100
const RECORD = /^\/api\/(sites|profiles|horizons|samples|readings|companion-tests)\/[^/]+/
const record = (path: string): string | undefined => RECORD.exec(path)?.[0]

const rowsOf = ({ body }: Pick<Waiting, 'body'>): TableRow[] => (body?.rows ?? []) as TableRow[]

/** What a write is of a horizon that stands some versions further than it stood when the write was made. */
function onwards(one: Waiting, horizon: number | string, by: number): Partial<Waiting> {
  if (record(one.path) === `/api/horizons/${horizon}` && one.version !== null) return { version: one.version + by }
  const rows = rowsOf(one)
  if (!rows.some(({ id }) => id === horizon)) return {}
  return {
    body: { ...one.body, rows: rows.map((row) => (row.id === horizon ? { ...row, version: row.version! + by } : row)) },
  }
}

/** What lies on this device of one person: rows, what waits for the server, and the way between them. */
export class Keeper {
  readonly store: Store
  private loaded: { book: number; revision: number } | undefined
  private sending: Promise<number> | undefined

  constructor(private readonly account: number) {
    this.store = new Store(account)
  }

  private waitingOf(book: number): Promise<Waiting[]> {
    return this.store.waiting.where('book').equals(book).sortBy('seq')
  }

  /** Tabs take turns: each reads what the other has written. */
  private async alone<T>(job: () => Promise<T>): Promise<T> {
    return navigator.locks ? await navigator.locks.request(`grittle.device.${this.account}`, job) : job()
  }

  private async ready(id: number): Promise<Book | undefined> {
    const book = await this.store.books.get(id)
    if (!book) return undefined
    if (this.loaded?.book === id && this.loaded.revision === book.revision) return book
    await withPit()
    const tables: Record<string, Record<string, unknown>[]> = {}
    for (const name of Object.keys(book.columns)) tables[name] = []
    await this.store.rows
      .where('book')
      .equals(id)
      .each(({ table, row }) => tables[table]?.push(row))
    const last = await this.store.owns.orderBy('own').last()
    call('load', [book.columns, tables, (last?.own ?? FIRST_OWN - 1) + 1])
    this.loaded = { book: id, revision: book.revision }
    return book
  }

  /** Answers from what lies here; null where only the server can. */
  request(place: Place, asked: Asked): Promise<Answer | null> {
    return this.alone(async () => {
      const book = await this.ready(place.book)
      if (!book) return null
      const own = await this.serverNumbers(place.book)
      const [path = '', query = ''] = this.here(asked.path, own).split('?')
      const given = {
        method: asked.method,
        path,
        query: Object.fromEntries(new URLSearchParams(query)),
        body: asked.body && JSON.parse(this.here(JSON.stringify(asked.body), own)),
        key: asked.key,
        person: place.person,
        role: place.role,
      }
      if (asked.method === 'GET') return this.shown(call('request', [given]) as Found | null)
      if (await this.store.waiting.where('key').equals(asked.key).count()) return this.again(given)
      const found = call('request', [given]) as Found | null
      // What changed nothing need not be known by the server.
      if (found?.changes.length) await this.keep(book, place, { ...asked, path, query, body: given.body }, found)
      return this.shown(found)
    })
  }

  /** A write that is kept already: what it was of is read. */
  private async again(given: { path: string }): Promise<Answer | null> {
    const path = record(given.path)
    return path
      ? this.shown(call('request', [{ ...given, method: 'GET', path, query: {}, body: null }]) as Found)
      : null
  }

  /** In one stroke: the rows, the write that waits, and the numbers that were given. */
  private async keep(book: Book, place: Place, asked: Asked & { query: string }, { changes }: Found): Promise<void> {
    const { rows, books, waiting, owns, pictures } = this.store
    await this.store.transaction('rw', [rows, books, waiting, owns, pictures], async () => {
      for (const [table, id, row] of changes) {
        if (row) await rows.put({ book: place.book, table, id, row })
        else await rows.delete([place.book, table, id])
        if (row?.uid && id >= FIRST_OWN && !(await owns.get(id)))
          await owns.put({ own: id, uid: String(row.uid), book: place.book, id: null })
        if (row && asked.file && table === 'photos') await pictures.put({ photo: id, file: asked.file })
      }
      await waiting.add(await this.event(place, asked))
      // It no longer is what the server has, whatever becomes of the write.
      await books.update(place.book, { revision: book.revision + 1, stamp: '' })
    })
    this.loaded = { book: place.book, revision: book.revision + 1 }
  }

  private async event(place: Place, asked: Asked & { query: string }): Promise<Waiting> {
    const uids = new Map((await this.store.owns.where('book').equals(place.book).toArray()).map((o) => [o.own, o.uid]))
    const named = (text: string): string => withoutOwn(text, (own) => uids.get(own) ?? String(own))
    const query = new URLSearchParams(asked.query)
    const { version: told, ...body } = asked.body ?? {}
    const version = told ?? (query.has('version') ? Number(query.get('version')) : null)
    query.delete('version')
    const path = named(asked.path)
    const own = record(path)
    const before = (await this.waitingOf(place.book)).filter((one) => own && record(one.path) === own)
    const after = version === null ? null : (before.filter((o) => o.version !== null || o.after).at(-1)?.key ?? null)
    return {
      book: place.book,
      key: asked.key,
      method: asked.method,
      path,
      query: named(query.toString()),
      body: asked.body && !asked.file ? (renamed(body, uids) as Record<string, unknown>) : null,
      version: after ? null : (version as number | null),
      after,
      at: new Date().toISOString(),
      of: await this.nameOf(place.book, asked),
      ...(asked.file ? { file: asked.file } : {}),
    }
  }

  /** The profile, the horizon, the sample that a write speaks of. */
  private async nameOf(book: number, { path, body }: Asked): Promise<string> {
    const [, kind, named] = /^\/api\/([a-z-]+)\/(\d+)/.exec(path) ?? ['', 'horizons', body?.horizon_id]
    const names: unknown[] = []
    let table: string | undefined = kind!.replace('-', '_')
    let id = Number(named)
    while (table && id) {
      const { row } = (await this.store.rows.get([book, table, id])) ?? { row: {} as Record<string, unknown> }
      names.unshift(row.designation ?? row.label ?? row.name)
      const [column, above]: [string?, string?] = ABOVE[table] ?? []
      id = Number(column && row[column])
      table = above
    }
    return names.filter(Boolean).join(' ')
  }

  /** Photographs that were taken here are shown from here. */
  private async shown(found: Found | null): Promise<Answer | null> {
    if (!found) return null
    const text = JSON.stringify(found.body)
    const photos = new Set(
      [...text.matchAll(/\/api\/photos\/(\d{16})\/(?:thumb|picture)/g)].map(([, id]) => Number(id)),
    )
    let body = found.body
    if (photos.size) {
      const files = await this.store.pictures.bulkGet([...photos])
      const urls = new Map(files.flatMap((one) => (one ? [[one.photo, this.url(one.photo, one.file)]] : [])))
      body = JSON.parse(
        text.replace(/\/api\/photos\/(\d{16})\/(?:thumb|picture)/g, (path, id) => urls.get(Number(id)) ?? path),
      )
    }
    return { status: found.status, body }
  }

  private readonly urls = new Map<number, string>()
  private url(photo: number, file: Blob): string {
    const known = this.urls.get(photo) ?? URL.createObjectURL(file)
    this.urls.set(photo, known)
    return known
  }

  /** Takes a fieldbook onto the device, unless something of it still waits. */
  async take(place: Place, name: string): Promise<boolean> {
    const before = await this.store.books.get(place.book)
    const mirror = await this.ask<Mirror>(place, 'GET', `/api/mirror${before ? `?have=${before.stamp}` : ''}`)
    return this.alone(async () => {
      if (await this.store.waiting.where('book').equals(place.book).count()) return false
      if (mirror.unchanged) {
        await this.store.books.update(place.book, { takenAt: new Date().toISOString() })
        return true
      }
      await this.lay(place.book, name, mirror)
      return true
    })
  }

  /** Lays over it what has changed of a profile, or of a reading by itself. */
  async renew(place: Place, part: string): Promise<void> {
    if (!(await this.store.books.get(place.book))) return
    const mirror = await this.ask<Mirror>(place, 'GET', `/api/mirror?${part}`).catch((error) => {
      if (!(error as { refused?: unknown }).refused) throw error
    })
    if (!mirror) return // the server has it no longer, or not for this person
    const all = unpacked(place.book, mirror)
    await this.alone(async () => {
      const { rows, books, waiting } = this.store
      if (await waiting.where('book').equals(place.book).count()) return
      const book = await books.get(place.book)
      if (!book) return
      const revision = book.revision + 1
      await this.store.transaction('rw', [rows, books], async () => {
        await rows.bulkPut(all)
        await books.update(place.book, { revision })
      })
      // Where nobody has asked the device for anything yet, Ruby has nothing of it either.
      if (this.loaded?.book !== place.book || this.loaded.revision !== book.revision) return
      call('lay', [all.map(({ table, id, row }) => [table, id, row])])
      this.loaded = { book: place.book, revision }
    })
  }

  private async lay(id: number, name: string, mirror: Mirror): Promise<void> {
    const { rows, books, owns } = this.store
    const all = unpacked(id, mirror)
    const before = await books.get(id)
    const numbers = new Map(all.flatMap(({ row, id: number }) => (row.uid ? [[String(row.uid), number]] : [])))
    await this.store.transaction('rw', [rows, books, owns], async () => {
      await rows.where('book').equals(id).delete()
      await rows.bulkPut(all)
      await owns
        .where('book')
        .equals(id)
        .modify((one) => void (one.id = numbers.get(one.uid) ?? one.id))
      await books.put({
        id,
        name,
        columns: mirror.columns,
        stamp: mirror.stamp,
        revision: (before?.revision ?? 0) + 1,
        takenAt: new Date().toISOString(),
        sentAt: before?.sentAt ?? null,
        profiles: mirror.profiles,
        leftOut: mirror.left_out,
        bytes: JSON.stringify(mirror.rows).length,
      })
    })
  }

  /**
   * Sends what waits, in its order, each once; ends at the first that is refused, or without an answer.
   * @returns how many the server took
   */
  send(place: Place, device: string): Promise<number> {
    this.sending ??= this.alone(() => this.sendAll(place, device)).finally(() => (this.sending = undefined))
    return this.sending
  }

  /** Of each fieldbook by itself: what is refused in one holds up no other. */
  private async sendAll(place: Place, device: string): Promise<number> {
    const books = new Set((await this.store.waiting.orderBy('book').uniqueKeys()) as number[])
    let taken = 0
    for (const book of books) {
      const own = book === place.book ? place : { ...place, book, base: `/fieldbooks/${book}` }
      taken += await this.sendBook(own, device)
    }
    return taken
  }

  private async sendBook(place: Place, device: string): Promise<number> {
    let taken = 0
    for (;;) {
      const all = await this.waitingOf(place.book)
      const first = all[0]
      if (!first || first.refused) break
      const results = first.file ? [await this.sendFile(place, first)] : await this.deliver(place, device, all)
      await this.settle(all, results)
      const accepted = results.filter(({ status }) => status < 400).length
      taken += accepted
      if (!accepted || accepted < results.length) break
    }
    if (!taken) return 0
    await this.store.books.update(place.book, { sentAt: new Date().toISOString() })
    if (await this.store.waiting.where('book').equals(place.book).count()) return taken
    const book = await this.store.books.get(place.book)
    if (book) await this.lay(place.book, book.name, await this.ask<Mirror>(place, 'GET', '/api/mirror'))
    return taken
  }

  private async deliver(place: Place, device: string, all: Waiting[]): Promise<Result[]> {
    const until = all.findIndex(({ file, refused }) => file || refused)
    const events = all.slice(0, Math.min(until < 0 ? all.length : until, AT_ONCE)).map((one) => ({
      key: one.key,
      method: one.method,
      path: one.path,
      query: one.query,
      body: one.body,
      version: one.version,
      after: one.after,
      at: one.at,
    }))
    const body = { device, clock: new Date().toISOString(), events }
    return (await this.ask<{ results: Result[] }>(place, 'POST', '/api/deliveries', JSON.stringify(body))).results
  }

  private async sendFile(place: Place, one: Waiting): Promise<Result> {
    try {
      await this.ask(place, 'POST', `${one.path}?${one.query}`, one.file, one.key)
      return { key: one.key, status: 201 }
    } catch (error) {
      const refused = (error as { refused?: Waiting['refused'] }).refused
      if (!refused || refused.status === 503 || refused.status === 429) throw error
      return { key: one.key, status: refused.status, problem: refused }
    }
  }

  private settle(all: Waiting[], results: Result[]): Promise<void> {
    return this.store.transaction('rw', this.store.waiting, async () => {
      for (const { key, status, version, problem } of results) {
        const one = all.find((each) => each.key === key)
        if (!one) continue
        if (status >= 400) {
          await this.store.waiting.update(one.seq!, { refused: problem })
          continue
        }
        await this.store.waiting.delete(one.seq!)
        await this.store.waiting
          .where('book')
          .equals(one.book)
          .filter(({ after }) => after === key)
          .modify({ version: version ?? null, after: null })
      }
    })
  }

  /** After a refusal: on top of what stands there now, or not at all. */
  async resolve(seq: number, choice: 'mine' | 'drop'): Promise<void> {
    const one = await this.store.waiting.get(seq)
    if (!one) return
    const standing = one.refused?.standing ?? one.refused?.current
    if (standing?.row !== undefined) return this.resolveRow(one, standing.row, standing.version!, choice)
    if (choice === 'drop') {
      await this.store.waiting.delete(seq)
      const next = this.store.waiting
        .where('book')
        .equals(one.book)
        .filter(({ after }) => after === one.key)
      await next.modify({ version: standing?.version ?? one.version, after: null })
    } else await this.store.waiting.update(seq, { refused: undefined, version: standing?.version ?? one.version })
  }

  /** The same of one row of a table; the others go on as they were written. */
  private async resolveRow(one: Waiting, place: number, version: number, choice: 'mine' | 'drop'): Promise<void> {
    const all = rowsOf(one)
    const own = all[place]!
    const rows = choice === 'drop' ? all.toSpliced(place, 1) : all.with(place, { ...own, version })
    const further = version - own.version! - (choice === 'drop' ? 1 : 0)
    await this.store.transaction('rw', this.store.waiting, async () => {
      if (rows.length) await this.store.waiting.update(one.seq!, { refused: undefined, body: { ...one.body, rows } })
      else await this.store.waiting.delete(one.seq!)
      // What was written later was written on what this would have left.
      for (const later of (await this.waitingOf(one.book)).filter(({ seq }) => seq! > one.seq!))
        await this.store.waiting.update(later.seq!, onwards(later, own.id!, further))
    })
  }

  async state(place: Place): Promise<State> {
    const books = (await this.store.books.toArray()).map((one) => without(one, 'columns'))
    const waiting = await this.waitingOf(place.book)
    return {
      book: books.find(({ id }) => id === place.book) ?? null,
      others: books.filter(({ id }) => id !== place.book),
      waiting: waiting.map((one) => without(one, 'file')),
      sending: this.sending !== undefined,
      numbers: [...(await this.serverNumbers(place.book))],
    }
  }

  /** What waits, as a file that any Grittle takes in. */
  async unsent(place: Place): Promise<unknown> {
    const events = await this.waitingOf(place.book)
    const packed = await Promise.all(
      events.map(async (one) => ({
        ...without(one, 'file', 'seq', 'refused', 'book'),
        ...(one.file ? { file: await base64(one.file) } : {}),
      })),
    )
    return { grittle_unsent: 1, clock: new Date().toISOString(), events: packed }
  }

  /** Takes in what another device could not send; what is here already is left out. */
  async takeIn(place: Place, packed: Unsent): Promise<number> {
    if (packed?.grittle_unsent !== 1 || !Array.isArray(packed.events))
      throw new Error('This is no file of unsent work: “Export the unsent” writes one.')
    const known = new Set((await this.waitingOf(place.book)).map(({ key }) => key))
    const fresh = packed.events.filter(({ key }) => !known.has(key))
    const all = fresh.map(({ file, ...one }) => ({
      ...one,
      book: place.book,
      ...(file ? { file: fromBase64(file) } : {}),
    }))
    await this.store.waiting.bulkAdd(all as Waiting[])
    return all.length
  }

  /** Takes a fieldbook off the device, unless something of it waits. */
  async forget(book: number): Promise<void> {
    if (await this.store.waiting.where('book').equals(book).count()) return
    const { rows, books, owns, pictures } = this.store
    await this.store.transaction('rw', [rows, books, owns, pictures], async () => {
      const mine = await owns.where('book').equals(book).primaryKeys()
      await pictures.bulkDelete(mine)
      await rows.where('book').equals(book).delete()
      await books.delete(book)
    })
    this.loaded = undefined
  }

  private async serverNumbers(book: number): Promise<Map<number, number>> {
    const known = await this.store.owns
      .where('book')
      .equals(book)
      .filter(({ id }) => id !== null)
      .toArray()
    return new Map(known.map(({ own, id }) => [own, id!]))
  }

  private here(text: string, numbers: Map<number, number>): string {
    return withoutOwn(text, (own) => String(numbers.get(own) ?? own))
  }

  private async ask<T>(place: Place, method: string, path: string, body?: BodyInit, key?: string): Promise<T> {
    const response = await fetch(place.base + path, {
      method,
      body,
      headers: {
        'Grittle-Account': String(place.account),
        ...(body ? { 'Content-Type': body instanceof Blob ? 'application/octet-stream' : 'application/json' } : {}),
        ...(key ? { 'Idempotency-Key': key } : {}),
      },
    })
    if (response.ok) return (await response.json()) as T
    const refused = (await response.json().catch(() => null)) as Waiting['refused'] | null
    throw Object.assign(new Error(refused?.detail ?? 'No answer'), { refused: refused ?? undefined })
  }
}
