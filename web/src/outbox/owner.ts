import { newKey } from '@/api'

const PREFIX = 'grittle.outbox'
const tabName = (tab: string) => `${PREFIX}.tab.${tab}`

/**
 * Where this tab keeps its waiting writes for a record. A tab holds a lock on its own name for as long as it lives, so
 * a queue whose lock nobody holds was left by a tab that is gone, and is taken over.
 */
export async function claimOutbox(record: string): Promise<string> {
  const tab = tabId()
  if (navigator.locks) void navigator.locks.request(tabName(tab), () => new Promise(() => {}))
  const mine = `${PREFIX}.${record}.${tab}`
  for (const left of await abandoned(record, tab)) {
    const writes = [...parse(mine), ...parse(left)]
    localStorage.setItem(mine, JSON.stringify(writes))
    localStorage.removeItem(left)
  }
  return mine
}

/** Records with a queue that no living tab sends, by name. */
export async function recordsLeftBehind(): Promise<string[]> {
  const held = new Set((await navigator.locks?.query())?.held?.map(({ name }) => name))
  const names = Object.keys(localStorage).flatMap((key) => {
    const [, record, owner] = key.match(/^grittle\.outbox\.([^.]+)\.([^.]+)$/) ?? []
    return record && owner && record !== 'tab' && !held.has(tabName(owner)) ? [record] : []
  })
  return [...new Set(names)]
}

let ownId: string | undefined
const tabId = () => (ownId ??= newKey())

async function abandoned(record: string, tab: string): Promise<string[]> {
  const held = new Set((await navigator.locks?.query())?.held?.map(({ name }) => name))
  return Object.keys(localStorage).filter((key) => {
    const owner = key.startsWith(`${PREFIX}.${record}.`) ? key.slice(`${PREFIX}.${record}.`.length) : undefined
    return owner !== undefined && owner !== tab && !held.has(tabName(owner))
  })
}

function parse(key: string): unknown[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as unknown[]
  } catch {
    return []
  }
}
