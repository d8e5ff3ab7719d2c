import { v7 } from 'uuid'
import type { components } from './schema'
import { askDevice, device, renew, withServerNumbers } from '@/device/device'
import { BASE, here, served } from './here'
import { ApiProblem, Unreachable, type ProblemBody } from './problem'
import { behind, tell } from './versions'

export type Schemas = components['schemas']
/**
 * A reading; while its estimate is on its way, that of another version stands in it. What the page itself has worked
 * out is previewed: the server's word follows.
 */
export type Reading = Schemas['Reading'] & { estimateOf?: number; previewed?: boolean }
export type Ribbon = Schemas['Ribbon']
export type Sheet = Schemas['CompanionSheet']
export type SheetPlace = Schemas['CompanionPlace']
export type CompanionKind = Schemas['CompanionKind']
export type Profile = Schemas['Profile']
export type ProfileSummary = Schemas['ProfileSummary']
export type Horizon = Schemas['Horizon']
export type Site = Schemas['Site']
export type Catalogue = Schemas['Catalogue']
export type Naming = Schemas['Naming']
export type ReadingSummary = Schemas['ReadingSummary']

type KeyResult = Schemas['KeyResult']
/** The key a reading is assigned by: what the server says of it beside what it says of every key. */
export type MainKey = KeyResult &
  Required<Pick<KeyResult, 'tiers' | 'sentence'>> & { advice: NonNullable<KeyResult['advice']> | null }

/** The main key of a reading; the server puts it first. */
export const mainKey = (reading: Reading): MainKey => reading.assessment.keys[0] as MainKey

export type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE'

/** A word of this write's own, so that a retry makes no second record; what it makes is named from it. */
export const newKey = (): string => v7()

/** What is worked on at a pit: without the server's word this device may have it. */
const OF_THE_PIT = /^\/api\/(work|sites|profiles|horizons|samples|readings|timers|companion-|settings|photos)/
/** Seconds after which a network that gives no answer is none, for what this device can answer. [our own] */
const PATIENCE = 12
/** What a gateway says when no server stands behind it. */
const NOBODY_THERE = [502, 504]

/** What the page cannot begin without, kept from when it was answered last. */
const KEPT = /^\/api\/(session|catalogue|triangles)(?=$|\?)/
const SESSION = 'grittle.kept.session'
const keptName = (path: string): string | undefined => {
  const [, name] = KEPT.exec(path) ?? []
  return name && `grittle.kept.${name}${name === 'session' ? BASE : ''}`
}

/**
 * As whom the page begins without signal, below each fieldbook: as nobody who was here before.
 * @param found what the server has said of it; nothing where somebody has signed out
 */
export function keepSession(found?: Schemas['Session']): void {
  for (const name of Object.keys(localStorage).filter((one) => one.startsWith(SESSION))) {
    const { account } = JSON.parse(localStorage.getItem(name)!) as Schemas['Session']
    if (!found || account?.id !== found.account?.id) localStorage.removeItem(name)
  }
  if (found) localStorage.setItem(`${SESSION}${BASE}`, JSON.stringify(found))
}

/**
 * One request to the API. Without an answer of the server's the device answers from what lies on it, and keeps writes
 * until the server takes them.
 * @throws {ApiProblem} when the server refuses it
 * @throws {Unreachable} when there is no answer
 */
export async function request<T>(
  method: Method,
  path: string,
  body?: unknown,
  key: string = newKey(),
  /** The key of a set or a session that is asked with. */ as?: string,
): Promise<T> {
  const asked = withServerNumbers(path)
  const given = body === undefined ? undefined : (JSON.parse(withServerNumbers(JSON.stringify(body))) as object)
  const usual = method === 'GET' ? keptName(path) : undefined
  // What waits here is not known there yet.
  const first = !as && !usual && device.leads() ? await fromDevice<T>(method, asked, given, key) : undefined
  if (first) return first.body
  try {
    const found = await fromServer<T>(method, asked, given, key, as)
    device.alone.value = false
    tell(found)
    if (method !== 'GET' && OF_THE_PIT.test(asked)) renew(found)
    if (usual?.startsWith(SESSION)) keepSession(found as Schemas['Session'])
    else if (usual) localStorage.setItem(usual, JSON.stringify(found))
    return found
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error
    device.alone.value = true
    const kept = usual && localStorage.getItem(usual)
    if (kept) return JSON.parse(kept) as T
    const found = as || usual ? undefined : await fromDevice<T>(method, asked, given, key)
    if (found) return found.body
    throw error
  }
}

