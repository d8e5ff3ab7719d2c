import type { State } from './keeper'
import { without } from './packing'
import type { TableRow } from './store'

type Waiting = State['waiting'][number]

/** What a write does, in a person's words, by where it goes. */
const SAYS: [RegExp, string][] = [
  [/^POST \/api\/sites$/, 'New site'],
  [/^POST \/api\/sites\/[^/]+\/profiles$/, 'New profile'],
  [/^POST \/api\/sites\/[^/]+\/move$/, 'Order of sites'],
  [/^PATCH \/api\/sites/, 'Site'],
  [/^POST \/api\/profiles\/[^/]+\/horizons$/, 'New horizon'],
  [/^POST \/api\/profiles\/[^/]+\/samples$/, 'New samples'],
  [/^POST \/api\/profiles\/[^/]+\/duplicate$/, 'Next profile'],
  [/^POST \/api\/profiles\/[^/]+\/undo$/, 'Change of layers undone'],
  [/^PUT \/api\/profiles\/[^/]+\/table$/, 'Table of horizons'],
  [/^PATCH \/api\/profiles/, 'Profile'],
  [/^PATCH \/api\/horizons/, 'Horizon'],
  [/^POST \/api\/horizons\/[^/]+\/split$/, 'Split horizon'],
  [/^POST \/api\/horizons\/[^/]+\/merge$/, 'Merged horizons'],
  [/^POST \/api\/horizons\/[^/]+\/boundary$/, 'Boundary'],
  [/^POST \/api\/readings$/, 'New reading'],
  [/^POST \/api\/readings\/[^/]+\/(measured-)?ribbons$/, 'Ribbon'],
  [/^PATCH \/api\/readings\/[^/]+\/ribbons/, 'Corrected ribbon'],
  [/^DELETE \/api\/readings\/[^/]+\/ribbons/, 'Ribbon taken back'],
  [/^POST \/api\/readings\/[^/]+\/assignments$/, 'Class'],
  [/^PUT \/api\/readings\/[^/]+\/expectation$/, 'Expected class'],
  [/^PUT \/api\/readings\/[^/]+\/place$/, 'Step of the bench'],
  [/^PATCH \/api\/readings/, 'Answer'],
  [/^POST \/api\/photos/, 'Photograph'],
  [/\/findings$/, 'Finding'],
  [/\/api\/samples/, 'Sample'],
  [/\/api\/companion/, 'Companion test'],
]

const NAMED = ['name', 'designation', 'label', 'code', 'test'] as const
const YES_OR_NO: Record<string, string> = { true: 'yes', false: 'no' }
const plain = (value: unknown): string => YES_OR_NO[String(value)] ?? String(value).replaceAll('_', ' ')

const told = (given: object): string =>
  Object.entries(given)
    .map(([name, value]) =>
      value === null
        ? `${plain(name)} taken back`
        : `${plain(name)}: ${typeof value === 'object' ? '…' : plain(value)}`,
    )
    .join(', ')

/** Values by field, those that are described among them. */
const fields = ({ described, ...values }: Record<string, unknown>): Record<string, unknown> => ({
  ...values,
  ...(described as Record<string, unknown> | null | undefined),
})

function detail({ method, body, query }: Waiting): string {
  const given = (body ?? {}) as Record<string, unknown>
  if (given.answers) return told(given.answers)
  if (Array.isArray(given.rows)) return `${given.rows.length} ${given.rows.length === 1 ? 'row' : 'rows'}`
  if (given.length) return `${plain(given.length)} ${plain(given.unit)}`
  if (method === 'PATCH') return told(fields(given))
  const named = NAMED.find((name) => given[name])
  return named ? plain(given[named]) : (new URLSearchParams(query).get('name') ?? '')
}

/** @returns what it is, and of what, with what it says where that is short */
export function says(write: Waiting): [what: string, detail: string] {
  const what = SAYS.find(([pattern]) => pattern.test(`${write.method} ${write.path}`))?.[1] ?? 'Change'
  return [what, [write.of, detail(write)].filter(Boolean).join(' · ')]
}

/** Both versions of what two people changed, by field. */
export function apart({ refused, body }: Waiting): { key: string; label: string; theirs: string; mine: string }[] {
  const { values = {}, row, of } = refused?.standing ?? {}
  const theirs = fields(values)
  const mine = row === undefined ? (body ?? {}) : without((body!.rows as TableRow[])[row]!, 'id', 'version')
  return Object.entries(fields(mine)).map(([name, value]) => ({
    key: name,
    label: of ? `${of}, ${plain(name)}` : plain(name),
    theirs: theirs[name] === null || theirs[name] === undefined ? '' : plain(theirs[name]),
    mine: value === null ? '' : plain(value),
  }))
}
