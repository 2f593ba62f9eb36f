/* The web server itself: sessions, refusals and what they reveal. Runs the routes on a plain HTTP server. */
import { createServer, type Server } from 'node:http'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createApp, createRouter, toNodeListener } from 'h3'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'

let server: Server
let base = ''

beforeAll(async () => {
  process.env.NAKSHI_DATA = mkdtempSync(join(tmpdir(), 'nakshi-http-'))
  const router = createRouter()
    .get('/api/session', (await import('../../server/api/session.get')).default)
    .post('/api/session', (await import('../../server/api/session.post')).default)
    .post('/api/set-up', (await import('../../server/api/set-up.post')).default)
    .post('/api/password', (await import('../../server/api/password.post')).default)
    .get('/api/people', (await import('../../server/api/people/index.get')).default)
    .get('/api/work/:id', (await import('../../server/api/work/[id]/index.get')).default)
    .post('/api/roster', (await import('../../server/api/roster/index.post')).default)
  server = createServer(toNodeListener(createApp().use(router)))
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready))
  base = `http://127.0.0.1:${(server.address() as { port: number }).port}`
})
afterAll(() => void server.close())

const post = (path: string, body: unknown, headers: Record<string, string> = {}) =>
  fetch(`${base}/api/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  })
const cookieOf = (response: Response) => response.headers.get('set-cookie')!.split(';')[0]!
const ADMIN = { number: 'A-1', name: 'Ada', password: 'a long password' }

describe('over the wire', () => {
  let cookie = ''

  test('the first set-up opens a sealed, http-only, same-site session', async () => {
    expect(await (await fetch(`${base}/api/session`)).json()).toEqual({ person: null, needsSetUp: true })
    const response = await post('set-up', ADMIN)
    expect(response.status).toBe(200)
    cookie = cookieOf(response)
    const attributes = response.headers.get('set-cookie')!
    expect(attributes).toMatch(/HttpOnly/i)
    expect(attributes).toMatch(/SameSite=Strict/i)
    expect(decodeURIComponent(cookie)).not.toContain('personId')
    expect((await post('set-up', ADMIN)).status).toBe(409)
  })

  test('what cannot be taken comes back as problem+json with field and sentence', async () => {
    const response = await post('set-up', {
      number: 'no spaces please',
      name: '',
      password: 'short',
      extra: 1,
    })
    expect(response.status).toBe(400)
    expect(response.headers.get('content-type')).toMatch('application/problem+json')
    const problem = await response.json()
    expect(problem).toMatchObject({ code: 'bodyNotRight', status: 400 })
    expect(problem.fields.map((f: { field: string }) => f.field)).toEqual(
      expect.arrayContaining(['number', 'name', 'password', 'extra']),
    )
    expect((await post('set-up', '{ not json')).status).toBe(400)
  })

  test('without a session, with a forged one, or from another site: refused', async () => {
    expect((await fetch(`${base}/api/people`)).status).toBe(401)
    expect((await fetch(`${base}/api/people`, { headers: { cookie: 'nakshi=forged' } })).status).toBe(401)
    expect((await fetch(`${base}/api/people`, { headers: { cookie } })).status).toBe(200)
    const foreign = await post(
      'roster',
      { fileBase64: 'eA==' },
      { cookie, origin: 'http://elsewhere.example' },
    )
    expect(await foreign.json()).toMatchObject({ status: 403, code: 'otherSite' })
  })

  test('an administrator has no worksheet; a route that does not fit is simply not there', async () => {
    const work = await fetch(`${base}/api/work/1`, { headers: { cookie } })
    expect(await work.json()).toMatchObject({ status: 403, code: 'notAllowed' })
    expect((await fetch(`${base}/api/work/seven`, { headers: { cookie } })).status).toBe(404)
  })

  test('somebody with a one-time password gets no further than choosing their own; the new one ends older sessions', async () => {
    const file = Buffer.from('number,name,group\nT-1,Bo Otter,Friday\n').toString('base64')
    const [slip] = await (await post('roster', { fileBase64: file }, { cookie })).json()
    const theirs = cookieOf(await post('session', { number: 'T-1', password: slip.password }))
    expect(await (await fetch(`${base}/api/work/1`, { headers: { cookie: theirs } })).json()).toMatchObject({
      code: 'passwordChangeNeeded',
    })
    const changed = await post(
      'password',
      { current: slip.password, password: 'words of my own' },
      { cookie: theirs },
    )
    expect(changed.status).toBe(200)
    expect(
      await (await fetch(`${base}/api/work/1`, { headers: { cookie: cookieOf(changed) } })).json(),
    ).toMatchObject({ code: 'notFound' })
    expect((await fetch(`${base}/api/work/1`, { headers: { cookie: theirs } })).status).toBe(401)
  })

  test('guessing is slowed down: after eight tries in a minute nobody gets in, not even with the right password', async () => {
    const statuses: number[] = []
    for (let i = 0; i < 10; i += 1)
      statuses.push((await post('session', { number: 'A-1', password: `guess number ${i}` })).status)
    expect(statuses.slice(0, 8)).toEqual(Array(8).fill(401))
    expect(statuses.slice(8)).toEqual([429, 429])
    expect((await post('session', { number: 'A-1', password: ADMIN.password })).status).toBe(429)
  })
})
