/* Sessions, dates and drums at the server: who may, what is refused, that nothing is lost between two people. */
import { beforeEach, describe, expect, it } from 'vitest'
import { readSession } from '#core/planning/read-session'
import { readCalendar } from '#schemas/calendar/read'
import { calendarFile, checkBay, keepDays, listDates, readDays, removeDay } from '../../server/services/dates'
import { addInstrument } from '../../server/services/instruments'
import {
  listSessions,
  removeSession,
  saveSession,
  sessionsNow,
  showSession,
  startSession,
} from '../../server/services/planning'
import { addDrum, moveDrum, setOrderPoint, showStock } from '../../server/services/stock'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusedAtOnce as refusal } from '../support/refusal'

let centre: Centre
beforeEach(() => (centre = aCentre()))
const start = (tasks: { person: number; exercise: number }[] = []) =>
  startSession(centre.context, centre.instructor, { cohort: 'Thursday', tasks }).id
const save = (id: number, fields: Record<string, string>, version = 1) =>
  saveSession(centre.context, centre.instructor, id, { version, fields })
const fieldsOf = (id: number) => ({ ...showSession(centre.context, centre.instructor, id).fields })

describe('a session', () => {
  it('begins with everybody of the group and what they have in hand', () => {
    const { exerciseId } = aSetExercise(centre)
    const read = readSession(fieldsOf(start()))
    expect(read.tasks.map(({ people, exercise }) => [people, exercise])).toEqual([
      [[centre.apprentice.id], exerciseId],
      [[centre.other.id], exerciseId],
    ])
    expect(read.frame.assessors).toEqual([{ id: centre.instructor.id, from: 0, to: 360 }])
  })
  it('takes over who does what from somewhere else, and leaves out who or what is not there', () => {
    const { exerciseId } = aSetExercise(centre)
    const id = start([
      { person: centre.other.id, exercise: exerciseId },
      { person: 999, exercise: exerciseId },
      { person: centre.other.id, exercise: 999 },
    ])
    expect(readSession(fieldsOf(id)).tasks.map(({ people }) => people)).toEqual([[centre.other.id]])
  })
  it('of a group without people is refused; apprentices neither plan nor look', () => {
    expect(
      refusal(() => startSession(centre.context, centre.instructor, { cohort: 'Nobody', tasks: [] })),
    ).toBe('sessionNoGroup')
    expect(
      refusal(() => startSession(centre.context, centre.apprentice, { cohort: 'Thursday', tasks: [] })),
    ).toBe('notAllowed')
    const id = start()
    expect(refusal(() => showSession(centre.context, centre.apprentice, id))).toBe('notAllowed')
    expect(
      refusal(() => saveSession(centre.context, centre.technician, id, { version: 1, fields: {} })),
    ).toBe('notAllowed')
  })
  it('of two who save at once the second is asked, and has both', () => {
    const id = start()
    save(id, { ...fieldsOf(id), day: '2026-11-19' })
    expect(refusal(() => save(id, { title: 'Mine' }))).toBe('stale')
    expect(listSessions(centre.context, centre.assessor)[0]).toMatchObject({ day: '2026-11-19' })
    removeSession(centre.context, centre.instructor, id)
    expect(listSessions(centre.context, centre.assessor)).toEqual([])
  })
  it('on the day stands against what is going on', () => {
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'dead')
    const id = start()
    const fields = fieldsOf(id)
    const [mine] = readSession(fields).tasks
    save(id, {
      ...fields,
      day: '2026-11-12',
      [`place.${mine!.id}`]: JSON.stringify({
        bay: 1,
        start: 30,
        live: 120,
        assessor: centre.instructor.id,
        instrument: null,
        liveInstrument: null,
      }),
    })
    const [now] = sessionsNow(centre.context, centre.assessor, { day: '2026-11-12', time: '11:20' })
    expect(now!.rows).toMatchObject([{ late: 20, bay: 1, names: centre.apprentice.name }])
    expect(sessionsNow(centre.context, centre.assessor, { day: '2026-11-13', time: '11:20' })).toEqual([])
  })
})

