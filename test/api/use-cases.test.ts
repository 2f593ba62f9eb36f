import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import BetterSqlite from 'better-sqlite3'
import { beforeEach, describe, expect, test } from 'vitest'
import type { ProblemCode } from '#words/problems'
import { migrate } from '../../server/db/migrate'
import { ROLES } from '#core/exercise/roster'
import { createExercise, importExercise, saveExercise } from '../../server/services/exercises'
import { setExercise } from '../../server/services/set-exercise'
import { decide, release, saveMarking, showMarking } from '../../server/services/marking'
import { importRoster, previewRosterFile } from '../../server/services/people'
import { Problem } from '../../server/services/problem'
import { exportResults, groupRecord, ownRecord, personRecord } from '../../server/services/records'
import { personOf, setUp, signIn } from '../../server/services/sign-in'
import { askPermission, handInDesign } from '../../server/services/hand-in'
import { decidePermission } from '../../server/services/permission'
import { saveWork } from '../../server/services/work-save'
import { showWork } from '../../server/services/work'
import { allow, type Action } from '../../server/services/access'
import { readResults, writeResults } from '#schemas/results-csv'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'
import { aCircuit, aTask, anExercise, anInstallation, around } from '../support/task'

let centre: Centre
beforeEach(() => void (centre = aCentre()))

const version = (id: number) => centre.repos.attempts.byId(id)!.version

describe('people', () => {
  test('the first administrator is set up once, on an empty database, and can sign in', async () => {
    const body = { number: 'A-9', name: 'Ada', password: 'a long password' }
    expect(await refusal(() => setUp(centre.context, body))).toBe('alreadySetUp')
    centre.db.exec('PRAGMA foreign_keys = OFF; DELETE FROM person')
    const claim = await setUp(centre.context, body)
    expect(personOf(centre.context, claim)).toMatchObject({ role: 'administrator', number: 'A-9' })
    expect(await signIn(centre.context, 'a-9', 'a long password')).toEqual(claim)
    expect(await refusal(() => signIn(centre.context, 'a-9', 'a wrong password'))).toBe('signInWrong')
    expect(await refusal(() => signIn(centre.context, 'nobody', 'a long password'))).toBe('signInWrong')
    expect(JSON.stringify(personOf(centre.context, claim))).not.toContain('scrypt')
    expect(centre.repos.people.byNumber('A-9')!.passwordHash).not.toContain('a long password')
  })

  test('a roster comes in whole or not at all, with one-time passwords that end older sessions', async () => {
    const good = Buffer.from('number,name,group\nT-8,Zoë Ångström,Friday\nT-9,"Otter, Bo",Friday\n')
    const told: string[] = []
    const slips = await importRoster(centre.context, centre.administrator, good, ({ done, of }) =>
      told.push(`${done} of ${of}`),
    )
    expect(told.at(-1)).toBe(`${slips.length} of ${slips.length}`)
    expect(told).toHaveLength(slips.length)
    expect(slips.map((slip) => slip.name)).toEqual(['Zoë Ångström', 'Otter, Bo'])
    const claim = await signIn(centre.context, 'T-8', slips[0]!.password)
    expect(personOf(centre.context, claim)!.mustChange).toBe(true)
    centre.repos.people.setPassword(claim.personId, 'scrypt$y$y', false)
    expect(personOf(centre.context, claim)).toBeUndefined()

    const before = centre.repos.people.all().length
    const mixed = Buffer.from('number;name;group\nT-10;Cy;Friday\nT-8;Again;Friday\n')
    expect(previewRosterFile(centre.context, centre.administrator, mixed)).toMatchObject({
      good: [{ number: 'T-10' }],
      bad: [{ line: 3, problems: ['alreadyHere'] }],
    })
    expect(await refusal(() => importRoster(centre.context, centre.administrator, mixed))).toBe(
      'rosterHasBadRows',
    )
    expect(centre.repos.people.all()).toHaveLength(before)
  })

  test.each<[string, Buffer, ProblemCode]>([
    ['Latin-1', Buffer.from('number,name,group\nT-8,Zo\xeb,Fri\n', 'latin1'), 'rosterEncoding'],
    ['no heading', Buffer.from('T-8,Zoe,Fri\n'), 'rosterHeading'],
    ['an open quotation mark', Buffer.from('number,name,group\nT-8,"Zoe,Fri\n'), 'rosterNotCsv'],
    ['no rows', Buffer.from('number,name,group\n'), 'rosterEmpty'],
  ])('a roster with %s is refused', async (_name, file, code) => {
    expect(await refusal(() => previewRosterFile(centre.context, centre.administrator, file))).toBe(code)
  })
})

