import Dexie, { type Table } from 'dexie'

/** A row of a table of a fieldbook, as the server has it, or as it was made here. */
export type Row = { book: number; table: string; id: number; row: Record<string, unknown> }
/** A fieldbook that lies on this device. */
export type Book = {
  id: number
  name: string
  columns: Record<string, [string, string, unknown][]>
  /** Rises with each change, so that another tab's worker sees that it has to read anew. */
  revision: number
  /** How the server's fieldbook stood when it was taken. */
  stamp: string
  takenAt: string
  sentAt: string | null
  profiles: number
  leftOut: number
  /** What its rows come to, as text. */
  bytes: number
}
/** How a record stands there; of a table, the horizon of one of its rows. */
export type Standing = { version?: number; values?: Record<string, unknown>; row?: number; of?: string }
/** A row of a table of horizons as it is sent: what was changed in it. */
export type TableRow = Record<string, unknown> & { id?: number | string; version?: number }
/** A write that waits for the server, in the order of its making. */
export type Waiting = {
  seq?: number
  book: number
  key: string
  method: string
  path: string
  query: string
  body: Record<string, unknown> | null
  version: number | null
  after: string | null
  at: string
  /** What it is a change of, in a person's words; nothing where that has no name. */
  of?: string
  file?: Blob
  /** Why the server did not take it, and how the record stands there. */
  refused?: Record<string, unknown> & { status: number; detail: string; standing?: Standing; current?: Standing }
}
/** A number that this device gave, the name that stays, and the number the server gave since. */
export type Own = { own: number; uid: string; book: number; id: number | null }

/** What lies on this device of one person: nobody else's page opens it. */
export class Store extends Dexie {
  rows!: Table<Row, [number, string, number]>
  books!: Table<Book, number>
  waiting!: Table<Waiting, number>
  owns!: Table<Own, number>
  pictures!: Table<{ photo: number; file: Blob }, number>

  constructor(account: number) {
    super(`grittle.${account}`)
    this.version(1).stores({
      rows: '[book+table+id], book',
      books: 'id',
      waiting: '++seq, book, key',
      owns: 'own, uid, book',
      pictures: 'photo',
    })
  }
}
