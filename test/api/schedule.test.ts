/* A whole board through the use-cases: the sheet's boxes and their locks, the stream, merging, the assessor's view, records and their signature, planted faults. */
import { beforeEach, describe, expect, it } from 'vitest'
import { createHash } from 'node:crypto'
import { askedNodes } from '#core/exercise/assignment'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import type { Readings } from '#core/testing/readings'
import { TESTER, testBay } from '#core/testing/tester'
import { typedAnswers } from '../../demo/story'
import { assignmentFor } from '../../server/services/assignment'
import { bayToTest, pairingCode } from '../../server/services/test-sheet'
import type { Context } from '../../server/services/context'
import { createExercise } from '../../server/services/exercises'
import { setAtOnce } from '../../server/services/set-exercise'
import {
  endFaultFinding,
  faultFindingHome,
  showFaultFinding,
  stepFaultFinding,
} from '../../server/services/fault-finding'
import {
  plantFaultFinding,
  previewFaultFinding,
  startFaultFinding,
} from '../../server/services/fault-finding-set'
import {
  addInstrument,
  calibrate,
  listInstruments,
  retireInstrument,
} from '../../server/services/instruments'
import { NEW_LINK, takeStreamLine } from '../../server/services/instrument-stream'
import { hashPassword } from '../../server/services/passwords'
import { saveTestRecord, showTestRecords, signTestRecord } from '../../server/services/test-records'
import { previewReadings, readingsForm, showSchedule } from '../../server/services/schedules'
import { askPermission, handInDesign, handInReadings } from '../../server/services/hand-in'
import { decidePermission } from '../../server/services/permission'
import { saveWork } from '../../server/services/work-save'
import { showWork } from '../../server/services/work'
import { NOW, aCentre, type Centre } from '../support/centre'
import { splitBoard } from '../support/bay'
import { refusal } from '../support/refusal'
import { anExercise } from '../support/task'

let centre: Centre
let context: Context
let id: number
const SECRET = 'a secret of the tests'
const version = () => centre.repos.attempts.byId(id)!.version
const attempt = () => centre.repos.attempts.byId(id)!
const save = (readings: Record<string, string>, at: Context = context) =>
  saveWork(at, centre.apprentice, id, {
    version: version(),
    answers: attempt().answers as Record<string, string>,
    readings,
  })
const measured = (isDead: boolean): Readings =>
  Object.fromEntries(
    [
      ...testBay(
        bayToTest(context, attempt()).rig,
        bayToTest(context, attempt()).schedule.filter((test) => test.isAsked && test.isDead === isDead),
        TESTER,
      ),
    ].map(({ test, shown }) => [test.key, shown]),
  )

beforeEach(() => {
  centre = aCentre()
  context = { ...centre.context, stream: { port: 4000, secret: SECRET } }
  const stored = createExercise(
    context,
    centre.instructor,
    anExercise({
      code: 'B-1',
      tests: WHOLE_BOARD,
      installation: splitBoard(),
      asks: { circuits: ['c1'], steps: ['ib', 'in'] },
    }),
  )
  setAtOnce(context, centre.instructor, { id: stored.id, version: stored.version, cohort: 'Thursday' })
  id = centre.repos.attempts.byPerson(centre.apprentice.id)[0]!.id
  saveWork(context, centre.apprentice, id, {
    version: version(),
    answers: typedAnswers(assignmentFor(context, attempt()), {}) as Record<string, string>,
    readings: {},
  })
  expect(askedNodes(assignmentFor(context, attempt())).length).toBeGreaterThan(0)
  handInDesign(context, centre.apprentice, id, version())
})

