/** How often the core beside the page came to something else than the server; it is nobody's alarm. */
export const differences: string[] = []
;(globalThis as { grittleDifferences?: string[] }).grittleDifferences = differences

const NEAR = 1e-9
/** What is not asked of both. */
const APART = new Set(['rules_version'])

function differ(one: unknown, other: unknown, where: string): string | undefined {
  if (typeof one === 'number' && typeof other === 'number')
    return Math.abs(one - other) <= NEAR ? undefined : `${where}: ${one}, by the server ${other}`
  if (one === other) return undefined
  if (typeof one !== 'object' || typeof other !== 'object' || !one || !other)
    return `${where}: ${JSON.stringify(one)}, by the server ${JSON.stringify(other)}`
  const names = new Set([...Object.keys(one), ...Object.keys(other)])
  for (const name of names) {
    // An estimate that the page has not worked out is held against none.
    if (APART.has(name) || (name === 'evidence' && (one as never)[name] === null)) continue
    const found = differ((one as never)[name], (other as never)[name], `${where}/${name}`)
    if (found) return found
  }
  return undefined
}

/** Holds what the page said against what the server says; a difference is logged and counted. */
export function note(own: unknown, server: unknown, where: string): void {
  const found = differ(own, server, where)
  if (!found) return
  differences.push(found)
  console.info(`The core beside the page differs: ${found}`)
}
