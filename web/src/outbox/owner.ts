import { here, newKey } from '@/api'

const PREFIX = 'grittle.outbox'
/** What waits belongs to the person who gave it: nobody else's page on this device sends it. */
const own = () => `${PREFIX}.${here.account}`
const tabName = (tab: string) => `${PREFIX}.tab.${tab}`

/**
 * Where this tab keeps its waiting writes for a record. A tab holds a lock on its own name for as long as it lives, so
 * a queue whose lock nobody holds was left by a tab that is gone, and is taken over.
 */
export async function claimOutbox(record: string): Promise<string> {
  const tab = tabId()
  if (navigator.locks) void navigator.locks.request(tabName(tab), () => new Promise(() => {}))
  const mine = `${own()}.${record}.${tab}`
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
    const [, who, record, owner] = key.match(/^grittle\.outbox\.(\d+)\.([^.]+)\.([^.]+)$/) ?? []
    return record && owner && who === String(here.account) && !held.has(tabName(owner)) ? [record] : []
  })
  return [...new Set(names)]
}

/** Whoever worked here without an account has one now: what still waits of them is theirs. */
export function adopt(account: number): void {
  for (const [key, value] of Object.entries({ ...localStorage }) as [string, string][]) {
    const [, rest] = key.match(/^grittle\.outbox\.0\.(.+)$/) ?? []
    if (!rest) continue
    localStorage.setItem(`${PREFIX}.${account}.${rest}`, value)
    localStorage.removeItem(key)
  }
}

/** Queues of a page that knew of no accounts. */
export function renameOldQueues(): void {
  for (const [key, value] of Object.entries({ ...localStorage }) as [string, string][]) {
    const [, record, tab] = key.match(/^grittle\.outbox\.([^.]+)\.([^.]+)$/) ?? []
    if (!record || record === 'tab' || !tab) continue
    localStorage.setItem(`${PREFIX}.0.${record}.${tab}`, value)
    localStorage.removeItem(key)
  }
}

let ownId: string | undefined
const tabId = () => (ownId ??= newKey())

async function abandoned(record: string, tab: string): Promise<string[]> {
  const held = new Set((await navigator.locks?.query())?.held?.map(({ name }) => name))
  return Object.keys(localStorage).filter((key) => {
    const owner = key.startsWith(`${own()}.${record}.`) ? key.slice(`${own()}.${record}.`.length) : undefined
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
