/* The smaller rules: stages, merging, roster, form, coverage, proposal and feedback. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { after, STAGES, writable } from '#core/exercise/attempt/stages'
import { composeFeedback } from '#words/feedback'
import { referenceDesign } from '#core/design/reference'
import { DEFAULT_POLICY } from '#core/policies/policy'
import { formSentences } from '#words/form'
import { readForm } from '#core/exercise/form/read-form'
import { toForm } from '#core/exercise/form/to-form'
import { markDesign } from '#core/assessment/marking/mark-design'
import { propose, type Override } from '#core/assessment/marking/proposal'
import { mergeFields } from '#core/exercise/three-way-merge'
import { SHOWN_NOTHING } from '#core/assessment/outcomes/shows'
import { coverage } from '#core/assessment/outcomes/coverage'
import { criteriaOf, type Framework } from '#core/assessment/outcomes/framework'
import { judgeReadings } from '#core/testing/judge/judge'
import { previewRoster } from '#core/exercise/roster'
import framework from '../../frameworks/workshop-unit.json'
import { typedAnswers, typedReadings } from '../../demo/story'
import type { Task } from '#core/design/model/task'
import { RULES, aTask, anExercise, around, bayOfTask } from '../support/task'
import { assignmentOf } from '#core/exercise/assignment'

describe('stages', () => {
  test('live readings can be written only after a permission, and only then', () => {
    expect(STAGES.filter((stage) => writable(stage) === 'live')).toEqual(['live'])
    expect(STAGES.filter((stage) => after(stage, 'permit'))).toEqual(['permission'])
    expect(after('permission', 'permit')).toBe('live')
    expect(after('permission', 'refuse')).toBe('dead')
  })
  test('nothing is undone by going on: a released attempt has no further act', () => {
    for (const act of [
      'handInDesign',
      'askPermission',
      'permit',
      'refuse',
      'handIn',
      'decide',
      'release',
    ] as const)
      expect(after('released', act)).toBeUndefined()
  })
})

describe('merging what two people typed', () => {
  const fields = fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.constantFrom('1', '2', '3'))
  test('one side’s change always stands, and nothing either side typed is lost', () => {
    fc.assert(
      fc.property(fields, fields, fields, (base, mine, theirs) => {
        const merged = mergeFields(base, mine, theirs)
        for (const name of ['a', 'b', 'c']) {
          const [b, m, t] = [base[name] ?? '', mine[name] ?? '', theirs[name] ?? '']
          const conflict = merged.conflicts.find((c) => c.field === name)
          if (m !== b && t !== b && m !== t) expect(conflict).toEqual({ field: name, mine: m, theirs: t })
          else expect(merged.fields[name] ?? '').toBe(m !== b ? m : t)
        }
      }),
    )
  })
})

describe('roster', () => {
  const row = (line: number, parts: object) => ({
    line,
    number: 'T-1',
    name: 'Ann Otter',
    role: '',
    cohort: 'Thursday',
    ...parts,
  })
  test('good rows and bad rows are told apart, with every reason', () => {
    const preview = previewRoster(
      [
        row(2, {}),
        row(3, { number: 't-2' }),
        row(4, { number: 'T-2' }),
        row(5, { number: '', name: '' }),
        row(6, { number: 'T-9' }),
        row(7, { number: 'T-3', role: 'wizard' }),
        row(8, { number: 'T-4', cohort: '' }),
        row(9, { number: 'T-5', name: 'Zo\uFFFD' }),
        row(10, { number: 'I-1', role: 'Instructor', cohort: '' }),
      ],
      new Set(['t-9']),
    )
    expect(preview.good.map((person) => [person.number, person.role])).toEqual([
      ['T-1', 'apprentice'],
      ['I-1', 'instructor'],
    ])
    expect(preview.bad.map((bad) => [bad.line, bad.problems])).toEqual([
      [3, ['numberTwice']],
      [4, ['numberTwice']],
      [5, ['numberMissing', 'nameMissing']],
      [6, ['alreadyHere']],
      [7, ['roleUnknown']],
      [8, ['cohortMissing']],
      [9, ['nameDamaged']],
    ])
  })
})

describe('the exercise form', () => {
  const read = (changes: Record<string, string>) =>
    readForm({ ...toForm(anExercise()), ...changes }, DEFAULT_POLICY)
  test('what is shown reads back as the same exercise', () => {
    expect(read({})).toMatchObject({ problems: {}, exercise: anExercise() })
  })
  test.each<[Record<string, string>, string, RegExp]>([
    [{ 'c1.length': '-4' }, 'c1.length', /more than 0/],
    [{ 'c1.length': '4000' }, 'c1.length', /500 m or less/],
    [{ 'c1.length': '0' }, 'c1.length', /more than 0 m/],
    [{ 'c1.amount': 'lots' }, 'c1.amount', /number in W/],
    [{ 'c1.amount': '2 V' }, 'c1.amount', /Use W/],
    [{ 'c1.basis': 'lamps', 'c1.amount': '18 W' }, 'c1.amount', /8 × 18 W/],
    [{ 'c1.way': '2.5' }, 'c1.way', /whole number/],
    [{ ze: '' }, 'ze', /Fill this in/],
    [{ lengthSpread: '80 %' }, 'lengthSpread', /40 % or less/],
    [{ 'c1.residual': 'none' }, 'c1.residual', /RCD/],
    [{ 'c1.curve': '–' }, 'c1.curve', /B, C or D/],
    [{ 'c1.existingRating': '32' }, 'c1.existingArea', /or neither/],
    [{ code: 'T 4!' }, 'code', /Letters, digits/],
    [{ criteria: '' }, 'criteria', /at least one/],
  ])('%o is refused in words', (changes, field, words) => {
    const result = read(changes)
    expect(result.exercise).toBeUndefined()
    expect(formSentences(result.problems)[field]).toMatch(words)
  })
  test('any text in any box gives a sentence or an exercise, never a crash', () => {
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(toForm(anExercise()))), fc.string(), (field, text) => {
        const result = read({ [field]: text })
        if (result.installation) expect(() => referenceDesign(result.installation!, RULES)).not.toThrow()
      }),
    )
  })
})

describe('from marks to a proposal', () => {
  const criteria = criteriaOf(framework as Framework)
  const markedAs = (task: Task, chapter: Parameters<typeof typedAnswers>[1]) => {
    const assignment = assignmentOf(anExercise({ installation: around(task) }))
    return {
      design: markDesign(assignment, typedAnswers(assignment, chapter)),
      readings: judgeReadings(bayOfTask(task), typedReadings(assignment, 1)).marks,
      work: [],
    }
  }
  const marked = (chapter: Parameters<typeof typedAnswers>[1]) => markedAs(aTask(), chapter)

  test('all right: everything met, and the feedback says so', () => {
    const sheet = marked({})
    const proposal = propose(sheet, criteria, [])
    expect(proposal).toMatchObject({ met: true, critical: [] })
    expect(proposal.mark).toBe(proposal.outOf)
    expect(composeFeedback(sheet, [], proposal)).toMatch(/Every step and every reading holds/)
  })
  test('a slip in Ib costs its own mark and criterion only, and is praised for what followed', () => {
    const sheet = marked({ slips: { 'c1.ib': 23 } })
    const proposal = propose(sheet, criteria, [])
    expect(proposal.outOf - proposal.mark).toBe(1)
    expect(proposal.criteria.filter((criterion) => !criterion.met)).toEqual([
      { code: 'D1', met: false, because: ['design.c1.ib'] },
    ])
    expect(composeFeedback(sheet, [], proposal)).toMatch(
      /reasoning is sound[\s\S]*Design current:[\s\S]*Still to show: D1/,
    )
  })
  test('what a bay cannot show is neither met nor open: no RCD, no T5', () => {
    const plain = aTask({ use: 'fixed', residualA: null, device: { family: 'breaker', curve: 'B' } })
    const sheet = markedAs(plain, {})
    const codes = propose(sheet, criteria, []).criteria.map((criterion) => criterion.code)
    expect(codes).toContain('T3')
    expect(codes).not.toContain('T5')
  })
  test('a critical point outranks the marks; an override with a reason lifts it', () => {
    const sheet = marked({ typed: { 'c1.residual': 'none' } })
    expect(propose(sheet, criteria, [])).toMatchObject({
      met: false,
      critical: [{ item: 'design.c1.residual' }],
    })
    const override: Override = {
      item: 'design.c1.residual',
      verdict: 'right',
      reason: 'Shown at the bay, wrote it on the board.',
    }
    expect(propose(sheet, criteria, [override])).toMatchObject({ met: true, critical: [] })
    const against: Override = {
      item: 'reading.c1.zs@c1p4',
      verdict: 'wrong',
      reason: 'Measured at the wrong point.',
    }
    const proposal = propose(sheet, criteria, [override, against])
    expect(proposal.criteria.find((criterion) => criterion.code === 'T4')!.met).toBe(false)
    expect(composeFeedback(sheet, [override, against], proposal)).toContain('Measured at the wrong point.')
  })
})

test('coverage: two occasions on two exercises complete a criterion, the same exercise twice does not', () => {
  const [d1] = criteriaOf(framework as Framework)
  const occasion = (exerciseCode: string, met = true) => ({
    criterion: 'D1',
    met,
    exerciseCode,
    exerciseTitle: '',
    decidedBy: '',
    decidedAt: '',
    kinds: ['written' as const],
    shown: SHOWN_NOTHING,
  })
  expect(coverage([d1!], [occasion('T-01'), occasion('T-01')], 'job')[0]).toMatchObject({
    met: 1,
    isComplete: false,
  })
  expect(coverage([d1!], [occasion('T-01'), occasion('T-02')], 'job')[0]).toMatchObject({
    met: 2,
    isComplete: true,
  })
  expect(coverage([d1!], [occasion('T-01', false)], 'job')[0]).toMatchObject({ met: 0, isComplete: false })
})
