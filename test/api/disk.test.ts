/* What is called saved is on the disk, and nobody else waits for it. */
import { mkdtempSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Database } from 'better-sqlite3'
import { createApp, createRouter, toNodeListener } from 'h3'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import * as disk from '../../server/db/disk'
import { openDatabase } from '../../server/db/open'

/** Syncs that end when they are told to. */
function held() {
  const ends: { readonly land: () => void; readonly fail: (error: Error) => void }[] = []
  const run = vi.fn(() => new Promise<void>((land, fail) => ends.push({ land, fail })))
  return { ends, sync: { run, close: async () => {} } }
}
const soon = () => new Promise((go) => setTimeout(go, 5))
const ioError = () => Object.assign(new Error('i/o error'), { code: 'EIO' })

describe('a commit', () => {
  let db: Database
  const write = () => db.prepare('INSERT INTO jotting (body) VALUES (?)').run('x')
  beforeEach(() => {
    db = openDatabase(join(mkdtempSync(join(tmpdir(), 'nakshi-disk-')), 'nakshi.sqlite'))
    db.exec('CREATE TABLE jotting (id INTEGER PRIMARY KEY, body TEXT)')
  })

  it('is acknowledged only after a sync that began after it', async () => {
    const { ends, sync } = held()
    const { reached } = disk.syncApart(db, [sync])
    const done: string[] = []
    write()
    const first = reached().then(() => done.push('first'))
    await soon()
    // This one comes while the sync is under way, which may have passed its page already.
    write()
    const second = reached().then(() => done.push('second'))
    await soon()
    expect(sync.run).toHaveBeenCalledTimes(1)
    ends[0]!.land()
    await soon()
    expect(done).toEqual(['first'])
    expect(sync.run).toHaveBeenCalledTimes(2)
    ends[1]!.land()
    await Promise.all([first, second])
    db.close()
  })

  it('need not wait for a sync that began before it: a second one begins beside, and each serves its own', async () => {
    const [one, other] = [held(), held()]
    const { reached } = disk.syncApart(db, [one.sync, other.sync])
    const done: string[] = []
    const save = (name: string) => {
      write()
      return reached().then(() => done.push(name))
    }
    const all = [save('first')]
    await soon()
    all.push(save('second'))
    await soon()
    expect([one, other].map(({ sync }) => sync.run.mock.calls.length)).toEqual([1, 1])
    // Both are busy: the third waits for whichever ends first, and has a sync of its own then.
    all.push(save('third'))
    await soon()
    other.ends[0]!.land()
    await soon()
    // The second began after the first was committed, so that it has brought both there.
    expect(done).toEqual(['second'])
    expect(other.sync.run).toHaveBeenCalledTimes(2)
    other.ends[1]!.land()
    one.ends[0]!.land()
    await Promise.all(all)
    expect(done.sort()).toEqual(['first', 'second', 'third'])
    db.close()
  })

  it('that is urgent waits for no sync that began before it, however many run', async () => {
    const [one, other, kept] = [held(), held(), held()]
    const { reached } = disk.syncApart(db, [one.sync, other.sync], kept.sync)
    const done: string[] = []
    const save = (name: string, urgency?: disk.Urgency) => {
      write()
      return reached(urgency).then(() => done.push(name))
    }
    const all = [save('first')]
    await soon()
    all.push(save('second'))
    await soon()
    all.push(save('third'))
    await soon()
    expect(kept.sync.run).not.toHaveBeenCalled()
    all.push(save('stop', 'urgent'))
    await soon()
    kept.ends[0]!.land()
    await soon()
    // It was committed last, so that its sync has brought all of them there.
    expect(done).toContain('stop')
    expect(done).toContain('third')
    one.ends[0]!.land()
    other.ends[0]!.land()
    await Promise.all(all)
    db.close()
  })

  it('beside one whose sync failed is not acknowledged either: what was lost may be its own', async () => {
    const [one, other] = [held(), held()]
    const { reached } = disk.syncApart(db, [one.sync, other.sync])
    write()
    const first = reached()
    await soon()
    write()
    const second = reached()
    await soon()
    one.ends[0]!.fail(ioError())
    await expect(first).rejects.toMatchObject({ code: 'EIO' })
    other.ends[0]!.land()
    await expect(second).rejects.toMatchObject({ code: 'EIO' })
    await reached()
    expect(db.pragma('wal_checkpoint')).toMatchObject([{ log: 0 }])
    db.close()
  })

  it('of a class that saves at once is one of two syncs, and nobody who wrote nothing causes one', async () => {
    const { ends, sync } = held()
    const { reached } = disk.syncApart(db, [sync])
    await reached()
    expect(sync.run).not.toHaveBeenCalled()
    const all = Array.from({ length: 32 }, () => {
      write()
      return reached()
    })
    await soon()
    ends[0]!.land()
    await soon()
    ends[1]!.land()
    await Promise.all(all)
    expect(sync.run).toHaveBeenCalledTimes(2)
    db.close()
  })

  it('does not hold up the thread, and what is read meanwhile is there', async () => {
    const { ends, sync } = held()
    const { reached } = disk.syncApart(db, [sync])
    write()
    const saved = reached()
    expect(db.prepare<[], { n: number }>('SELECT count(*) AS n FROM jotting').get()!.n).toBe(1)
    // NORMAL: SQLite itself syncs only when the log is merged; SQLite documentation, PRAGMA synchronous.
    expect(db.pragma('synchronous', { simple: true })).toBe(1)
    await soon()
    ends[0]!.land()
    await saved
    db.close()
  })

  it('whose sync failed is told; the next is acknowledged only when all is in the file', async () => {
    const { ends, sync } = held()
    const { reached } = disk.syncApart(db, [sync])
    write()
    const saved = reached()
    await soon()
    ends[0]!.fail(ioError())
    await expect(saved).rejects.toMatchObject({ code: 'EIO' })
    // A page whose write failed counts as written afterwards: another sync would say that all is well.
    const reader = openDatabase(db.name)
    reader.exec('BEGIN')
    reader.prepare('SELECT * FROM jotting').all()
    db.pragma('busy_timeout = 1')
    write()
    await expect(reached()).rejects.toMatchObject({ code: 'EIO' })
    reader.exec('COMMIT')
    await reached()
    expect(sync.run).toHaveBeenCalledTimes(1)
    expect(db.pragma('wal_checkpoint')).toMatchObject([{ log: 0 }])
    reader.close()
    write()
    const after = reached()
    await soon()
    ends[1]!.land()
    await after
    db.close()
  })

  it('on a real disk comes there, again and again', async () => {
    const { reached, close } = disk.syncApart(db)
    for (let i = 0; i < 20; i += 1) {
      write()
      await reached()
      if (i === 10) db.pragma('wal_checkpoint(TRUNCATE)')
    }
    await close()
    db.close()
  })
})

