// Drives the built worker as the page does: a line of JSON in, a line out. Further scripts are loaded behind it.
import { createInterface } from 'node:readline'
import { pathToFileURL } from 'node:url'

const [, , worker, ...scripts] = process.argv
const say = (answer) => process.stdout.write(`${JSON.stringify(answer)}\n`)
globalThis.postMessage = () => {}
await import(pathToFileURL(worker))
if (scripts.length) await globalThis.onmessage({ data: { id: 0, name: 'desk', args: [] } })
for (const script of scripts) await import(pathToFileURL(script))
globalThis.postMessage = say
for await (const line of createInterface({ input: process.stdin }))
  await globalThis.onmessage({ data: JSON.parse(line) })
