/* The web server itself: sessions, refusals and what they reveal. Runs the routes on a plain HTTP server. */
import { createServer, type Server } from 'node:http'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createApp, createRouter, toNodeListener } from 'h3'
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest'

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
    .post('/api/floor/stop', (await import('../../server/api/floor/stop.post')).default)
    .get('/api/work/:id', (await import('../../server/api/work/[id]/index.get')).default)
    .post('/api/roster', (await import('../../server/api/roster/index.post')).default)
    .get('/api/progress', (await import('../../server/api/progress.get')).default)
    .delete('/api/session', (await import('../../server/api/session.delete')).default)
    .get('/api/news', (await import('../../server/api/news.get')).default)
    .get('/api/sessions', (await import('../../server/api/sessions/index.get')).default)
    .get('/api/audit', (await import('../../server/api/audit.get')).default)
    .get('/api/health', (await import('../../server/api/health.get')).default)
    .get('/api/keeping', (await import('../../server/api/keeping/index.get')).default)
    .post('/api/keeping/backup', (await import('../../server/api/keeping/backup.post')).default)
    .use('/api/**', (await import('../../server/api/[...]')).default)
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
let changedCookie: Response | undefined
let adminIn: Response | undefined
const deviceCookie = (response: Response) =>
  response.headers
    .getSetCookie()
    .map((text) => text.split(';')[0]!)
    .find((text) => text.startsWith('nakshi-device='))!
const cookieOf = (response: Response) => response.headers.get('set-cookie')!.split(';')[0]!
const ADMIN = { number: 'A-1', name: 'Ada', password: 'a long password' }

