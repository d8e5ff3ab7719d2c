import type { components } from './schema'
import { here, served } from './here'
import { ApiProblem, Unreachable, type ProblemBody } from './problem'

export type Schemas = components['schemas']
/**
 * A reading; while its estimate is on its way, that of the answers before stands in it. What the page itself has worked
 * out is previewed: the server's word follows.
 */
export type Reading = Schemas['Reading'] & { estimateFollows?: boolean; previewed?: boolean }
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

/** A word of this write's own, so that a retry makes no second record. */
export const newKey = (): string => crypto.randomUUID()

/**
 * One request to the API.
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
  const headers: Record<string, string> = { ...asked(), ...(as ? { 'Grittle-Key': as } : {}) }
  if (method !== 'GET') headers['Idempotency-Key'] = key
  if (body !== undefined) headers['Content-Type'] = 'application/json'
  let response: Response
  try {
    response = await fetch(served(path), {
      method,
      headers,
      body: body === undefined ? undefined : JSON.stringify(body),
    })
  } catch {
    throw new Unreachable()
  }
  if (response.ok) return (await response.json()) as T
  throw new ApiProblem(await problemOf(response))
}

/**
 * Sends a file as it is.
 * @throws {ApiProblem} when the server refuses it
 * @throws {Unreachable} when there is no answer
 */
export async function sendFile<T>(path: string, file: Blob, key: string = newKey()): Promise<T> {
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