describe('the sheet of a whole board', () => {
  it('tells how each test is made and nothing of what it should show', () => {
    const view = showWork(context, centre.apprentice, id)
    expect(view.board!.tests.find(({ key }) => key === 'c1.r1')!.setup.ready.join(' ')).toMatch(
      /Disconnect: line of Socket 1\.1/,
    )
    expect(view.board!.stream).toEqual({ port: 4000, code: pairingCode(SECRET, id, NOW) })
    expect(JSON.stringify(view)).not.toMatch(/expected|"low"|"limit"/)
  })
  it('takes dead readings only before, live ones only with permission, and no test that it does not have', async () => {
    expect(await refusal(() => save({ 'c9.r1': '0.4' }))).toBe('readingUnknown')
    expect(await refusal(() => save({ ze: '0.3' }))).toBe('liveLocked')
    expect(await refusal(() => askPermission(context, centre.apprentice, id, version()))).toBe(
      'readingsMissing',
    )
    save({ ...measured(true), 'set:instrument': 'Multi 1' })
    askPermission(context, centre.apprentice, id, version())
    expect(await refusal(() => save({ ...attempt().readings, 'c1.r1': '0.1' }))).toBe('locked')
    decidePermission(context, centre.assessor, id, { granted: true, reason: '' })
    save({ ...attempt().readings, ...measured(false) })
    handInReadings(context, centre.apprentice, id, version())
    expect(showSchedule(context, centre.assessor, id).marks.every(({ verdict }) => verdict === 'right')).toBe(
      true,
    )
  })
  it('a permission is not given past a reading beyond its limit', async () => {
    save({ ...measured(true), 'c1.irLE': '0.4 MΩ' })
    askPermission(context, centre.apprentice, id, version())
    expect(
      await refusal(() => decidePermission(context, centre.assessor, id, { granted: true, reason: '' })),
    ).toBe('gateShut')
  })
  it('keeps when each reading came in by the server’s clock; what a file claims stands beside it', () => {
    const at15 = '2026-11-12T15:00:00.000Z'
    const claimed = '2026-11-12T08:00:00.000Z'
    save({ 'c1.r1': '0.4' })
    save({ 'c1.r1': '0.4', 'c1.rn': '0.4', 'at:c1.rn': claimed }, { ...context, now: at15 })
    expect(attempt().readingTimes).toEqual({ 'c1.r1': NOW, 'c1.rn': at15 })
    expect(showSchedule(context, centre.assessor, id).history).toMatchObject([
      {
        key: 'c1.r1',
        before: '',
        after: '0.4',
        at: NOW,
        claimedAt: '',
        via: 'typed',
        by: centre.apprentice.name,
      },
      { key: 'c1.rn', at: at15, claimedAt: claimed, via: 'file' },
    ])
  })
  it('every change of a reading is kept, and none of them can be taken back', () => {
    save({ 'c1.r1': '0.4' })
    save({ 'c1.r1': '0.44' })
    save({ 'c1.r1': '' })
    expect(centre.repos.readingChanges.ofAttempt(id).map(({ before, after }) => [before, after])).toEqual([
      ['', '0.4'],
      ['0.4', '0.44'],
      ['0.44', ''],
    ])
    for (const sql of ['DELETE FROM reading_change', "UPDATE reading_change SET after = '0.5'"])
      expect(() => centre.db.exec(sql)).toThrow(/append-only/)
  })
  it('looks through a file: only tests that are open now; and gives a form to fill in', () => {
    expect(
      previewReadings(context, centre.apprentice, id, 'test,reading\nc1.r1,0.4\nze,0.3\n'),
    ).toMatchObject({
      ok: true,
      readings: [{ key: 'c1.r1' }],
      problems: [{ line: 3, problem: 'noSuchTest' }],
    })
    expect(readingsForm(context, centre.apprentice, id).split('\r\n')[0]).toBe('test,name,reading,unit,time')
  })
})

