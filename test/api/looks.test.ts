/* Screens made in a thread of their own over a connection that reads: the same screens, from what is saved now. */
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Database } from 'better-sqlite3'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { bundleThreads } from '../../scripts/build/server-threads'
import { loadDemo } from '../../demo/load'
import { asOfOneMoment } from '../../server/db/moment'
import { openDatabase, openToRead } from '../../server/db/open'
import type * as Pool from '../../server/looks/pool'
import { LOOKS, makeLook, type Look, type LookName } from '../../server/looks/looks'
import { createRepos, type Repos } from '../../server/repos'
import type { Person } from '../../server/repos/people'
import { Problem } from '../../server/services/problem'

const NOW = '2026-11-12T14:00:00.000Z'
const GROUP = 'Wednesday level 2'
/** What some of them take besides who looks. */
const MORE: Partial<Record<LookName, readonly unknown[]>> = {
  asking: [GROUP],
  closing: [GROUP],
  groupRecord: [GROUP],
  picture: [GROUP, '2026-09-01'],
}
const NAMES = Object.keys(LOOKS) as LookName[]
const lookOf = (name: LookName, actor: Person): Look => ({ name, actor, now: NOW, more: MORE[name] ?? [] })

let file: string
let db: Database
let repos: Repos
let everybody: Person[]
beforeAll(async () => {
  file = join(mkdtempSync(join(tmpdir(), 'nakshi-looks-')), 'nakshi.sqlite')
  db = openDatabase(file)
  db.exec('BEGIN')
  await loadDemo(db, new Date(NOW))
  db.exec('COMMIT')
  repos = createRepos(db)
  const groups = repos.people.allGroups()
  const withGroups = (person: Person) => ({ ...person, groups: groups.get(person.id) ?? null })
  everybody = ['I-201', 'S-301', 'S-302', 'A-100', 'T-402'].flatMap((number) => {
    const person = repos.people.all().find((one) => one.number === number)
    return person ? [withGroups(person)] : []
  })
}, 60_000)
afterAll(() => void db.close())

/** What to ask first comes as questions are made, which each connection has done by itself. */
const withoutNext = (key: string, value: unknown): unknown => (key === 'next' ? undefined : value)
/** What somebody sees, or why not; as it travels. */
const seen = async (over: Repos, look: Look): Promise<unknown> => {
  try {
    return JSON.parse(JSON.stringify(await makeLook({ repos: over }, look), withoutNext))
  } catch (error) {
    if (error instanceof Problem) return error.code
    throw error
  }
}

describe('over a connection that reads', () => {
  it('everybody sees, or is refused, what they are over the one that writes, and nothing is written', async () => {
    const reading = openToRead(file)
    const readRepos = createRepos(reading)
    const shown: string[] = []
    for (const actor of everybody)
      for (const name of NAMES) {
        const look = lookOf(name, actor)
        const here = await seen(readRepos, look)
        expect(here, `${actor.number} ${name}`).toEqual(await seen(repos, look))
        if (typeof here !== 'string') shown.push(name)
      }
    // Each of them is somebody's screen.
    expect([...new Set(shown)].sort()).toEqual([...NAMES].sort())
    expect(() => reading.exec('DELETE FROM question_asked')).toThrow(/readonly/)
    reading.close()
  })

  it('what is kept in memory there goes with what the other connection saves', () => {
    const reading = openToRead(file)
    const there = createRepos(reading)
    const day = NOW.slice(0, 10)
    const [instructor] = everybody
    const before = there.book.inForce(day)
    expect(there.book.inForce(day)).toBe(before)
    const entry = { edition: 'a2-2022', table: 'ze', row: 'TN-S', column: 'ze', value: 0.79 } as const
    repos.book.insert(
      { ...entry, clause: undefined, from: day, place: 'Table 1' } as never,
      instructor!.id,
      NOW,
    )
    const [after, own] = [there.book.inForce(day), repos.book.inForce(day)]
    expect(after).toHaveLength(before.length + 1)
    expect(own).toEqual(after)
    // A value that was taken back with its transaction counts nowhere.
    db.exec('BEGIN')
    repos.book.withdraw(repos.book.standing().at(-1)!.id, instructor!.id, NOW)
    expect(repos.book.inForce(day)).toHaveLength(before.length)
    db.exec('ROLLBACK')
    expect(repos.book.inForce(day)).toEqual(after)
    reading.close()
  })
})

describe('a screen', () => {
  it('is of one moment, whatever is saved while it is read; documents are kept all the same', () => {
    const reading = openToRead(file)
    const there = createRepos(reading)
    const people = () => there.people.all().length
    const [before, during] = asOfOneMoment(reading, () => {
      const counted = people()
      repos.people.insert(
        { number: 'T-999', name: 'Late Comer', role: 'apprentice', cohort: GROUP },
        'x',
        false,
        NOW,
      )
      return [counted, people()]
    })
    expect(during).toBe(before)
    expect(people()).toBe(before! + 1)
    const read = () => asOfOneMoment(reading, () => there.exercises.all()[0]!.exercise)
    expect(read()).toBe(read())
    expect(() =>
      asOfOneMoment(reading, () => {
        throw new Problem('notFound')
      }),
    ).toThrow(Problem)
    expect(reading.inTransaction).toBe(false)
    reading.close()
  })
})

describe('in the thread of a built server', () => {
  const built = join('node_modules', '.cache', 'nakshi', `threads-${process.pid}`)
  const program = process.argv[1]
  let pool: typeof Pool
  beforeAll(async () => {
    mkdirSync(built, { recursive: true })
    await bundleThreads(built)
    process.argv[1] = join(process.cwd(), built, 'index.mjs')
    pool = await import('../../server/looks/pool')
  })
  afterAll(() => {
    pool.endLooks()
    process.argv[1] = program!
    rmSync(built, { recursive: true })
  })
  const textOf = async (look: Look): Promise<unknown> => {
    const { body, isPacked } = (await pool.lookApart(file, look))!
    const { gunzipSync } = await import('node:zlib')
    return JSON.parse(isPacked ? gunzipSync(body).toString() : String(body))
  }

  it('a screen is the same, travels packed where it is long, and shows what has just been saved', async () => {
    const [instructor] = everybody
    const look = lookOf('floor', instructor!)
    expect(await textOf(look)).toEqual(await seen(repos, look))
    expect(await pool.lookApart(file, look)).toMatchObject({ isPacked: true })
    expect(await pool.lookApart(file, lookOf('cohorts', instructor!))).toMatchObject({ isPacked: false })
    const { patches } = (await textOf(look)) as { patches: { id: number; name: string; personId: number }[] }
    const [first] = patches
    db.prepare("UPDATE person SET name = 'Somebody Else' WHERE id = ?").run(first!.personId)
    const again = (await textOf(look)) as typeof first & { patches: typeof patches }
    expect(again.patches.find(({ id }) => id === first!.id)!.name).toBe('Somebody Else')
  })

  it('a refusal comes through as one, with what it says; and after its end another begins', async () => {
    const apprentice = everybody.at(-1)!
    await expect(pool.lookApart(file, lookOf('people', apprentice))).rejects.toMatchObject({
      code: 'notAllowed',
      status: 403,
    })
    await expect(pool.lookApart(file, lookOf('people', apprentice))).rejects.toBeInstanceOf(Problem)
    pool.endLooks()
    expect(await textOf(lookOf('cohorts', everybody[0]!))).toEqual(
      await seen(repos, lookOf('cohorts', everybody[0]!)),
    )
  })
})
