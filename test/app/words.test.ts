/* What the screens say: the thread of stages, the facts of a task, marks in words. */
import { describe, expect, test } from 'vitest'
import type { Stage } from '#core/exercise/attempt/stages'
import { stepWords } from '#core/design/model/step-kinds'
import { publicInstallation } from '#core/exercise/assignment'
import type { WorkView } from '#schemas/views'
import { becauseOf, expectedWords, readingWords, theirs } from '~/texts/marks'
import { circuitFacts, intakeFacts } from '~/texts/task-facts'
import { workStages } from '~/texts/work-stages'
import { minutesBetween } from '~/utils/time'
import { aCircuit, aTask, anExercise, anInstallation, bayOfTask, judgeTask, markTask } from '../support/task'

const askedKeys = bayOfTask(aTask())
  .schedule.filter(({ isAsked }) => isAsked)
  .map(({ key }) => key)
const view = (stage: Stage, parts: Partial<WorkView> = {}): WorkView => ({
  id: 1,
  bay: 1,
  name: 'Bo',
  stage,
  version: 1,
  savedAt: null,
  exercise: { code: 'X-1', title: 'X', scenario: '', kind: 'new-circuit', minutes: 60, tests: 'c1' },
  asked: [],
  sheet: {
    edition: '18-A2',
    policy: anExercise().policy,
    asks: anExercise().asks,
    installation: publicInstallation(anInstallation()),
  },
  answers: {},
  readings: {},
  readingKeys: stage === 'design' ? [] : askedKeys,
  moreKeys: [],
  rcdMA: null,
  events: [],
  board: null,
  ...parts,
})
const states = (stage: Stage, parts?: Partial<WorkView>) =>
  Object.fromEntries(workStages(view(stage, parts), 0, 19).map(({ key, state }) => [key, state]))
const event = (act: string, by = 'Ida') => ({ act, by, at: '2026-11-12T14:00:00Z', note: '' })

describe('the thread of stages', () => {
  test('the gate is shut until somebody asks, and signed with a name once it was opened', () => {
    expect(states('design')).toMatchObject({
      task: 'done',
      design: 'now',
      dead: 'todo',
      permission: 'shut',
      live: 'todo',
      decision: 'todo',
    })
    expect(states('dead')).toMatchObject({ design: 'done', dead: 'now', permission: 'shut' })
    expect(states('permission')).toMatchObject({ dead: 'done', permission: 'now', live: 'todo' })
    expect(states('live', { events: [event('permit')] })).toMatchObject({ permission: 'signed', live: 'now' })
    expect(
      workStages(view('live', { events: [event('permit')] }), 0, 19).find(({ key }) => key === 'permission')!
        .note,
    ).toBe('Ida')
  })
  test('a refusal says what is to do; a decision shows only when it was released', () => {
    expect(
      workStages(view('dead', { events: [event('refuse')] }), 0, 19).find(({ key }) => key === 'dead')!.note,
    ).toBe('put right, ask again')
    expect(states('decided').decision).toBe('now')
    expect(states('released').decision).toBe('signed')
  })
  test('where nothing is wired the thread has no tests and no gate', () => {
    const { exercise } = view('design')
    expect(Object.keys(states('design', { exercise: { ...exercise, tests: null } }))).toEqual([
      'task',
      'design',
      'decision',
    ])
  })
  test('half the readings are half the stitches', () => {
    const dead = workStages(
      view('dead', { readings: { 'c1.r1r2@c1p4': '0.4', 'c1.irLN': '>999' } }),
      0,
      19,
    ).find(({ key }) => key === 'dead')!
    expect(dead.progress).toBeCloseTo(2 / 5)
  })
})

describe('words for values', () => {
  test('a task sheet gives what the design needs and never the RCD', () => {
    const installation = publicInstallation(anInstallation())
    const facts = Object.fromEntries(
      [...intakeFacts(installation), ...circuitFacts(installation.circuits[0]!)].map(({ name, value }) => [
        name,
        value,
      ]),
    )
    expect(facts).toMatchObject({
      Load: '2900 W',
      'Length of run': '28.0 m',
      'External loop': '0.35 Ω',
      'Fault current': '1.6 kA',
      Device: 'BS EN 61009 type B',
      'Grouped circuits': '2, bunched or enclosed',
    })
    expect(JSON.stringify(facts)).not.toMatch(/30 mA|residual/i)
    expect(
      circuitFacts(aCircuit({ load: { basis: 'current', currentA: 8, powerFactor: 1 } })).map(
        ({ name }) => name,
      ),
    ).toContain('Load current')
  })
  test.each([
    ['ib', 12.6087, '12.6 A'],
    ['residual', 0, 'none'],
    ['residual', 0.03, '30 mA'],
    ['csa', 2.5, '2.5 mm²'],
    ['csa', 10, '10 mm²'],
    ['zsMax', 1667, '1667 Ω'],
    ['zs', 0.847952, '0.85 Ω'],
    ['r1r2', 0.0364, '0.036 Ω'],
    ['breaking', 6000, '6 kA'],
    ['ca', 1, '1.00'],
  ] as const)('%s of %d is “%s”', (step, value, words) => expect(stepWords(step, value)).toBe(words))
  test('a mark shows what was read, or what was typed where nothing could be', () => {
    const marks = markTask(aTask(), { ib: '12,6', in: 'sixteen' })
    expect(marks.slice(0, 3).map(theirs)).toEqual(['12.6 A', 'sixteen', '–'])
    expect(becauseOf(marks[0]!)).toBe('2900 ÷ 230')
    expect(becauseOf(marks[1]!)).toBe('This could not be read as a number.')
  })
  test('readings keep “>” and ticks; the band and the limit stand on one line', () => {
    const marks = judgeTask(aTask(), { irLE: '>999', polarity: '✓', zs: '0.77' })
    expect(
      [marks.get('irLE')!, marks.get('polarity')!, marks.get('zs')!, marks.get('ze')!].map(readingWords),
    ).toEqual(['>999 MΩ', '✓', '0.77 Ω', '–'])
    expect(expectedWords(marks.get('zs')!)).toMatch(/^0\.\d\d – 0\.\d\d Ω, limit ≤ 2\.18 Ω$/)
    expect(expectedWords(marks.get('irLE')!)).toBe('100 MΩ or more, limit ≥ 1 MΩ')
  })
  test('times in words stay short', () => {
    const at = (minutes: number) =>
      minutesBetween('2026-11-12T10:00:00Z', new Date(Date.UTC(2026, 10, 12, 10, minutes)).toISOString())
    expect([0, 6, 89, 120, 60 * 24 * 3].map(at)).toEqual(['just now', '6 min', '89 min', '2 h', '3 days'])
  })
})
