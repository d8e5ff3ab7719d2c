// What the pages use of the API; the outbox is the bench's way to write, the rest is here.
export * from './client'
export * from './here'
export * from './problem'
export * from './queries'