describe('an instrument on the stream', () => {
  const talk = (...lines: readonly string[]) =>
    lines.reduce(
      (state, line) => {
        const answer = takeStreamLine(context, state.link, line)
        return { link: answer.link, says: [...state.says, answer.says] }
      },
      { link: NEW_LINK, says: [] as string[] },
    ).says
  const right = () => `SHEET ${id} ${pairingCode(SECRET, id, NOW)}`
  it('says whose sheet it is, and then writes into it; what another device changed meanwhile stays', () => {
    expect(talk(right(), 'INSTRUMENT Multi 1', 'NULL 0.08', 'READ c1.r1 0.44 Ω', 'END')).toEqual([
      'OK',
      'OK',
      'OK',
      'OK',
      'OK',
    ])
    expect(attempt().readings).toMatchObject({
      'set:instrument': 'Multi 1',
      'set:leads': '0.08 Ω',
      'c1.r1': '0.44 Ω',
    })
    save({ ...attempt().readings, 'c1.rn': '0.43' })
    talk(right(), 'READ c1.r2 0.71')
    expect(attempt().readings).toMatchObject({ 'c1.r1': '0.44 Ω', 'c1.rn': '0.43', 'c1.r2': '0.71' })
  })
  it('a code holds for its day and not long past midnight; after five wrong ones the connection takes nothing more', () => {
    expect(pairingCode(SECRET, id, '2026-11-13T08:00:00.000Z')).not.toBe(pairingCode(SECRET, id, NOW))
    const at = (now: string) => takeStreamLine({ ...context, now }, NEW_LINK, right()).says
    expect(at('2026-11-13T00:01:00.000Z')).toBe('OK')
    expect(at('2026-11-13T07:00:00.000Z')).toMatch(/^NO the code/)
    const guesses = Array.from({ length: 5 }, (_, i) => `SHEET ${id} 00000${i}`)
    expect(talk(...guesses, right()).at(-1)).toMatch(/^NO too many/)
  })
  it('is refused without its code, for live tests without permission, and for tests that are not there; each line by itself', () => {
    expect(talk('READ c1.r1 0.44')[0]).toMatch(/^NO say first/)
    expect(talk(`SHEET ${id} 000000`)[0]).toMatch(/^NO the code/)
    expect(talk(right(), 'READ c1.zs@c1p4 0.9', 'READ c7.r1 1', 'WHAT', 'READ c1.r1 0.5')).toEqual([
      'OK',
      expect.stringMatching(/^NO live/),
      expect.stringMatching(/^NO c7\.r1 is no test/),
      expect.stringMatching(/^NO unknown/),
      'OK',
    ])
  })
})

describe('the register of instruments', () => {
  const tester = {
    name: 'Multi 1',
    serial: 'A-1',
    kind: 'multifunction' as const,
    doneOn: '2025-11-01',
    dueOn: '2026-11-01',
    certificate: 'DC-1',
  }
  it('keeps every calibration; the newest counts; names are unique; nothing due before it was done', async () => {
    addInstrument(context, centre.technician, tester)
    expect(
      await refusal(() => addInstrument(context, centre.technician, { ...tester, name: 'multi 1' })),
    ).toBe('instrumentKnown')
    expect(
      await refusal(() =>
        addInstrument(context, centre.technician, { ...tester, name: 'X', dueOn: '2025-01-01' }),
      ),
    ).toBe('calibrationDates')
    save({ ...measured(true), 'set:instrument': 'Multi 1', 'set:leads': '0.08' })
    expect(showSchedule(context, centre.assessor, id).process.map(({ code }) => code)).toEqual([
      'instrument.overdue',
    ])
    calibrate(context, centre.technician, listInstruments(context, centre.apprentice)[0]!.id, {
      doneOn: '2026-11-10',
      dueOn: '2027-11-10',
      certificate: 'DC-1',
    })
    expect(showSchedule(context, centre.assessor, id).process).toEqual([])
    expect(() => centre.db.exec("UPDATE calibration SET due_on = '2030-01-01'")).toThrow(/append-only/)
    expect(retireInstrument(context, centre.technician, 1)).toEqual([])
  })
})

