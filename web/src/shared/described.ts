import type { Schemas } from '@/api'

export type Field = Schemas['Field']
export type Written = Record<string, string>

/** What was described, as the lines of a form hold it. */
export const written = (fields: Field[], described: object | null | undefined): Written => {
  const kept = (described ?? {}) as Record<string, unknown>
  return Object.fromEntries(
    fields.map(({ name }) => [name, kept[name] === undefined || kept[name] === null ? '' : String(kept[name])]),
  )
}

/** Only what was changed, so that nobody else's field is written over. */
export const changes = (now: Written, before: Written): Written =>
  Object.fromEntries(Object.entries(now).filter(([name, value]) => value !== before[name]))

/** What the fields of a group are called, in the order of the catalogue. */
export const groups = (fields: Field[]): { name: string; fields: Field[] }[] => {
  const names = [...new Set(fields.map(({ group }) => group ?? ''))]
  return names.map((name) => ({ name, fields: fields.filter(({ group }) => (group ?? '') === name) }))
}

/** A kept value as a person reads it. */
export const saidOf = (field: Field, value: unknown): string => {
  if (field.type === 'flag') return value ? 'yes' : 'no'
  return (
    field.words?.find((word) => word.value === value)?.name ?? `${String(value)}${field.unit ? ` ${field.unit}` : ''}`
  )
}

/** A number where it is one; else the text as it is, for the server to name. */
export const numberOr = (text: string): number | string | undefined => {
  const plain = text.trim().replace(',', '.')
  return plain === '' ? undefined : Number.isFinite(Number(plain)) ? Number(plain) : text
}
