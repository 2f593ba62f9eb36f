import { testsOf } from '../plan/schedule'
import { FITS, cost } from '../expected/fit'
import { predictAll } from '../expected/predict'
import { readSheet } from '../parse/read-sheet'
import { isDead } from '../kinds/kinds'
import { r1r2 } from '../kinds/r1r2'
import { applyFaults } from '../../bay/faults/catalogue'
import type { Fault } from '../../bay/faults/fault'
import type { Rig } from '../../bay/model/rig'
import type { FaultFindingStep } from './steps'

export const FAULT_FINDING_RULES = [
  'isolation',
  'leastDanger',
  'split',
  'reasoned',
  'answer',
  'proof',
  'restore',
] as const
export type FaultFindingRule = (typeof FAULT_FINDING_RULES)[number]

export interface FaultFindingMark {
  readonly rule: FaultFindingRule
  readonly state: 'kept' | 'broken' | 'part'
  /** A critical breach outranks the answer. */
  readonly isCritical: boolean
  /** Step of the log that it is about. */
  readonly at: number | null
}

export interface FaultFindingVerdict {
  readonly marks: readonly FaultFindingMark[]
  readonly met: boolean
  /** 0 to 10. */
  readonly mark: number
}

const WEIGHT: Readonly<Record<FaultFindingRule, number>> = {
  isolation: 2,
  leastDanger: 1,
  split: 1,
  reasoned: 1,
  answer: 3,
  proof: 1.5,
  restore: 0.5,
}

/** What of a weight counts. */
const SHARE: Readonly<Partial<Record<FaultFindingMark['state'], number>>> = { kept: 1, part: 0.5 }

/**
 * Marks a search for method and answer: dead before live, isolated before touched, halved where the circuit
 * is long, proved after the repair. Common practice, no source.
 */
export function judgeFaultFinding(
  meant: Rig,
  faults: readonly Fault[],
  log: readonly FaultFindingStep[],
): FaultFindingVerdict {
  const telling = tellingTests(meant, faults)
  const marks: FaultFindingMark[] = [
    isolation(log),
    leastDanger(log, telling),
    split(meant, log),
    reasoned(log),
    answer(meant, faults, log),
    proof(meant, log, telling),
    restore(log, telling),
  ]
  const mark = marks.reduce((sum, { rule, state }) => sum + WEIGHT[rule] * (SHARE[state] ?? 0), 0)
  const isCritical = marks.some(
    (faultFindingMark) => faultFindingMark.isCritical && faultFindingMark.state === 'broken',
  )
  return {
    marks,
    mark,
    met:
      !isCritical &&
      marks.find(({ rule }) => rule === 'answer')!.state === 'kept' &&
      marks.find(({ rule }) => rule === 'proof')!.state === 'kept',
  }
}

const kept = (rule: FaultFindingRule): FaultFindingMark => ({
  rule,
  state: 'kept',
  isCritical: false,
  at: null,
})
/** Neither kept nor broken: there was no occasion. */
const part = (rule: FaultFindingRule): FaultFindingMark => ({
  rule,
  state: 'part',
  isCritical: false,
  at: null,
})

/** Tests that read otherwise with these faults in the bay. */
function tellingTests(meant: Rig, faults: readonly Fault[]): ReadonlySet<string> {
  const tests = testsOf(meant)
  const sound = predictAll(meant, tests)
  const faulted = applyFaults(meant, faults)
  const faulty = faulted.ok ? predictAll(faulted.rig, tests) : sound
  return new Set(
    tests
      .filter(
        ({ key, kind }) =>
          sound.has(key) && faulty.has(key) && cost(kind, faulty.get(key)!, sound.get(key)!) > FITS,
      )
      .map(({ key }) => key),
  )
}

/** Does no dead test at hand show it? Then energising to see it happen is sound, after looking. */
const needsSupply = (telling: ReadonlySet<string>): boolean => [...telling].every((key) => !isDead(key))

/** Dead tests and the repair only while isolated. */
function isolation(log: readonly FaultFindingStep[]): FaultFindingMark {
  let isIsolated = false
  for (const [at, step] of log.entries()) {
    if (step.do === 'isolate') isIsolated = true
    if (step.do === 'restore') isIsolated = false
    const touches = step.do === 'repair' || (step.do === 'test' && isDead(step.test))
    if (touches && !isIsolated) return { rule: 'isolation', state: 'broken', isCritical: true, at }
  }
  return log.some((step) => step.do === 'repair' || (step.do === 'test' && isDead(step.test)))
    ? kept('isolation')
    : part('isolation')
}

/** The first thing measured is measured dead, after looking; live where no dead test can show it. */
function leastDanger(log: readonly FaultFindingStep[], telling: ReadonlySet<string>): FaultFindingMark {
  const first = log.findIndex((step) => step.do === 'test')
  if (first < 0) return part('leastDanger')
  const hasLooked = log.slice(0, first).some((step) => step.do === 'look')
  const step = log[first]!
  const isDeadFirst = step.do === 'test' && (isDead(step.test) || needsSupply(telling))
  return isDeadFirst && hasLooked
    ? kept('leastDanger')
    : {
        rule: 'leastDanger',
        state: isDeadFirst || hasLooked ? 'part' : 'broken',
        isCritical: false,
        at: first,
      }
}