describe('dates', () => {
  const check = (doneOn: string, dueOn: string) =>
    checkBay(centre.context, centre.technician, { bay: 3, kind: 'rcd', doneOn, dueOn, note: '' })
  it('the latest check of a bay counts, overdue ones say so, and a date before its test is refused', () => {
    check('2026-01-10', '2026-04-10')
    expect(listDates(centre.context, centre.instructor)).toMatchObject([
      { kind: 'bayRcd', day: '2026-04-10', isOverdue: true },
    ])
    check('2026-11-10', '2027-02-10')
    expect(listDates(centre.context, centre.instructor)).toMatchObject([
      { day: '2027-02-10', isOverdue: false },
    ])
    expect(refusal(() => check('2026-11-10', '2026-11-10'))).toBe('datesWrong')
    expect(refusal(() => listDates(centre.context, centre.apprentice))).toBe('notAllowed')
  })
  it('an instrument, a term and a session stand in one list and in one calendar that another package reads', () => {
    addInstrument(centre.context, centre.technician, {
      name: 'MFT 1',
      serial: 'A',
      kind: 'multifunction',
      doneOn: '2026-06-01',
      dueOn: '2027-06-01',
      certificate: 'DC-1',
    })
    const entry = {
      kind: 'term',
      personId: null,
      fromDay: '2026-09-07',
      toDay: '2026-12-18',
      title: 'Autumn term',
    } as const
    keepDays(centre.context, centre.administrator, { entries: [entry] })
    const id = start()
    save(id, { ...fieldsOf(id), day: '2026-11-19', title: 'Thursday workshop' })
    expect(listDates(centre.context, centre.instructor).map(({ kind }) => kind)).toEqual([
      'term',
      'session',
      'calibration',
    ])
    const read = readCalendar(calendarFile(centre.context, centre.instructor), {
      from: '2026-01-01',
      to: '2027-12-31',
      zone: 'Europe/London',
    })
    expect(read).toMatchObject({
      ok: true,
      days: [
        { fromDay: '2026-09-07' },
        { title: 'Thursday workshop', fromDay: '2026-11-19' },
        { fromDay: '2027-06-01' },
      ],
    })
  })
  it('days of a file are looked at before they are kept, and can be removed again', () => {
    const ics =
      'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nSUMMARY:Snow\r\nDTSTART;VALUE=DATE:20261201\r\nDTEND;VALUE=DATE:20261203\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n'
    const days = readDays(centre.context, centre.administrator, ics, 'Europe/London')
    expect(days).toEqual([{ title: 'Snow', fromDay: '2026-12-01', toDay: '2026-12-02' }])
    expect(listDates(centre.context, centre.administrator)).toEqual([])
    const [kept] = keepDays(centre.context, centre.administrator, {
      entries: days.map((one) => ({ ...one, kind: 'closed', personId: null })),
    })
    expect(kept).toMatchObject({ kind: 'closed', day: '2026-12-01' })
    expect(removeDay(centre.context, centre.administrator, kept!.entryId!)).toEqual([])
    expect(refusal(() => removeDay(centre.context, centre.administrator, kept!.entryId!))).toBe('notFound')
    expect(
      refusal(() => readDays(centre.context, centre.administrator, 'no calendar', 'Europe/London')),
    ).toBe('calendarNotRead')
  })
})

describe('drums', () => {
  const CABLE = 'flat-twin-earth 1 2.5'
  const add = () =>
    addDrum(centre.context, centre.technician, { cable: CABLE, label: 'A1', metres: 100, costPence: 80 })
      .lines[0]!.drums[0]!.id
  const move = (id: number, kind: 'issued' | 'returned' | 'waste' | 'counted', metres: number) =>
    moveDrum(centre.context, centre.technician, id, { kind, metres, sessionId: null, note: '' })
  it('issued, returned and wasted metres add up, with their cost; a count puts right what is there', () => {
    const id = add()
    move(id, 'issued', 40)
    move(id, 'returned', 6)
    move(id, 'waste', 2)
    expect(move(id, 'counted', 63).lines[0]).toMatchObject({
      leftM: 63,
      usedM: 37,
      wasteM: 2,
      costPence: 37 * 80,
    })
    expect(showStock(centre.context, centre.instructor).moves.map(({ kind }) => kind)).toEqual([
      'counted',
      'waste',
      'returned',
      'issued',
      'bought',
    ])
  })
  it('more than is there is refused, and so is nothing at all', () => {
    const id = add()
    expect(refusal(() => move(id, 'issued', 101))).toBe('drumShort')
    expect(refusal(() => move(id, 'issued', 0))).toBe('bodyNotRight')
    move(id, 'issued', 100)
    expect(refusal(() => move(id, 'waste', 1))).toBe('drumGone')
    expect(refusal(() => move(999, 'issued', 1))).toBe('notFound')
    expect(refusal(() => showStock(centre.context, centre.apprentice))).toBe('notAllowed')
  })
  it('a move names its session, and that session is not removed behind it', () => {
    const session = start()
    save(session, { ...fieldsOf(session), day: '2026-11-19' })
    moveDrum(centre.context, centre.technician, add(), {
      kind: 'issued',
      metres: 5,
      sessionId: session,
      note: '',
    })
    expect(showStock(centre.context, centre.technician).moves[0]).toMatchObject({
      session: 'Workshop, Thursday',
      sessionDay: '2026-11-19',
    })
    expect(refusal(() => removeSession(centre.context, centre.instructor, session))).toBe('sessionIssued')
    expect(listSessions(centre.context, centre.instructor)).toHaveLength(1)
  })
  it('what is below its order point says so, also of a cable that has run out', () => {
    setOrderPoint(centre.context, centre.technician, { cable: CABLE, metres: 50 })
    expect(showStock(centre.context, centre.technician).lines).toMatchObject([
      { cable: CABLE, leftM: 0, orderAtM: 50 },
    ])
  })
})
