/* What planning says: who, where and when in every sentence, and what to do about it. */
import { describe, expect, it } from 'vitest'
import type { PlanConflict } from '#core/planning/conflicts'
import type { DayConflict } from '#core/planning/facts'
import { cableText, dayConflictSays, learntSays, planConflictSays } from '#words/planning/says'

const NAMES = {
  task: (id: string) => ({ a: 'Robin, T-01', b: 'Sade, T-02' })[id] ?? id,
  person: (id: number) => ({ 7: 'Robin Vance', 9: 'Kim Sorrel' })[id] ?? String(id),
  instrument: () => 'Multi 1',
  time: (minute: number) => `${9 + Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`,
}
const said = (one: PlanConflict) => planConflictSays(one, NAMES)
const day = (iso: string) => iso.split('-').reverse().join('/')
const daySaid = (one: DayConflict) => dayConflictSays(one, day, NAMES.person)

describe('what does not go together in a plan', () => {
  it.each([
    [
      { code: 'twoPlaces', task: 'a', other: 'b', person: 7 },
      'Robin Vance cannot do Robin, T-01 and Sade, T-02 at once.',
    ],
    [
      { code: 'bayTwice', task: 'a', other: 'b', bay: 3 },
      'Bay 3 is taken twice: by Robin, T-01 and Sade, T-02.',
    ],
    [
      { code: 'noInstrument', task: 'a', from: 30, to: 75 },
      'Robin, T-01 has no instrument from 9:30 to 10:15.',
    ],
    [{ code: 'assessorAway', task: 'a', assessor: 9 }, 'Kim Sorrel is not there when Robin, T-01 is live.'],
    [
      { code: 'notCalibrated', task: 'b', instrument: 1 },
      'Multi 1 is out of calibration or not in this session, but planned for Sade, T-02.',
    ],
    [
      { code: 'liveTooEarly', task: 'a', minutes: 10 },
      'Robin, T-01 would be live 10 min before its dead tests are done.',
    ],
    [{ code: 'notHere', task: 'a', person: 7 }, 'Robin Vance is absent, yet Robin, T-01 is planned.'],
    [
      { code: 'desksFull', task: 'b', desks: 4 },
      'More people at their designs than the 4 desks when Sade, T-02 begins.',
    ],
    [{ code: 'unplanned', task: 'a' }, 'Robin, T-01 is not planned.'],
  ] as [PlanConflict, string][])('%o', (conflict, sentence) => expect(said(conflict)).toBe(sentence))
})

describe('what the day says against it', () => {
  it.each([
    [
      { code: 'bayOverdue', bay: 2, kind: 'rcd', dueOn: '2026-11-01' },
      'Bay 2: its RCD test has been overdue since 01/11/2026. Test it first, or say why it is used.',
    ],
    [
      { code: 'cableShort', cable: 'flat-twin-earth 1 2.5', needM: 42.04, leftM: 12 },
      'Flat twin and earth 2.5 mm²: 42.0 m are needed, 12.0 m are on the drums. Order, or plan fewer.',
    ],
    [
      { code: 'tooMany', tasks: 9, bays: 1, planned: 3 },
      '9 tasks in 1 bay: 3 are planned. The others need another session, more bays, or more minutes of an assessor.',
    ],
    [{ code: 'away', person: 7, title: 'Block release' }, 'Robin Vance is away that day: Block release.'],
    [{ code: 'closed', title: 'Open day' }, 'That day the centre is closed: Open day.'],
    [
      { code: 'noInstruments' },
      'No instrument that is in calibration that day. Choose one, or have it calibrated before.',
    ],
  ] as [DayConflict, string][])('%o', (conflict, sentence) => expect(daySaid(conflict)).toBe(sentence))
})

describe('cables as stores keep them', () => {
  it('say three lines where they have them, and an unknown kind by its own name', () => {
    expect(cableText('singles-in-conduit 3 4')).toMatch(/ 4 mm², three phase$/)
    expect(cableText('heather 1 1.5')).toBe('heather 1.5 mm²')
  })
})

describe('times that were learnt', () => {
  const learnt = { n: 12, median: 41.4, low: 35, high: 52.6 }
  it('say the middle, where half of them lie, and of how many', () => {
    expect(learntSays({ design: learnt, bay: null, waiting: null, live: null })).toBe(
      'design 41 min (half of them 35 to 53 min, 12 times)',
    )
  })
  it('waiting is told beside what was done, never by itself', () => {
    expect(
      learntSays({ design: null, bay: learnt, waiting: { ...learnt, median: 8 }, live: learnt }),
    ).toMatch(/^wiring and dead tests .*; waiting for a permission 8 min .*; live tests /)
    expect(learntSays({ design: null, bay: null, waiting: learnt, live: null })).toMatch(
      /^No times learnt yet/,
    )
  })
})
