/* Every route of the server, mounted as it is shipped, over a centre of its own. */
import { mkdtempSync, readdirSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createApp, createRouter, toNodeListener, type EventHandler } from 'h3'
import { DEMO_PASSWORD } from '../../demo/story'

export type Method = 'get' | 'post' | 'put' | 'delete'
export interface Route {
  readonly method: Method
  /** Such as `/api/work/:id`. */
  readonly path: string
}

const API = new URL('../../server/api/', import.meta.url).pathname
const NAMED = /^(?<place>.+)\.(?<method>get|post|put|delete)\.ts$/

/** What the names of the files say: `work/[id]/index.put.ts` is PUT `/api/work/:id`. */
export const ROUTES: readonly (Route & { readonly file: string })[] = readdirSync(API, { recursive: true })
  .map(String)
  .sort()
  .flatMap((file) => {
    const { place, method } = NAMED.exec(file)?.groups ?? {}
    if (!place) return []
    const path = `/api/${place}`.replace(/\/index$/, '').replace(/\[(\w+)\]/g, ':$1')
    return [{ file, path, method: method as Method }]
  })

export interface Wire {
  readonly server: Server
  readonly base: string
  readonly signIn: (number: string) => Promise<string>
}

/** A centre with the demo of today, and a server on a port of its own. Sets where this process keeps its data. */
export async function aWire(): Promise<Wire> {
  process.env.NAKSHI_DATA = mkdtempSync(join(tmpdir(), 'nakshi-wire-'))
  const { runningDatabase } = await import('../../server/http/runtime')
  const { loadDemo } = await import('../../demo/load')
  const db = runningDatabase()
  // One commit for all of it: the demo is made of thousands.
  db.exec('BEGIN')
  await loadDemo(db, new Date())
  db.exec('COMMIT')
  const router = createRouter()
  for (const { file, path, method } of ROUTES) {
    const { default: handler } = (await import(/* @vite-ignore */ join(API, file))) as {
      default: EventHandler
    }
    router[method](path, handler)
  }
  const { default: elsewhere } = (await import('../../server/api/[...]')) as { default: EventHandler }
  router.use('/api/**', elsewhere)
  const server = createServer(toNodeListener(createApp().use(router)))
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready))
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  return {
    server,
    base,
    async signIn(number) {
      const response = await fetch(`${base}/api/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ number, password: DEMO_PASSWORD }),
      })
      if (!response.ok) throw new Error(`${number} could not sign in: ${await response.text()}`)
      return response.headers
        .getSetCookie()
        .map((text) => text.split(';')[0]!)
        .join('; ')
    },
  }
}