async function fromDevice<T>(
  method: Method,
  path: string,
  body: object | undefined,
  key: string,
  file?: Blob,
): Promise<{ body: T } | undefined> {
  const given = (body as Record<string, unknown> | undefined) ?? null
  const asked = { method, path, body: given, key, ...(file ? { file } : {}) }
  const found = await askDevice(asked).catch((error: Error) => void console.info(error.message))
  // What the page shows already stays, where this device was not brought up to it in time.
  if (!found || (method === 'GET' && behind(found.body))) return undefined
  if (found.status >= 400) throw new ApiProblem(found.body as ProblemBody)
  return { body: found.body as T }
}

async function fromServer<T>(
  method: Method,
  path: string,
  body: object | undefined,
  key: string,
  as?: string,
): Promise<T> {
  const headers: Record<string, string> = { ...asked(), ...(as ? { 'Grittle-Key': as } : {}) }
  if (method !== 'GET') headers['Idempotency-Key'] = key
  if (body !== undefined) headers['Content-Type'] = 'application/json'
  let response: Response
  try {
    response = await fetch(served(path), {
      method,
      headers,
      body: body === undefined ? undefined : JSON.stringify(body),
      ...(device.state.book && OF_THE_PIT.test(path) ? { signal: AbortSignal.timeout(PATIENCE * 1000) } : {}),
    })
  } catch {
    throw new Unreachable()
  }
  if (response.ok) return (await response.json()) as T
  if (device.state.book && OF_THE_PIT.test(path) && NOBODY_THERE.includes(response.status)) throw new Unreachable()
  throw new ApiProblem(await problemOf(response))
}

/**
 * Sends a file as it is; without an answer of the server's a photograph is kept by the device.
 * @throws {ApiProblem} when the server refuses it
 * @throws {Unreachable} when there is no answer
 */
export async function sendFile<T>(path: string, file: Blob, key: string = newKey()): Promise<T> {
  const asked = withServerNumbers(path)
  const first = device.leads() ? await pictureOnDevice<T>(asked, file, key) : undefined
  if (first) return first.body
  try {
    const found = await fileToServer<T>(asked, file, key)
    if (OF_THE_PIT.test(asked)) renew(null)
    return found
  } catch (error) {
    const found = error instanceof Unreachable ? await pictureOnDevice<T>(asked, file, key) : undefined
    if (found) return found.body
    throw error
  }
}

async function pictureOnDevice<T>(path: string, file: Blob, key: string): Promise<{ body: T } | undefined> {
  if (!device.state.book || !path.startsWith('/api/photos')) return undefined
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) return undefined
  const { width, height } = picture
  picture.close()
  return fromDevice<T>('POST', path, { width, height, bytes: file.size, media_type: file.type }, key, file)
}

async function fileToServer<T>(path: string, file: Blob, key: string): Promise<T> {
  const headers = { ...asked(), 'Idempotency-Key': key, 'Content-Type': 'application/octet-stream' }
  for (let tries = 1; ; tries += 1) {
    let response: Response
    try {
      response = await fetch(served(path), { method: 'POST', headers, body: file })
    } catch {
      throw new Unreachable()
    }
    if (response.ok) return (await response.json()) as T
    // Busy with others' files: the server says when to come back.
    const seconds = Number(response.headers?.get('retry-after') ?? 0)
    if (response.status !== 503 || !seconds || tries === MOST_TRIES) throw new ApiProblem(await problemOf(response))
    await new Promise((over) => setTimeout(over, seconds * 1000))
  }
}

const MOST_TRIES = 6

const asked = (): Record<string, string> => ({ 'Grittle-Account': String(here.account) })

async function problemOf(response: Response): Promise<ProblemBody> {
  try {
    const body = (await response.json()) as ProblemBody
    if (response.status === 401) here.signedOut = body.detail
    return body
  } catch {
    return {
      type: 'about:blank',
      title: 'No answer',
      status: response.status,
      detail: 'The server gave no readable answer.',
    }
  }
}
