import type { components } from './schema'

export type ProblemBody = components['schemas']['Problem']

/** What the server refused, with its sentence and the fields it speaks of. */
export class ApiProblem extends Error {
  constructor(readonly body: ProblemBody) {
    super(body.detail)
    this.name = 'ApiProblem'
  }

  get status(): number {
    return this.body.status
  }

  /** The sentence at one field of the request, such as "upper_cm". */
  at(field: string): string | undefined {
    return this.body.errors?.find((error) => error.pointer === `/${field}`)?.detail
  }
}

/** The request never got an answer: no network, or the server is down. */
export class Unreachable extends Error {
  constructor() {
    super('The server cannot be reached.')
    this.name = 'Unreachable'
  }
}

export const isProblem = (error: unknown): error is ApiProblem => error instanceof ApiProblem

/** The sign-in has ended: what was given waits until the same person signs in again. */
export const isSignedOut = (error: unknown): boolean => isProblem(error) && error.status === 401

/**
 * What passes by itself: too many at once, a gateway or a server that is not up, a database that does
 * not answer, a full disk.
 */
const PASSING = [429, 502, 503, 504, 507]
/**
 * Worth trying again by itself: no answer, or a trouble that passes. A mistake of the server's own would only be made
 * again.
 */
export const isPassing = (error: unknown): boolean =>
  error instanceof Unreachable || (isProblem(error) && PASSING.includes(error.status))