describe('records', () => {
  const fields = {
    client: 'Depot',
    address: 'Road 2',
    description: 'Ring',
    departures: 'none',
    existingComments: 'none',
    date: '2026-11-12',
    nextInspection: '2027-11-12',
    earthingConductor: 'yes',
    bondingWater: 'connected',
    bondingGas: 'N/A',
    'why.bondingGas': 'no gas',
    circuit: 'c1',
    afdd: 'N/A',
    'why.afdd': 'workshop',
    spd: 'fitted',
  }
  async function tested() {
    centre.repos.locks.setPin(centre.apprentice.id, await hashPassword('2468'), NOW)
    addInstrument(context, centre.technician, {
      name: 'Multi 1',
      serial: 'A-1',
      kind: 'multifunction',
      doneOn: '2026-01-01',
      dueOn: '2027-01-01',
      certificate: 'DC-1',
    })
    save({ ...measured(true), 'set:instrument': 'Multi 1' })
    askPermission(context, centre.apprentice, id, version())
    decidePermission(context, centre.assessor, id, { granted: true, reason: '' })
    save({ ...attempt().readings, ...measured(false) })
    handInReadings(context, centre.apprentice, id, version())
  }
  const sign = (signature: Partial<{ name: string; pin: string; version: number }> = {}) =>
    signTestRecord(context, centre.apprentice, id, {
      kind: 'minor',
      version: showTestRecords(context, centre.apprentice, id).papers.minor.version,
      name: centre.apprentice.name,
      pin: '2468',
      ...signature,
    })

  it('carry the voltage of the insulation test and what had to be out, once they were written down', () => {
    const boxes = () =>
      showTestRecords(context, centre.apprentice, id).papers.minor.paper.parts.flatMap(({ items }) =>
        items.filter(({ key }) => key === 'insulationTest'),
      )
    expect(boxes()).toEqual([])
    save({ 'set:irVolt': '500' })
    // What nobody wrote down is not claimed.
    expect(boxes().map(({ value }) => value)).toEqual(['500 V d.c.'])
    save({ 'set:irVolt': '500', 'set:irOut': 'lamps, surge protection' })
    expect(boxes().map(({ value }) => value)).toEqual(['500 V d.c.; disconnected: lamps, surge protection'])
  })
  it('name what is missing, and take no signature before nothing is', async () => {
    const { paper } = showTestRecords(context, centre.apprentice, id).papers.minor
    expect(paper.missing).toEqual(
      expect.arrayContaining(['Client', 'Circuit', 'Live tests, handed in', 'Permission to energise by']),
    )
    expect(await refusal(() => sign())).toBe('paperIncomplete')
    await tested()
    saveTestRecord(context, centre.apprentice, id, {
      kind: 'minor',
      version: 1,
      fields: { ...fields, 'why.bondingGas': '' },
    })
    expect(showTestRecords(context, centre.apprentice, id).papers.minor.paper.missing).toEqual([
      'Reason for bonding of gas',
    ])
    expect(showTestRecords(context, centre.apprentice, id).papers.installation.paper.missing).toContain(
      'Labels, charts and notices',
    )
  })
  // BS 7671:2018 Appendix 6, minor works form, from memory of its parts 1 to 5: description, earthing,
  // circuit, results, declaration.
  it('ask for everything that the model form asks for; one box left empty is named, and only that one', async () => {
    await tested()
    let at = 1
    const missing = (own: Record<string, string>) => {
      saveTestRecord(context, centre.apprentice, id, { kind: 'minor', version: at++, fields: own })
      return showTestRecords(context, centre.apprentice, id).papers.minor.paper.missing
    }
    expect(missing(fields)).toEqual([])
    const asked = showTestRecords(context, centre.apprentice, id).papers.minor.paper.parts.flatMap(
      ({ items }) => items.map(({ key }) => key),
    )
    expect(asked).toEqual(
      expect.arrayContaining([
        'client',
        'address',
        'description',
        'date',
        'departures',
        'existingComments',
        'earthingArrangement',
        'earthingConductor',
        'bondingWater',
        'bondingGas',
        'device',
        'conductors',
        'residual',
        'results',
        'instrument',
        'tester',
        'nextInspection',
      ]),
    )
    for (const key of Object.keys(fields).filter(
      (candidate) => candidate !== 'circuit' && !candidate.startsWith('why.'),
    )) {
      const { [key as 'client']: _left, ...rest } = fields
      expect(missing(rest), key).toHaveLength(1)
      expect(missing({ ...fields, [key]: 'LIM', [`why.${key}`]: ' ' }), key).toEqual([
        expect.stringMatching(/^Reason for /),
      ])
    }
  })
  it('signed by name and PIN, with a hash of the content, and never changed afterwards', async () => {
    await tested()
    saveTestRecord(context, centre.apprentice, id, { kind: 'minor', version: 1, fields })
    expect(await refusal(() => sign({ pin: '9999' }))).toBe('pinWrong')
    expect(await refusal(() => sign({ version: 1 }))).toBe('stale')
    const { signed } = await sign()
    const row = centre.db.prepare('SELECT content, hash FROM signed_paper').get() as {
      content: string
      hash: string
    }
    expect(createHash('sha256').update(row.content).digest('hex')).toBe(signed[0]!.hash)
    expect(signed[0]!.content.readings['c1.r1']).toBe(attempt().readings['c1.r1'])
    for (const change of ["UPDATE signed_paper SET content = '{}'", 'DELETE FROM signed_paper'])
      expect(() => centre.db.exec(change)).toThrow(/append-only/)
  })
  it('nothing that fails is signed', async () => {
    await tested()
    centre.db
      .prepare('UPDATE attempt SET readings = ? WHERE id = ?')
      .run(JSON.stringify({ ...attempt().readings, 'c1.irLE': '0.3 MΩ' }), id)
    saveTestRecord(context, centre.apprentice, id, { kind: 'minor', version: 1, fields })
    expect(showTestRecords(context, centre.apprentice, id).papers.minor.paper.failing).toEqual([
      expect.stringContaining('Insulation resistance, L–E'),
    ])
    expect(await refusal(() => sign())).toBe('paperIncomplete')
  })
  it('belong to the one who tested and to those who mark', async () => {
    expect(await refusal(() => showTestRecords(context, centre.other, id))).toBe('notFound')
    expect(showTestRecords(context, centre.assessor, id).attempt.name).toBe(centre.apprentice.name)
  })
})

