/* Workmanship in the record: what an inspection and a measured run show of the criteria. */
import { describe, expect, it } from 'vitest'
import framework from '../../frameworks/workshop-unit.json'
import { composeFeedback } from '#words/feedback'
import { concludeInspection } from '#core/inspection/conclude'
import { inspectionItems } from '#core/inspection/items'
import { workMarks } from '#core/inspection/work-mark'
import { propose, type Override } from '#core/assessment/marking/proposal'
import { criteriaOf, type Framework } from '#core/assessment/outcomes/framework'
import { readRun } from '#core/containment/form'
import { dimensionsOf } from '#core/containment/dimensions'
import { judgeRun } from '#core/containment/measure'
import { runCriteria } from '#core/assessment/outcomes/run-criteria'
import { runVerdicts } from '#core/containment/parts-met'
import { PIT_RUN } from '../../demo/workmanship'
import { aBay } from '../support/bay'

const criteria = criteriaOf(framework as Framework)
const met = (judged: readonly { readonly code: string; readonly met: boolean }[]) =>
  Object.fromEntries(judged.map((entry) => [entry.code, entry.met]))

describe('an inspection', () => {
  const items = inspectionItems(aBay())
  const bar = items.find(({ what }) => what === 'earthBar')!
  const inOrder = Object.fromEntries(items.map(({ key }) => [`see.${key}`, 'ok']))
  const marked = (fields: Readonly<Record<string, string>>) => ({
    design: [],
    readings: [],
    work: workMarks(items, concludeInspection(items, fields)),
  })
  const proposed = (fields: Readonly<Record<string, string>>, overrides: readonly Override[] = []) =>
    propose(marked(fields), criteria, overrides)

  it('with everything in order meets what rests on it, a mark for each group', () => {
    const proposal = proposed(inOrder)
    expect(met(proposal.criteria)).toEqual({ W3: true, W4: true })
    expect(proposal.mark).toBe(new Set(items.map(({ group }) => group)).size)
  })
  it('says improvements and costs nothing; what is potentially dangerous costs the criterion; a danger outranks marks', () => {
    const graded = (grade: string) => ({
      ...inOrder,
      [`see.${bar.key}`]: grade,
      [`remark.${bar.key}`]: 'Loose.',
    })
    expect(proposed(graded('improve')).met).toBe(true)
    expect(met(proposed(graded('potential')).criteria)).toEqual({ W3: true, W4: false })
    expect(proposed(graded('potential')).critical).toEqual([])
    expect(proposed(graded('danger')).critical).toMatchObject([{ item: 'work.bars' }])
    expect(composeFeedback(marked(graded('potential')), [], proposed(graded('potential')))).toContain(
      'Bars, as inspected: Earth bar',
    )
  })
  it('is overridden by group and with a reason, like everything else', () => {
    const repaired: Override = {
      item: 'work.bars',
      verdict: 'right',
      reason: 'Tightened while I stood there.',
    }
    expect(proposed({ ...inOrder, [`see.${bar.key}`]: 'danger' }, [repaired])).toMatchObject({
      met: true,
      critical: [],
    })
  })
  it('does not judge a group of which something was not looked at', () => {
    const { [`see.${bar.key}`]: _left, ...rest } = inOrder
    expect(marked(rest).work.map(({ group }) => group)).not.toContain('bars')
    expect(met(proposed({}).criteria)).toEqual({})
  })
})

describe('a measured run', () => {
  const sheet = readRun(PIT_RUN).sheet!
  const dimensions = dimensionsOf(sheet.run)
  const exact = Object.fromEntries(
    dimensions.map(({ key, kind }) => [key, kind === 'way' || kind === 'bubble' ? '✓' : '0']),
  )
  const shown = (entries: Readonly<Record<string, string>>) => {
    const verdicts = runVerdicts(judgeRun(sheet.run, sheet.former, entries, sheet.toleranceMm), sheet)
    return met(runCriteria(criteria, Object.fromEntries(verdicts.map(({ part, isMet }) => [part, isMet]))))
  }

  it('meets set out and level by the share within tolerance', () => {
    expect(shown(exact)).toEqual({ W1: true, W2: true })
    // 13 dimensions are set out: 3 of them off leave 77 %, 2 leave 85 %; 1 bubble of 5 leaves 80 %.
    expect(dimensions.filter(({ kind }) => kind !== 'bubble')).toHaveLength(13)
    expect(shown({ ...exact, s1: '+3', s2: '+3', b1: '✗' })).toEqual({ W1: true, W2: true })
    expect(shown({ ...exact, s1: '+3', s2: '+3', s3: '-3', b1: '✗', b2: '✗' })).toEqual({
      W1: false,
      W2: false,
    })
  })
  it('is not met by any share with a bend the wrong way or a blunder', () => {
    expect(shown({ ...exact, w3: '✗' })).toEqual({ W1: false, W2: true })
    expect(shown({ ...exact, s2: '+35' })).toEqual({ W1: false, W2: true })
  })
  it('shows nothing of a part that was not measured whole', () => {
    expect(shown({ ...exact, b4: '' })).toEqual({ W1: true })
  })
})
