/* A centre as the version of November 2026 left it: everything opens, nothing is lost, and what was decided shows as it was decided. */
import { gunzipSync } from 'node:zlib'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Database } from 'better-sqlite3'
import { kindOf } from '#core/testing/kinds/kinds'
import { isFormerKey } from '#core/testing/upgrade'
import { openDatabase } from '../../server/db/open'
import { createRepos, type Repos } from '../../server/repos'
import type { Context } from '../../server/services/context'
import { decide, markingPile, release, saveMarking, showMarking } from '../../server/services/marking'
import { showFloor } from '../../server/services/floor'
import { groupRecord, listCohorts } from '../../server/services/records'
import { saveWork } from '../../server/services/work-save'
import { showWork } from '../../server/services/work'

const FIXTURE = fileURLToPath(new URL('../fixtures/centre-2026-11.sqlite.gz', import.meta.url))
const folder = mkdtempSync(join(tmpdir(), 'nakshi-earlier-'))
let db: Database
let repos: Repos
let context: Context

beforeAll(() => {
  const file = join(folder, 'nakshi.sqlite')
  writeFileSync(file, gunzipSync(readFileSync(FIXTURE)))
  db = openDatabase(file)
  repos = createRepos(db)
  context = { repos, now: '2026-11-27T07:00:00.000Z' }
})
afterAll(() => {
  db.close()
  rmSync(folder, { recursive: true })
})

const by = (number: string) => repos.people.byNumber(number)!
const stored = (id: number) =>
  db.prepare('SELECT readings, stage FROM attempt WHERE id = ?').get(id) as {
    readings: string
    stage: string
  }
const everyAttempt = () => {
  const ids = db.prepare('SELECT id FROM attempt ORDER BY id').all() as { id: number }[]
  return repos.attempts.byIds(ids.map(({ id }) => id))
}
/** An attempt on one circuit at this stage, as it was kept by the kinds of its tests. */
const onOneCircuit = (stage: string) =>
  everyAttempt().find(
    (attempt) => attempt.stage === stage && 'r1r2' in JSON.parse(stored(attempt.id).readings),
  )!

describe('sheets of one circuit', () => {
  it('are read as the schedule of that circuit: every reading stands in its place, and nothing stored is rewritten', () => {
    for (const stage of ['permission', 'live', 'handedIn', 'released']) {
      const attempt = onOneCircuit(stage)
      const before = JSON.parse(stored(attempt.id).readings) as Record<string, string>
      expect(Object.keys(attempt.readings).some(isFormerKey)).toBe(false)
      for (const [key, text] of Object.entries(before)) {
        const now = Object.entries(attempt.readings).find(([own]) => kindOf(own).key === kindOf(key).key)
        expect(now?.[1], `${stage} ${key}`).toBe(text)
      }
      expect(stored(attempt.id).readings).toBe(JSON.stringify(before))
    }
  })
  it('go on from there: what a tablet typed before under the old names is taken into the same boxes', () => {
    const attempt = onOneCircuit('live')
    const apprentice = repos.people.byId(attempt.personId)!
    const during = {
      ...context,
      now: repos.attempts.events(attempt.id).findLast(({ act }) => act === 'permit')!.at,
    }
    const before = JSON.parse(stored(attempt.id).readings)
    const { version } = showWork(during, apprentice, attempt.id)
    saveWork(during, apprentice, attempt.id, {
      version,
      answers: attempt.answers as never,
      readings: { ...before, zs: '0.77' },
    })
    const { readings } = repos.attempts.byId(attempt.id)!
    expect(Object.entries(readings).find(([key]) => kindOf(key).key === 'zs')?.[1]).toBe('0.77')
  })
})

describe('decisions', () => {
  it('show as they were decided, to the letter of their marks', () => {
    const decided = everyAttempt().filter(({ stage }) => stage === 'released' || stage === 'decided')
    expect(decided.length).toBeGreaterThan(5)
    for (const { id } of decided) {
      const { evidence } = db
        .prepare('SELECT evidence FROM decision WHERE attempt_id = ? ORDER BY id DESC')
        .get(id) as { evidence: string }
      const kept = JSON.parse(evidence)
      const view = showMarking(context, by('I-201'), id)
      expect(view.marked.readings, `attempt ${id}`).toEqual(kept.marked.readings)
      expect(view.decision!.evidence.proposal).toEqual(kept.proposal)
    }
  })
  it('everything that is looked at opens: pile, floor, records', () => {
    expect(markingPile(context, by('I-201')).length).toBeGreaterThan(8)
    expect(showFloor(context, by('I-201')).patches.length).toBeGreaterThanOrEqual(
      new Set(everyAttempt().map(({ personId }) => personId)).size,
    )
    for (const { cohort } of listCohorts(context, by('I-201')).map((entry) =>
      typeof entry === 'string' ? { cohort: entry } : entry,
    ) as { cohort: string }[])
      expect(() => groupRecord(context, by('I-201'), cohort)).not.toThrow()
  })
  it('a draft of overrides from before stands beside the present readings, is decided with them and released', () => {
    const attempt = onOneCircuit('handedIn')
    const marker = by('I-201')
    const reason = 'Shown at the bay.'
    db.prepare(
      'INSERT INTO marking_draft (attempt_id, overrides, feedback, version) VALUES (?, ?, NULL, 1)',
    ).run(attempt.id, JSON.stringify([{ item: 'reading.zs', verdict: 'wrong', reason }]))
    const view = showMarking(context, marker, attempt.id)
    expect(view.draft.overrides).toMatchObject([{ verdict: 'wrong', reason }])
    expect(view.proposal.criteria.flatMap(({ because }) => because)).toContain(view.draft.overrides[0]!.item)
    decide(context, marker, attempt.id, { version: 1 })
    expect(release(context, marker, attempt.id).attempt.stage).toBe('released')
    expect(() =>
      saveMarking(context, marker, attempt.id, { version: 1, overrides: [], feedback: null }),
    ).toThrow()
  })
})
