import { newKey } from '@/api'

const PREFIX = 'grittle.outbox'
const tabName = (tab: string) => `${PREFIX}.tab.${tab}`

/**
 * Where this tab keeps its waiting writes for a reading. A tab holds a lock on its own name for as long as it lives, so
 * a queue whose lock nobody holds was left by a tab that is gone, and is taken over.
 */
export async function claimOutbox(reading: number): Promise<string> {
  const tab = tabId()
  if (navigator.locks) void navigator.locks.request(tabName(tab), () => new Promise(() => {}))
  const mine = `${PREFIX}.${reading}.${tab}`
  for (const left of await abandoned(reading, tab)) {
    const writes = [...parse(mine), ...parse(left)]
    localStorage.setItem(mine, JSON.stringify(writes))
    localStorage.removeItem(left)
  }
  return mine
}

let ownId: string | undefined
const tabId = () => (ownId ??= newKey())

async function abandoned(reading: number, tab: string): Promise<string[]> {
  const held = new Set((await navigator.locks?.query())?.held?.map(({ name }) => name))
  return Object.keys(localStorage).filter((key) => {
    const owner = key.startsWith(`${PREFIX}.${reading}.`) ? key.slice(`${PREFIX}.${reading}.`.length) : undefined
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
