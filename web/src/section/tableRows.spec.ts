import { expect, test } from 'vitest'
import { changed, laidOver, type Row } from './tableRows'

const row = (id: number | undefined, designation: string, upper_cm: string, note = '', version = 1): Row => ({
  ...(id ? { id, version } : {}),
  cells: { designation, upper_cm, note },
})
const COLUMNS = ['designation', 'upper_cm', 'note']
const base = [row(1, 'A', '0'), row(2, 'B', '20')]
const lay = (mine: Row[], theirs: Row[]) => laidOver(base, mine, theirs, COLUMNS)

test('what is saved are the columns that were changed, and new rows whole', () => {
  const rows = [row(1, 'A', '0'), row(2, 'Bt', '20', 'stony'), row(undefined, 'C', '60')]
  expect(changed(base, rows, COLUMNS)).toEqual([
    { place: 1, row: rows[1], columns: ['designation', 'note'] },
    { place: 2, row: rows[2], columns: COLUMNS },
  ])
  expect(changed(base, base, COLUMNS)).toEqual([])
})

test('what only one of both changed stands, and what both changed is told', () => {
  const mine = [row(1, 'Ap', '0', 'stony'), row(2, 'B', '20')]
  const theirs = [row(1, 'Ah', '0', '', 2), row(2, 'B', '25', '', 2)]
  const { rows, differences } = lay(mine, theirs)
  expect(rows).toEqual([row(1, 'Ap', '0', 'stony', 2), row(2, 'B', '25', '', 2)])
  expect(differences).toEqual([{ row: 'Ah', column: 'designation', theirs: 'Ah', mine: 'Ap' }])
})

test('rows of both are kept in the order of their depths, and one deleted there is added anew', () => {
  const mine = [...base, row(undefined, 'C', '60')]
  const theirs = [row(2, 'B', '20'), row(3, 'BC', '40')]
  const { rows, differences } = lay(mine, theirs)
  expect(rows.map(({ id, cells }) => [id, cells.designation])).toEqual([
    [undefined, 'A'],
    [2, 'B'],
    [3, 'BC'],
    [undefined, 'C'],
  ])
  expect(differences).toEqual([])
})
