/* A session: read from its boxes, its conflicts, its day, plan against now, pairs, learnt times. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { conflictsOf } from '#core/planning/conflicts'
import { costOf } from '#core/planning/cost'
import { dayConflicts } from '#core/planning/facts'
import { firstPlan } from '#core/planning/first-plan'
import { learnt, learntStages, plannedMinutes, quantile } from '#core/planning/learn'
import { pairsOf } from '#core/planning/pairs'
import { againstPlan, freeBays } from '#core/planning/progress'
import { minuteOf, readSession, timeOfDay } from '#core/planning/read-session'
import type { Placement, PlanTask } from '#core/planning/session'
import { planConflictSays } from '#words/planning/says'

const task = (people: readonly number[], parts: Partial<PlanTask> = {}): string =>
  JSON.stringify({ people, exercise: 5, minutes: { design: 30, build: 30, dead: 15, live: 15 }, ...parts })
const place = (bay: number, start: number, live: number, parts: Partial<Placement> = {}): string =>
  JSON.stringify({ bay, start, live, assessor: 9, instrument: 71, liveInstrument: 71, ...parts })
const FIELDS = {
  title: 'Thursday',
  day: '2026-12-03',
  from: '09:00',
  minutes: '240',
  step: '15',
  bays: '1 2',
  desks: '4',
  instruments: '71',
  'assessor.9': '0-240',
  'task.a': task([1]),
  'task.b': task([2]),
  'place.a': place(1, 30, 75),
  'place.b': place(2, 60, 105),
}
const session = (other: Record<string, string> = {}) => readSession({ ...FIELDS, ...other })
const codes = (other: Record<string, string> = {}) => {
  const { frame, tasks, placements } = session(other)
  return conflictsOf(frame, tasks, placements).map(({ code }) => code)
}

describe('a session in its boxes', () => {
  it('is read with sensible values for what is missing, and nothing breaks on what is none', () => {
    expect(readSession({})).toMatchObject({
      day: '',
      from: '09:00',
      frame: { minutes: 180, step: 15, bays: [] },
      tasks: [],
    })
    fc.assert(
      fc.property(
        fc.dictionary(
          fc.constantFrom('task.a', 'place.a', 'bays', 'minutes', 'assessor.3', 'reason.x', 'day'),
          fc.string(),
        ),
        (fields) => {
          const { tasks, placements, frame } = readSession(fields)
          expect(tasks).toEqual([])
          expect(placements).toEqual([])
          expect(frame.minutes).toBeGreaterThanOrEqual(30)
        },
      ),
    )
  })
  it('a task without people or minutes, and a place of a task that is gone, count for nothing', () => {
    expect(session({ 'task.c': task([]), 'place.z': place(1, 0, 60) }).tasks.map(({ id }) => id)).toEqual([
      'a',
      'b',
    ])
    expect(session({ 'place.z': place(1, 0, 60) }).placements).toHaveLength(2)
  })
  it('instruments out of calibration are wanted but not counted on', () => {
    const read = readSession(FIELDS, (id) => id !== 71)
    expect([read.wanted, read.frame.instruments]).toEqual([[71], []])
  })
  it('tells the time of a minute, and the minute of a time', () => {
    expect(timeOfDay('09:15', 105)).toBe('11:00')
    expect(minuteOf('09:15', '11:00')).toBe(105)
    expect(minuteOf('09:15', '09:00')).toBe(-15)
  })
})

describe('conflicts', () => {
  it('a plan in which everything goes together has none', () => expect(codes()).toEqual([]))
  it.each([
    ['one bay for two', { 'place.b': place(1, 45, 105) }, 'bayTwice'],
    ['one assessor for two', { 'place.b': place(2, 30, 75) }, 'assessorTwice'],
    ['one instrument for two', { 'place.b': place(2, 30, 120) }, 'instrumentTwice'],
    ['one person in two places', { 'task.b': task([1]) }, 'twoPlaces'],
    ['an assessor who has gone', { 'assessor.9': '0-90' }, 'assessorAway'],
    ['nobody beside live work', { 'place.b': place(2, 45, 105, { assessor: null }) }, 'noAssessor'],
    ['no instrument', { 'place.b': place(2, 45, 105, { instrument: null }) }, 'noInstrument'],
    [
      'an instrument that is not there',
      { 'place.b': place(2, 45, 105, { liveInstrument: 72 }) },
      'notCalibrated',
    ],
    ['before its design is done', { 'place.a': place(1, 15, 75) }, 'tooEarly'],
    ['after the end', { 'place.b': place(2, 45, 230) }, 'tooLate'],
    ['live before its dead tests', { 'place.a': place(1, 30, 60) }, 'liveTooEarly'],
    ['somebody who is absent', { absent: '2' }, 'notHere'],
    ['a bay that is not used', { bays: '1' }, 'bayNotUsable'],
    ['more designs than desks', { desks: '1', 'place.b': place(2, 30, 105) }, 'desksFull'],
    ['no place', { 'place.b': '' }, 'unplanned'],
  ])('%s', (_, other, code) => {
    expect(codes(other)).toContain(code)
  })
  it('are said at the task, with names and times', () => {
    const { frame, tasks, placements } = session({ 'place.b': place(1, 45, 105) })
    const [one] = conflictsOf(frame, tasks, placements)
    const names = {
      task: (id: string) => `T-${id}`,
      person: String,
      instrument: String,
      time: (m: number) => timeOfDay('09:00', m),
    }
    expect(planConflictSays(one!, names)).toBe('Bay 1 is taken twice: by T-b and T-a.')
  })
})

describe('the day', () => {
  const facts = {
    bays: [{ bay: 2, kind: 'rcd', dueOn: '2026-11-01' } as const],
    instruments: [{ id: 71, name: 'MFT 1', dueOn: '2026-11-30' }],
    away: [
      { personId: 1, kind: 'absence', title: 'Dentist', fromDay: '2026-12-03', toDay: '2026-12-03' } as const,
      { personId: null, kind: 'term', title: 'Autumn', fromDay: '2026-09-01', toDay: '2026-12-18' } as const,
    ],
    needs: [
      { person: 1, exercise: 5, cable: 'flat-twin-earth 1 2.5', metres: 22 },
      { person: 2, exercise: 5, cable: 'flat-twin-earth 1 2.5', metres: 20 },
      { person: 2, exercise: 5, cable: 'singles-in-conduit 1 4', metres: 90 },
    ],
    stock: { 'flat-twin-earth 1 2.5': 100 },
  }
  it('names an overdue bay until there is a reason, an instrument out of calibration, and who is away', () => {
    const said = dayConflicts(session(), facts)
    expect(said.map(({ code }) => code)).toEqual(['bayOverdue', 'outOfCalibration', 'away'])
    expect(
      dayConflicts(session({ 'reason.2': 'Dead tests only.' }), facts).map(({ code }) => code),
    ).not.toContain('bayOverdue')
    expect(dayConflicts(session({ 'reason.2': '  ' }), facts).map(({ code }) => code)).toContain('bayOverdue')
  })
  it('cable of which more is needed than is on the drums; nothing is said of what is in no register', () => {
    const short = dayConflicts(session(), { ...facts, stock: { 'flat-twin-earth 1 2.5': 40 } })
    expect(short.filter(({ code }) => code === 'cableShort')).toEqual([
      { code: 'cableShort', cable: 'flat-twin-earth 1 2.5', needM: 42, leftM: 40 },
    ])
  })
  it('a holiday, a day outside every term, and a session without bays, people, assessors, instruments', () => {
    const closed = {
      ...facts,
      away: [
        ...facts.away,
        {
          personId: null,
          kind: 'closed',
          title: 'Snow',
          fromDay: '2026-12-02',
          toDay: '2026-12-04',
        } as const,
      ],
    }
    expect(dayConflicts(session(), closed).map(({ code }) => code)).toContain('closed')
    expect(dayConflicts(session({ day: '2026-12-21' }), facts).map(({ code }) => code)).toContain('noTerm')
    expect(dayConflicts(readSession({}), facts).map(({ code }) => code)).toEqual([
      'noDay',
      'noBays',
      'noTasks',
      'noAssessors',
      'noInstruments',
    ])
  })
})

describe('on the day', () => {
  it('says what should be going on and who is how late', () => {
    const { tasks, placements } = session()
    const at = (minute: number, doing: 'design' | 'dead' | 'done') =>
      againstPlan(tasks, placements, 15, { minute, doing: () => doing })[0]!
    expect(at(10, 'design')).toMatchObject({ should: 'design', late: 0 })
    expect(at(50, 'design')).toMatchObject({ should: 'build', late: 20 })
    expect(at(80, 'dead')).toMatchObject({ should: 'live', late: 5 })
    expect(at(200, 'done')).toMatchObject({ should: 'done', late: 0 })
  })
  it('finds the longest gap of a bay', () => {
    const { tasks, placements } = session()
    const rows = againstPlan(tasks, placements, 15, { minute: 0, doing: () => 'none' })
    expect(freeBays([1, 2], rows, 0, 240)).toEqual([
      { bay: 1, from: 90, to: 240 },
      { bay: 2, from: 120, to: 240 },
    ])
  })
  it('planned again for who is here, what has begun stays and nothing begins in the past', () => {
    const { frame, tasks, placements } = session({ absent: '2' })
    const problem = {
      frame: { ...frame, now: 60 },
      tasks,
      fixed: placements.filter(({ task: id }) => id === 'a'),
    }
    const plan = firstPlan(problem)
    expect(plan).toEqual([placements[0]])
    const later = firstPlan({ ...problem, frame: { ...problem.frame, absent: [] } })
    expect(later.find(({ task: id }) => id === 'b')!.start).toBeGreaterThanOrEqual(60 + 30)
    expect(costOf({ ...problem, frame: { ...problem.frame, absent: [] } }, later).unplanned).toEqual([])
  })
})

describe('pairs', () => {
  it('alone, kept from last time, or mixed; somebody is left over in an odd group', () => {
    const last = [
      [1, 2],
      [3, 4],
    ]
    expect(pairsOf([1, 2, 3], 'alone', last)).toEqual([[1], [2], [3]])
    expect(pairsOf([1, 2, 3, 5], 'keep', last)).toEqual([
      [1, 2],
      [3, 5],
    ])
    expect(pairsOf([1, 2, 3, 4], 'mix', last)).toEqual([
      [1, 3],
      [2, 4],
    ])
  })
  it('mixes any group: everybody in one pair, nobody with whom they were', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 24 }), (n) => {
        const people = Array.from({ length: n }, (_, i) => i + 1)
        const last = Array.from({ length: Math.floor(n / 2) }, (_, i) => [2 * i + 1, 2 * i + 2])
        const pairs = pairsOf(people, 'mix', last)
        expect(pairs.flat().sort((a, b) => a - b)).toEqual(people)
        expect(
          pairs.filter((pair) => last.some((old) => old.join() === [...pair].sort((a, b) => a - b).join())),
        ).toEqual([])
      }),
    )
  })
})

describe('learnt times', () => {
  it('quartiles of 1, 2, 4, 8, 16, 32 by quantile type 7: 2.5, 6, 14 (worked by hand)', () => {
    const sorted = [1, 2, 4, 8, 16, 32]
    expect([0.25, 0.5, 0.75].map((share) => quantile(sorted, share))).toEqual([2.5, 6, 14])
    expect(learnt([30, 40])).toBeNull()
  })
  it('stages of one day are learnt, what went over night is not; the plan uses them', () => {
    const at = (time: string, day = '2026-11-12') => `${day}T${time}:00.000Z`
    const day = (asked: string) => ({
      begun: at('08:35'),
      designDone: at('09:00'),
      asked: at(asked),
      permitted: at('11:00'),
      done: at('11:20'),
    })
    const times = [
      day('10:00'),
      day('10:20'),
      day('10:40'),
      { begun: null, designDone: at('09:00', '2026-11-11'), asked: at('10:00'), permitted: null, done: null },
    ]
    const stages = learntStages(times)
    expect(stages.design).toMatchObject({ n: 3, median: 25 })
    expect(stages.bay).toMatchObject({ n: 3, median: 80 })
    expect(stages.waiting).toMatchObject({ median: 40 })
    const minutes = plannedMinutes(120, stages)
    expect(minutes.design).toBe(25)
    expect(minutes.build + minutes.dead).toBe(80)
    expect(minutes.live).toBe(20)
    const typedAfterwards = [1, 2, 3].map((minute) => ({ ...times[0]!, asked: at(`09:0${minute}`) }))
    expect(learntStages(typedAfterwards).bay).toBeNull()
    expect(plannedMinutes(120, learntStages([]))).toEqual({ design: 30, build: 48, dead: 24, live: 18 })
  })
})
