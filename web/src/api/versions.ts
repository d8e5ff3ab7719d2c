type Versioned = { id: number; version: number }

/** The version of each record that the server has told this page last. */
const told = new Map<string, number>()

/** A reading; or a profile with its horizons and samples. */
function recordsIn(answer: unknown): [string, number][] {
  const { id, version, observations, horizons, samples } = (answer ?? {}) as Record<string, unknown>
  const each = (kind: string, all: unknown): [string, number][] =>
    ((all ?? []) as Versioned[]).map((one) => [`${kind} ${one.id}`, one.version])
  if (observations) return [[`reading ${id}`, version as number]]
  if (!Array.isArray(horizons)) return []
  return [[`profile ${id}`, version as number], ...each('horizon', horizons), ...each('sample', samples)]
}

/** Remembers what the server has said. */
export function tell(answer: unknown): void {
  for (const [record, version] of recordsIn(answer)) told.set(record, version)
}

/** Whether an answer of this device's stands behind what the server has told this page already. */
export const behind = (answer: unknown): boolean =>
  recordsIn(answer).some(([record, version]) => version < (told.get(record) ?? version))
