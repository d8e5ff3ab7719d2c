import { numberOr } from '@/shared/described'

/** A row of the table of horizons: its cells as they are written, and what it is a change of. */
export type Row = { id?: number; version?: number; cells: Record<string, string> }
export type Difference = { row: string; column: string; theirs: string; mine: string }

const cell = (row: Row | undefined, name: string): string => row?.cells[name] ?? ''

/**
 * What is to be saved: of a row that was there the columns that were changed, a new one whole.
 * @returns with its place in the table
 */
export function changed(base: Row[], rows: Row[], columns: string[]): { place: number; row: Row; columns: string[] }[] {
  return rows
    .map((row, place) => {
      const before = row.id === undefined ? undefined : base.find(({ id }) => id === row.id)
      return { place, row, columns: columns.filter((name) => !before || cell(before, name) !== cell(row, name)) }
    })
    .filter(({ columns: names }) => names.length)
}

/**
 * The table as this person wrote it over what somebody else saved meanwhile: a cell that only one of both changed is as
 * that one has it; where both did, this person's stands, and the difference is told.
 * @param base as it was when this person began
 */
export function laidOver(base: Row[], mine: Row[], theirs: Row[], columns: string[]) {
  const byId = (rows: Row[], id?: number) => (id === undefined ? undefined : rows.find((row) => row.id === id))
  const differences: Difference[] = []
  const rows = mine.map((own): Row => {
    const there = byId(theirs, own.id)
    const before = byId(base, own.id)
    if (!there) return { cells: own.cells } // new, or deleted there meanwhile
    const cells = Object.fromEntries(
      columns.map((name) => {
        const [was, here, now] = [cell(before, name), cell(own, name), cell(there, name)]
        if (here !== was && now !== was && here !== now)
          differences.push({ row: cell(there, 'designation'), column: name, theirs: now, mine: here })
        return [name, here === was ? now : here]
      }),
    )
    return { id: own.id, version: there.version, cells }
  })
  const added = theirs.filter(({ id }) => !byId(base, id) && !byId(mine, id))
  const all = [...rows, ...added]
  return { rows: all.sort((one, other) => depth(one) - depth(other)), differences }
}

const depth = (row: Row): number => Number(numberOr(cell(row, 'upper_cm')) ?? Infinity)