/** On a circuit of five points and more, not one after the other from the end. */
function split(meant: Rig, log: readonly FaultFindingStep[]): FaultFindingMark {
  const points = new Map<string, string[]>()
  for (const { circuit, point, kind } of testsOf(meant))
    if (circuit && point && kind === r1r2.key) points.set(circuit, [...(points.get(circuit) ?? []), point])
  for (const [circuit, own] of points) {
    if (own.length < 5) continue
    const visits = log
      .flatMap((step, at) =>
        step.do === 'test' && step.test.startsWith(`${circuit}.`) && step.test.includes('@')
          ? [{ at, place: own.indexOf(step.test.split('@')[1]!) }]
          : [],
      )
      .filter(({ place }, i, all) => all[i - 1]?.place !== place)
    const inOrder = visits.filter(({ place }, i) => i > 0 && Math.abs(place - visits[i - 1]!.place) === 1)
    if (visits.length > Math.ceil(own.length / 2) + 1 && inOrder.length >= visits.length - 2)
      return { rule: 'split', state: 'broken', isCritical: false, at: visits[0]!.at }
  }
  return log.some((step) => step.do === 'test') ? kept('split') : part('split')
}

function reasoned(log: readonly FaultFindingStep[]): FaultFindingMark {
  const conclusion = log.findIndex((step) => step.do === 'conclude')
  const thoughts = log
    .slice(0, conclusion < 0 ? undefined : conclusion)
    .filter((step) => step.do === 'think').length
  return thoughts > 0
    ? kept('reasoned')
    : { rule: 'reasoned', state: 'broken', isCritical: false, at: conclusion < 0 ? null : conclusion }
}

/**
 * The fault itself, or one that no test of the bay tells from it. The right kind at another place is half of
 * it.
 */
function answer(meant: Rig, faults: readonly Fault[], log: readonly FaultFindingStep[]): FaultFindingMark {
  const at = log.findLastIndex((step) => step.do === 'conclude')
  const step = log[at]
  if (step?.do !== 'conclude') return { rule: 'answer', state: 'broken', isCritical: false, at: null }
  if (isAnswer(meant, faults, step)) return { ...kept('answer'), at }
  return {
    rule: 'answer',
    state: faults.some(({ code }) => code === step.code) ? 'part' : 'broken',
    isCritical: false,
    at,
  }
}

/** Is this the fault, or one that no test tells from it? */
export const isAnswer = (meant: Rig, faults: readonly Fault[], { code, place }: Fault): boolean =>
  faults.some((fault) => fault.code === code && fault.place === place) ||
  readsAlike(meant, faults, [{ code, place }])

/** Do both bays read the same in every test? */
function readsAlike(meant: Rig, a: readonly Fault[], b: readonly Fault[]): boolean {
  const [one, other] = [applyFaults(meant, a), applyFaults(meant, b)]
  if (!one.ok || !other.ok) return false
  const tests = testsOf(meant)
  const [x, y] = [predictAll(one.rig, tests), predictAll(other.rig, tests)]
  return tests.every(({ key, kind }) => {
    const [p, q] = [x.get(key), y.get(key)]
    return !p || !q || cost(kind, p, q) <= FITS / 3
  })
}

/** After the repair a test that had been odd is made again, and fits. */
function proof(meant: Rig, log: readonly FaultFindingStep[], telling: ReadonlySet<string>): FaultFindingMark {
  const repair = log.findLastIndex((step) => step.do === 'repair')
  const tests = testsOf(meant)
  const sound = predictAll(meant, tests)
  const again = repair < 0 ? [] : log.slice(repair).flatMap((step) => (step.do === 'test' ? [step] : []))
  const fitting = again.filter(({ test, read }) => {
    const bayTest = tests.find(({ key }) => key === test)
    const outcome = bayTest && readSheet([bayTest], { [test]: read }).outcomes.get(test)
    return bayTest && outcome && sound.has(test) && cost(bayTest.kind, outcome, sound.get(test)!) <= FITS
  })
  if (fitting.some(({ test }) => telling.has(test))) return kept('proof')
  return {
    rule: 'proof',
    state: fitting.length > 0 ? 'part' : 'broken',
    isCritical: false,
    at: repair < 0 ? null : repair,
  }
}

/** Energised again only after the dead proof; where only a live test tells, that proves it after energising. */
function restore(log: readonly FaultFindingStep[], telling: ReadonlySet<string>): FaultFindingMark {
  const repair = log.findLastIndex((step) => step.do === 'repair')
  const at = log.findIndex((step, i) => i > repair && step.do === 'restore')
  if (repair < 0 || at < 0) return { rule: 'restore', state: 'part', isCritical: false, at: null }
  const isProvedLive =
    needsSupply(telling) && log.slice(at).some((step) => step.do === 'test' && telling.has(step.test))
  return isProvedLive || log.slice(repair, at).some((step) => step.do === 'test' && isDead(step.test))
    ? kept('restore')
    : { rule: 'restore', state: 'broken', isCritical: false, at }
}