describe('over the wire', () => {
  let cookie = ''

  test('the first set-up opens a sealed, http-only, same-site session', async () => {
    expect(await (await fetch(`${base}/api/session`)).json()).toEqual({
      person: null,
      needsSetUp: true,
      isCollegeOffered: false,
      isLocked: false,
      lockMinutes: 15,
      news: expect.any(Number),
    })
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
    const changed = (changedCookie = await post(
      'password',
      { current: slip.password, password: 'words of my own' },
      { cookie: theirs },
    ))
    expect(changed.status).toBe(200)
    expect(
      await (await fetch(`${base}/api/work/1`, { headers: { cookie: cookieOf(changed) } })).json(),
    ).toMatchObject({ code: 'notFound' })
    expect((await fetch(`${base}/api/work/1`, { headers: { cookie: theirs } })).status).toBe(401)
  })

  test('a page of somebody before does nothing in the name of who sits here now; STOP waits for nobody', async () => {
    const id = (await (await fetch(`${base}/api/session`, { headers: { cookie } })).json()).person.id
    const asked = (person: unknown) =>
      fetch(`${base}/api/people`, { headers: { cookie, 'x-nakshi-person': String(person) } })
    expect((await asked(id)).status).toBe(200)
    for (const other of [id + 1, 0, '', 'A-1'])
      expect(await (await asked(other)).json(), String(other)).toMatchObject({
        status: 401,
        code: 'otherPerson',
      })
    const headers = { cookie, 'x-nakshi-person': String(id + 1) }
    const written = await post('roster', { fileBase64: 'eA==' }, headers)
    expect(await written.json()).toMatchObject({ code: 'otherPerson' })
    const stopped = await (await post('floor/stop', { attemptId: null, reason: '' }, headers)).json()
    expect(stopped?.code).not.toBe('otherPerson')
  })

  test('an import whose page is left while it runs has brought nobody in', async () => {
    // Nothing at work is told by an empty answer.
    const read = async (path: string): Promise<unknown> =>
      JSON.parse((await (await fetch(`${base}/api/${path}`, { headers: { cookie } })).text()) || 'null')
    const before = await read('people')
    const rows = Array.from({ length: 200 }, (_, i) => `Z-${i},Person ${i},All`)
    const fileBase64 = Buffer.from(['number,name,group', ...rows].join('\n')).toString('base64')
    const leaving = new AbortController()
    const importing = fetch(`${base}/api/roster`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify({ fileBase64 }),
      signal: leaving.signal,
    })
    await vi.waitUntil(() => read('progress'), { timeout: 5000 })
    leaving.abort()
    await expect(importing).rejects.toThrow('aborted')
    await vi.waitUntil(async () => (await read('progress')) === null, { timeout: 15_000, interval: 20 })
    expect(await read('people')).toEqual(before)
  })

  test('a device on which the person has signed in before is not shut out by a stranger’s guesses', async () => {
    adminIn = await post('session', { number: 'A-1', password: ADMIN.password })
    const device = deviceCookie(adminIn)
    for (let i = 0; i < 9; i += 1) await post('session', { number: 'A-1', password: `guess number ${i}` })
    expect((await post('session', { number: 'A-1', password: ADMIN.password })).status).toBe(429)
    expect(
      (await post('session', { number: 'A-1', password: ADMIN.password }, { cookie: device })).status,
    ).toBe(200)
  })

  test('a device that somebody made up, or on which others signed in, is no known one', async () => {
    const others = deviceCookie(changedCookie!)
    for (const device of [
      others,
      `nakshi-device=${'a'.repeat(22)}`,
      `nakshi-device=${'a'.repeat(22)}~${'0'.repeat(16)}`,
    ]) {
      const answer = await post('session', { number: 'A-1', password: ADMIN.password }, { cookie: device })
      expect(answer.status).toBe(429)
    }
  })

  test('a stream says at once what a page has missed, and nothing to a page that has missed nothing', async () => {
    const headers = { cookie: cookieOf(adminIn!) }
    const { onNews, tellNews } = await import('~~/server/http/news')
    // What the tests before have written is told together with this.
    await new Promise<void>((told) => {
      const stop = onNews(() => {
        stop()
        told()
      })
      tellNews('before')
    })
    const view = await (await fetch(`${base}/api/session`, { headers })).json()
    /** What comes first, and what a page would hear of it. */
    const heard = async (seen: string, meanwhile?: () => void): Promise<string> => {
      const ended = new AbortController()
      const stream = await fetch(`${base}/api/news?seen=${seen}`, { headers, signal: ended.signal })
      const reader = stream.body!.getReader()
      const next = async () => new TextDecoder().decode((await reader.read()).value)
      let text = await next()
      meanwhile?.()
      if (meanwhile) text += await next()
      ended.abort()
      return text
    }
    expect(await heard(String(view.news))).not.toContain('writers')
    expect(await heard(String(view.news), () => tellNews('other'))).toContain('"writers":["other"]')
    expect(await heard(String(view.news))).toContain('"writers":[]')
    expect(await heard('')).toContain('"writers":[]')
  })

  test('signing out ends the session at the server: a copied cookie opens nothing', async () => {
    const theirs = cookieOf(changedCookie!)
    const path = `${base}/api/session`
    expect(await (await fetch(path, { headers: { cookie: theirs } })).json()).toMatchObject({
      person: { number: 'T-1' },
    })
    expect((await fetch(path, { method: 'DELETE', headers: { cookie: theirs } })).ok).toBe(true)
    expect(await (await fetch(path, { headers: { cookie: theirs } })).json()).toMatchObject({ person: null })
  })

  test('a path that is not there, a body that is no JSON or far too long: told with the place', async () => {
    const nowhere = await fetch(`${base}/api/no/such/thing`)
    expect(await nowhere.json()).toMatchObject({ status: 404, code: 'noSuchPath' })
    const broken = await (await post('session', '{\n  "number": "A-1",\n  oops')).json()
    expect(broken).toMatchObject({ code: 'bodyNotJson', fields: [{ field: 'body' }] })
    expect(broken.fields[0].message).toMatch(/line 3, column 3|oops/)
    expect((await post('session', '')).status).toBe(400)
    const long = await post('session', JSON.stringify({ number: 'A-1', password: 'x'.repeat(3_000_000) }))
    expect(await long.json()).toMatchObject({ status: 413, code: 'tooLarge' })
  })

  test('the administrator sees sessions, audit and backups with their origin; the apprentice does not', async () => {
    const admin = await post(
      'session',
      { number: 'A-1', password: ADMIN.password },
      { cookie: deviceCookie(adminIn!) },
    )
    const of = async (path: string) =>
      (await fetch(`${base}/api/${path}`, { headers: { cookie: cookieOf(admin) } })).json()
    expect((await of('sessions')).map(({ number }: { number: string }) => number)).toContain('A-1')
    const { lines, actions } = await of('audit?action=signInRefused')
    expect(actions).toContain('rosterImported')
    expect(lines[0]).toMatchObject({
      action: 'signInRefused',
      address: expect.stringMatching(/127\.0\.0\.1|::1/),
    })
    expect(await of('audit?before=nothing')).toMatchObject({ code: 'bodyNotRight' })
    expect((await of('keeping')).backups).toEqual([])
    const made = await (await post('keeping/backup', {}, { cookie: cookieOf(admin) })).json()
    expect(made.backups).toHaveLength(1)
    expect(made.ageH).toBeLessThan(1)
    const theirs = cookieOf(await post('session', { number: 'T-1', password: 'words of my own' }))
    for (const path of ['sessions', 'audit', 'keeping'])
      expect((await fetch(`${base}/api/${path}`, { headers: { cookie: theirs } })).status).toBe(403)
    expect(await (await fetch(`${base}/api/health`)).json()).toMatchObject({ database: true, backedUp: true })
  })

  test('guessing is slowed down: after eight tries in a minute nobody gets in, not even with the right password', async () => {
    const statuses: number[] = []
    for (let i = 0; i < 10; i += 1)
      statuses.push((await post('session', { number: 'T-1', password: `guess number ${i}` })).status)
    expect(statuses.slice(0, 8)).toEqual(Array(8).fill(401))
    expect(statuses.slice(8)).toEqual([429, 429])
    expect((await post('session', { number: 'T-1', password: 'words of my own' })).status).toBe(429)
  })
})