describe('over the wire', () => {
  let server: Server
  let base = ''
  const { ends, sync } = held()
  beforeAll(async () => {
    process.env.NAKSHI_DATA = mkdtempSync(join(tmpdir(), 'nakshi-wire-'))
    const { syncApart } = disk
    vi.spyOn(disk, 'syncApart').mockImplementation((db) => syncApart(db, [sync]))
    const router = createRouter()
      .get('/api/session', (await import('../../server/api/session.get')).default)
      .post('/api/set-up', (await import('../../server/api/set-up.post')).default)
    server = createServer(toNodeListener(createApp().use(router)))
    await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready))
    base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`
  })
  afterAll(() => void server.close())
  const setUp = () =>
    fetch(`${base}/set-up`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ number: 'A-1', name: 'Ada', password: 'a long password' }),
    })

  it('an answer waits for the disk, and whoever only looks does not; an error of the disk is told', async () => {
    let answer: Response | undefined
    const asked = setUp().then((response) => (answer = response))
    await vi.waitFor(() => expect(sync.run).toHaveBeenCalledTimes(1))
    const looked = await (await fetch(`${base}/session`)).json()
    expect(looked).toMatchObject({ needsSetUp: false })
    expect(answer).toBeUndefined()
    ends[0]!.fail(ioError())
    await asked
    expect(answer!.status).toBe(507)
    expect(await answer!.json()).toMatchObject({ code: 'diskFull' })
  })
})
