import { reactive } from 'vue'

/** Below which fieldbook this page stands: nothing for the first of them, else /fieldbooks/ID. */
export const BASE: string = /^\/fieldbooks\/\d+(?=\/|$)/.exec(globalThis.location?.pathname ?? '')?.[0] ?? ''

/** An address of the server, below the fieldbook of this page. */
export const served = (path: string): string => (path.startsWith('/api') ? BASE + path : path)

/**
 * As whom this page asks: 0 for who works without an account. It is told with each request, so that nothing is sent as
 * somebody else who has signed in beside it by now.
 */
export const here = reactive({ account: 0, /** Why somebody has to sign in again, or nothing. */ signedOut: '' })