describe('authorisation', () => {
  test('each action is for its roles and nobody else', async () => {
    const expected: Partial<Record<Action, string[]>> = {
      'people.change': ['administrator'],
      'exercise.change': ['instructor'],
      'energise.permit': ['instructor', 'assessor'],
      'attempt.mark': ['instructor', 'assessor'],
      'work.own': ['apprentice'],
      'centre.change': ['administrator'],
    }
    for (const [action, roles] of Object.entries(expected)) {
      for (const role of ROLES) {
        const actor = { ...centre.apprentice, role }
        expect(await refusal(() => allow(actor, action as Action)), `${role} ${action}`).toBe(
          roles.includes(role) ? 'none' : 'notAllowed',
        )
      }
    }
  })

  test('another apprentice’s attempt is not there, and staff screens are not theirs', async () => {
    const { attemptId, exerciseId } = aSetExercise(centre)
    expect(await refusal(() => showWork(centre.context, centre.other, attemptId))).toBe('notFound')
    expect(
      await refusal(() =>
        saveWork(centre.context, centre.other, attemptId, { version: 1, answers: {}, readings: {} }),
      ),
    ).toBe('notFound')
    expect(await refusal(() => showMarking(centre.context, centre.apprentice, attemptId))).toBe('notAllowed')
    expect(await refusal(() => exportResults(centre.context, centre.apprentice, exerciseId))).toBe(
      'notAllowed',
    )
    expect(
      await refusal(() =>
        decidePermission(centre.context, centre.apprentice, attemptId, { granted: true, reason: '' }),
      ),
    ).toBe('notAllowed')
  })
})