describe('planted faults', () => {
  it('never leave the server before the search is over', async () => {
    const { id: hunt } = await startFaultFinding(context, centre.apprentice, { bay: 'split', aim: 'open' })
    const { faults } = centre.repos.faultFindings.byId(hunt)!
    const view = showFaultFinding(context, centre.apprentice, hunt)
    expect(view.secret).toBeNull()
    expect(JSON.stringify({ ...view, choices: [] })).not.toContain(faults[0]!.place)
    expect(
      stepFaultFinding(context, centre.apprentice, hunt, {
        version: 1,
        step: { do: 'test', test: 'c2.r1r2@c2p2', read: '0.1' },
      }).log[0]!.words,
    ).toContain('refused: live')
    expect(
      await refusal(() =>
        stepFaultFinding(context, centre.apprentice, hunt, { version: 1, step: { do: 'isolate' } }),
      ),
    ).toBe('stale')
    stepFaultFinding(context, centre.apprentice, hunt, {
      version: 2,
      step: { do: 'conclude', code: faults[0]!.code, place: faults[0]!.place },
    })
    const over = endFaultFinding(context, centre.apprentice, hunt)
    expect(over.secret).toBeTruthy()
    expect(over.verdict).toMatchObject({ met: false })
    expect(over.verdict!.marks.find(({ rule }) => rule === 'isolation')).toMatchObject({
      state: 'broken',
      isCritical: true,
    })
    expect(
      await refusal(() =>
        stepFaultFinding(context, centre.apprentice, hunt, { version: 4, step: { do: 'look' } }),
      ),
    ).toBe('huntOver')
  })
  it('are previewed and set by the staff; in a real bay the readings are typed', async () => {
    const faults = [{ code: 'shortNE', place: 'c1p1' }]
    const preview = await previewFaultFinding(context, centre.instructor, { bay: 'split', faults })
    expect(preview.readings.map(({ name }) => name).join()).toContain('insulation resistance N–E')
    expect(
      plantFaultFinding(context, centre.instructor, {
        bay: 'split',
        faults,
        people: [centre.apprentice.id, centre.other.id],
        place: 'bay',
        bayNumber: 4,
      }),
    ).toEqual({ set: 2 })
    const [own] = faultFindingHome(context, centre.apprentice).own
    const view = stepFaultFinding(context, centre.apprentice, own!.id, {
      version: 1,
      step: { do: 'test', test: 'c1.irNE', read: '0.02 MΩ' },
    })
    expect(view).toMatchObject({ bay: 4, setBy: centre.instructor.name })
    expect(view.log[0]!.words).toContain('0.02 MΩ')
    expect(faultFindingHome(context, centre.instructor).set).toHaveLength(2)
    expect(faultFindingHome(context, centre.apprentice).set).toEqual([])
  })
})