describe('setting', () => {
  test('an unsolvable task is refused with the constraint, a solvable one gives everybody their own', async () => {
    const impossible = createExercise(
      centre.context,
      centre.instructor,
      anExercise({
        code: 'X-9',
        installation: around(aTask({ lengthM: 420, cable: { kind: 'flat-twin-earth', method: 'C' } })),
      }),
    )
    await expect(
      setExercise(centre.context, centre.instructor, { id: impossible.id, version: 1, cohort: 'Thursday' }),
    ).rejects.toThrow(/Voltage drop prevents a solution/)
    const { exerciseId } = aSetExercise(centre)
    const circuits = centre.repos.attempts
      .byExercise(exerciseId)
      .map((attempt) => attempt.installation.circuits[0]!)
    expect(new Set(circuits.map(({ lengthM }) => lengthM)).size).toBe(2)
    const stored = centre.repos.exercises.byId(exerciseId)!
    expect(
      await refusal(() =>
        setExercise(centre.context, centre.instructor, {
          id: exerciseId,
          version: stored.version,
          cohort: 'Thursday',
        }),
      ),
    ).toBe('cohortDone')
    expect(
      await refusal(() =>
        setExercise(centre.context, centre.instructor, {
          id: exerciseId,
          version: stored.version,
          cohort: 'Nobody',
        }),
      ),
    ).toBe('cohortEmpty')
    expect(
      await refusal(() =>
        saveExercise(centre.context, centre.instructor, exerciseId, stored.version, anExercise()),
      ),
    ).toBe('exerciseIsSet')
  })

  test('variants are made aside: whoever joins the group meanwhile has one too, and nobody has two', async () => {
    const { context, instructor, repos } = centre
    const { id, version } = createExercise(context, instructor, anExercise({ code: 'X-8' }))
    const ask = { id, version, cohort: 'Thursday' }
    const [one, two] = [setExercise(context, instructor, ask), setExercise(context, instructor, ask)]
    repos.people.insert(
      { number: 'T-9', name: 'Late', role: 'apprentice', cohort: 'Thursday' },
      'scrypt$x$x',
      false,
      context.now,
    )
    expect(await one).toEqual({ given: 3 })
    expect(await refusal(() => two)).toBe('stale')
    const given = repos.attempts.byExercise(id)
    expect(new Set(given.map(({ personId }) => personId)).size).toBe(3)
    expect(given).toHaveLength(3)
    expect(new Set(given.map(({ installation }) => JSON.stringify(installation))).size).toBe(3)
  })

  test('an exercise that is saved while its variants are made is given to nobody, and shown as it is now', async () => {
    const { context, instructor, repos } = centre
    const { id, version } = createExercise(context, instructor, anExercise({ code: 'X-7' }))
    const asked = setExercise(context, instructor, { id, version, cohort: 'Thursday' })
    saveExercise(context, instructor, id, version, anExercise({ code: 'X-7', title: 'Newer' }))
    expect(await refusal(() => asked)).toBe('stale')
    expect(repos.attempts.byExercise(id)).toEqual([])
    expect(repos.exercises.byId(id)).toMatchObject({ state: 'draft', exercise: { title: 'Newer' } })
  })

  test('two people save the same exercise: the second is handed the first one’s version', async () => {
    const stored = createExercise(centre.context, centre.instructor, anExercise())
    saveExercise(centre.context, centre.instructor, stored.id, stored.version, anExercise({ title: 'First' }))
    try {
      saveExercise(
        centre.context,
        centre.instructor,
        stored.id,
        stored.version,
        anExercise({ title: 'Second' }),
      )
      expect.unreachable()
    } catch (error) {
      expect(error).toMatchObject({ code: 'stale', extra: { theirs: { exercise: { title: 'First' } } } })
    }
  })

  test('a broken exercise file is refused whole, naming each part', async () => {
    expect(await refusal(() => importExercise(centre.context, centre.instructor, '{ not json'))).toBe(
      'exerciseNotJson',
    )
    const whole = anInstallation()
    const broken = {
      ...anExercise(),
      surprise: 1,
      installation: {
        ...whole,
        circuits: [{ ...aCircuit(), lengthM: -4 }],
        intake: { ...whole.intake, arrangement: 'IT' },
      },
    }
    try {
      importExercise(centre.context, centre.instructor, JSON.stringify(broken))
      expect.unreachable()
    } catch (error) {
      expect((error as Problem).fields).toEqual(
        expect.arrayContaining([
          { field: 'surprise', message: 'is not known here. Take it out.' },
          { field: 'installation.circuits.0.lengthM', message: 'must be more than 0.' },
          { field: 'installation.intake.arrangement', message: 'must be one of: TN-S, TN-C-S, TT.' },
        ]),
      )
    }
    expect(centre.repos.exercises.all()).toHaveLength(0)
  })
})

describe('from design to record', () => {
  test('live boxes stay locked until permission by name; a shut gate cannot be opened; a refusal sends back with the reason', async () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'permission', { readings: { irNE: '0.4' } })
    const work = () => showWork(centre.context, centre.apprentice, attemptId)
    const live = () =>
      saveWork(centre.context, centre.apprentice, attemptId, {
        version: version(attemptId),
        answers: work().answers,
        readings: { ...work().readings, 'c1.zs@c1p4': '0.8' },
      })
    expect(await refusal(live)).toBe('liveLocked')
    expect(
      await refusal(() =>
        decidePermission(centre.context, centre.assessor, attemptId, { granted: true, reason: '' }),
      ),
    ).toBe('gateShut')
    expect(
      await refusal(() =>
        decidePermission(centre.context, centre.assessor, attemptId, { granted: false, reason: ' ' }),
      ),
    ).toBe('reasonNeeded')
    decidePermission(centre.context, centre.assessor, attemptId, {
      granted: false,
      reason: 'N–E is too low: find it.',
    })
    expect(work()).toMatchObject({
      stage: 'dead',
      events: expect.arrayContaining([
        expect.objectContaining({ act: 'refuse', by: 'assessor S-1', note: 'N–E is too low: find it.' }),
      ]),
    })
    expect(await refusal(live)).toBe('liveLocked')
    saveWork(centre.context, centre.apprentice, attemptId, {
      version: version(attemptId),
      answers: work().answers,
      readings: { ...work().readings, 'c1.irNE': '>999' },
    })
    askPermission(centre.context, centre.apprentice, attemptId, version(attemptId))
    decidePermission(centre.context, centre.assessor, attemptId, { granted: true, reason: '' })
    expect(work().events.at(-1)).toMatchObject({ act: 'permit', by: 'assessor S-1', at: centre.context.now })
    expect(await refusal(live)).toBe('none')
  })

  test('an unfinished design is not taken; its empty steps come back by name', async () => {
    const { attemptId } = aSetExercise(centre)
    saveWork(centre.context, centre.apprentice, attemptId, {
      version: 1,
      answers: { 'c1.ib': '12.6', 'c1.in': 'sixteen' },
      readings: {},
    })
    await expect(async () =>
      handInDesign(centre.context, centre.apprentice, attemptId, 2),
    ).rejects.toMatchObject({
      code: 'answersMissing',
      extra: { missing: expect.arrayContaining(['c1.in', 'c1.ca']) },
    })
  })

  test('a stale worksheet gets the other device’s typing back', async () => {
    const { attemptId } = aSetExercise(centre)
    saveWork(centre.context, centre.apprentice, attemptId, {
      version: 1,
      answers: { 'c1.ib': '12.6' },
      readings: {},
    })
    await expect(async () =>
      saveWork(centre.context, centre.apprentice, attemptId, {
        version: 1,
        answers: { 'c1.ca': '1' },
        readings: {},
      }),
    ).rejects.toMatchObject({
      code: 'stale',
      extra: { theirs: { version: 2, answers: { 'c1.ib': '12.6' } } },
    })
  })

  test('what an apprentice is sent holds no answer before release, and all of them after', () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'handedIn', { slips: { 'c1.ib': 23 } })
    const sent = () => JSON.stringify(showWork(centre.context, centre.apprentice, attemptId))
    const secrets = /reference|expected|verdict|"mark"|residualA|seed|proposal/
    expect(sent()).not.toMatch(secrets)
    decide(centre.context, centre.assessor, attemptId, { version: 0 })
    expect(sent()).not.toMatch(secrets)
    expect(
      ownRecord(centre.context, centre.apprentice).units.flatMap((unit) =>
        unit.coverage.flatMap((item) => item.occasions),
      ),
    ).toEqual([])
    release(centre.context, centre.assessor, attemptId)
    expect(sent()).toMatch(/"verdict":"carried"/)
    expect(ownRecord(centre.context, centre.apprentice).units[0]!.coverage[0]!.occasions[0]).toMatchObject({
      met: false,
      decidedBy: 'assessor S-1',
    })
    expect(groupRecord(centre.context, centre.instructor, 'Thursday').people[0]!.coverage[1]).toMatchObject({
      met: 1,
    })
  })

  test('a decision signs what was on the screen; a later one replaces it, and both stay', async () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'handedIn', { typed: { 'c1.residual': 'none' } })
    expect(decide(centre.context, centre.assessor, attemptId, { version: 0 }).decision).toMatchObject({
      met: false,
    })
    const override = {
      item: 'design.c1.residual' as const,
      verdict: 'right' as const,
      reason: 'Explained at the bay.',
    }
    saveMarking(centre.context, centre.instructor, attemptId, {
      version: 0,
      overrides: [override],
      feedback: null,
    })
    expect(
      await refusal(() =>
        saveMarking(centre.context, centre.assessor, attemptId, {
          version: 0,
          overrides: [],
          feedback: null,
        }),
      ),
    ).toBe('stale')
    expect(await refusal(() => decide(centre.context, centre.assessor, attemptId, { version: 0 }))).toBe(
      'stale',
    )
    expect(await refusal(() => release(centre.context, centre.assessor, attemptId))).toBe('wrongStage')
    expect(decide(centre.context, centre.instructor, attemptId, { version: 1 }).decision).toMatchObject({
      met: true,
      by: 'instructor I-1',
    })
    expect(groupRecord(centre.context, centre.instructor, 'Thursday').people[0]!.coverage[4]).toMatchObject({
      met: 1,
    })
    const record = personRecord(centre.context, centre.instructor, centre.apprentice.id)
    expect(record.units[0]!.coverage[4]!.occasions).toMatchObject([{ met: true }])
    expect(centre.db.prepare('SELECT count(*) AS n FROM decision').get()).toEqual({ n: 2 })
  })

  test.each(['decision', 'occasion', 'stage_event', 'audit'])(
    'nobody can change or remove a row of %s',
    (table) => {
      const { attemptId } = aSetExercise(centre)
      bringTo(centre, attemptId, 'handedIn')
      decide(centre.context, centre.assessor, attemptId, { version: 0 })
      expect(() => centre.db.exec(`DELETE FROM ${table}`)).toThrow(/append-only/)
      expect(() => centre.db.exec(`UPDATE ${table} SET id = id + 100`)).toThrow(/append-only/)
    },
  )

  test('results go out as CSV and read back as the same rows', () => {
    const { attemptId, exerciseId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'handedIn', { slips: { 'c1.ib': 23 } })
    decide(centre.context, centre.assessor, attemptId, { version: 0 })
    const { csv } = exportResults(centre.context, centre.instructor, exerciseId)
    const rows = readResults(csv)
    expect(rows).toEqual([
      expect.objectContaining({
        number: 'T-1',
        stage: 'decided',
        met: false,
        criteriaOpen: ['D1'],
        decidedBy: 'assessor S-1',
      }),
      expect.objectContaining({
        number: 'T-2',
        stage: 'design',
        mark: undefined,
        met: undefined,
        criteriaMet: [],
      }),
    ])
    expect(writeResults(rows)).toBe(csv)
    // A name that a spreadsheet would run as a formula goes out harmless and comes back as it was.
    const tricky = [{ ...rows[0]!, name: '=1+1, "Bo"\nOtter' }]
    expect(writeResults(tricky)).toContain("'=1+1")
    expect(readResults(writeResults(tricky))).toEqual(tricky)
  })
})

describe('migrations', () => {
  test('the runner refuses a database whose history is not the beginning of its files', () => {
    const folder = mkdtempSync(join(tmpdir(), 'nakshi-'))
    writeFileSync(join(folder, '0001_a.sql'), 'CREATE TABLE a (x INTEGER) STRICT;')
    const db = new BetterSqlite(':memory:')
    migrate(db, folder)
    migrate(db, folder)
    writeFileSync(join(folder, '0002_bad.sql'), 'CREATE TABLE b (x INTEGER) STRICT; CREATE TABLE nonsense')
    expect(() => migrate(db, folder)).toThrow()
    expect(db.prepare("SELECT count(*) AS n FROM sqlite_master WHERE name = 'b'").get()).toEqual({ n: 0 })
    db.exec("INSERT INTO migration VALUES ('0000_other.sql', '')")
    expect(() => migrate(db, folder)).toThrow(/expects 0001_a\.sql/)
  })
})
