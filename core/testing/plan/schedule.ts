import { rcdBefore } from '../../bay/model/rcd-before'
import type { Part, Rig } from '../../bay/model/rig'
import { partIdOf } from '../../bay/model/terminals'
import type { BayTest, CircuitPlan, ScheduleRules, TestKind } from '../kinds/kind'
import { KINDS } from '../kinds/kinds'
import {
  circuitsOf,
  fedBy,
  hasNeutral,
  homeEnds,
  isPoint,
  linesOf,
  mainsOf,
  pointsOf,
  wayOf,
} from '../setup/circuit-ends'

/** A test with its place in the schedule. */
export interface ScheduleTest extends BayTest {
  /** Must be filled in; the others help to find what is wrong. */
  readonly isAsked: boolean
  /** Asked of a whole board; of a single circuit it may be read as well. */
  readonly isOffered: boolean
  readonly isDead: boolean
  /** Sheets made before spurs counted were asked for this one instead. */
  readonly wasAsked?: boolean
}

/** What a diagnosis looks at does not depend on what a schedule asks. */
const EVERY_RULE: ScheduleRules = { edition: '18-A2', rcdTests: 'all' }

/** The schedule of a whole bay: bonding, each circuit dead, supply, each circuit live. */
export function scheduleOf(rig: Rig, rules: ScheduleRules): ScheduleTest[] {
  const plans = circuitsOf(rig).map((circuit) => planOf(rig, rules, circuit))
  const reached = plans.filter(({ furthest }) => furthest !== null)
  const supply = { ...planOf(rig, rules, ''), circuit: null }
  return [true, false].flatMap((isDead) => [
    ...testsIn(supply, (kind) => kind.of === 'installation' && kind.isDead === isDead),
    ...reached.flatMap((plan) => testsIn(plan, (kind) => kind.of === 'circuit' && kind.isDead === isDead)),
  ])
}

/**
 * The schedule of one circuit: what a single circuit is asked for, with the supply's Ze. Everything else of
 * the circuit helps to look closer.
 */
export const circuitSchedule = (rig: Rig, rules: ScheduleRules, circuit: string): ScheduleTest[] =>
  scheduleOf(rig, rules)
    .filter((test) => test.circuit === circuit || (test.circuit === null && isBasic(test)))
    .map((test) => ({ ...test, isAsked: test.isAsked && isBasic(test) }))

const BASIC: ReadonlySet<string> = new Set(KINDS.filter(({ isBasic: is }) => is).map(({ key }) => key))
const isBasic = ({ kind }: BayTest): boolean => BASIC.has(kind)

/**
 * Every test that tells something about the wiring of this bay: the supply's, and of each circuit at each of
 * its points.
 */
export const testsOf = keptByBay((rig) => testsOfKinds(rig, ({ isDiagnostic }) => isDiagnostic))

/** And beside them what is never asked for, but read where it was taken. */
export const readTestsOf = keptByBay((rig) =>
  testsOfKinds(rig, ({ isDiagnostic, isReadWhereTaken }) => isDiagnostic || isReadWhereTaken === true),
)

/** Worked out once for each bay. */
function keptByBay(work: (rig: Rig) => readonly BayTest[]): (rig: Rig) => readonly BayTest[] {
  const kept = new WeakMap<Rig, readonly BayTest[]>()
  return (rig) => {
    const tests = kept.get(rig) ?? work(rig)
    kept.set(rig, tests)
    return tests
  }
}

function testsOfKinds(rig: Rig, isWanted: (kind: TestKind) => boolean): BayTest[] {
  const supply = { ...planOf(rig, EVERY_RULE, ''), circuit: null }
  const tests = [
    ...testsIn(supply, (kind) => kind.of === 'installation' && isWanted(kind)),
    ...circuitsOf(rig).flatMap((circuit) =>
      testsIn(planOf(rig, EVERY_RULE, circuit), (kind) => kind.of === 'circuit' && isWanted(kind)),
    ),
  ]
  return tests.map(({ key, kind, circuit, point }) => ({ key, kind, circuit, point }))
}

type Planned = Omit<CircuitPlan, 'circuit'> & { readonly circuit: string | null }

function testsIn(plan: Planned, isWanted: (kind: TestKind) => boolean): ScheduleTest[] {
  const { circuit } = plan
  return (KINDS as readonly TestKind[])
    .filter(isWanted)
    .flatMap(({ key: kind, places, isDead }) =>
      places(plan as CircuitPlan).map(({ point, ...asked }): ScheduleTest => ({
        key: testKey(kind, circuit, point),
        kind,
        circuit,
        point,
        isDead,
        isOffered: asked.isAsked,
        ...asked,
      })),
    )
}

/** `c1.r1r2@c1p4`; the supply's own have no circuit, tests at the board no point. */
export const testKey = (kind: string, circuit: string | null, point: string | null): string =>
  `${circuit ? `${circuit}.` : ''}${kind}${point ? `@${point}` : ''}`

function planOf(rig: Rig, rules: ScheduleRules, circuit: string): CircuitPlan {
  const way = wayOf(rig, circuit)
  const points = pointsOf(rig, circuit)
  const ends = homeEnds(rig, circuit)
  const isIsland = ends.earth.length === 0
  const isRing = ends.line.length === 2 && way !== undefined && linesOf(way).length === 1
  return {
    rig,
    rules,
    mains: mainsOf(rig) ?? null,
    circuit,
    way,
    points,
    ...furthestOf(rig, isIsland ? points.filter(hasNeutral) : points, isRing),
    isRing,
    isThreePhase: way !== undefined && linesOf(way).length === 3,
    isIsland,
    isFeed: !points.some(isPoint) && fedBy(rig, circuit).length > 0,
    rcd: rcdBefore(rig, circuit),
  }
}

/** The end of a radial; of a ring the end of a spur, else half way round. */
function furthestOf(
  rig: Rig,
  points: readonly Part[],
  isRing: boolean,
): Pick<CircuitPlan, 'furthest' | 'formerFurthest'> {
  if (!isRing) return { furthest: points.at(-1)?.id ?? null, formerFurthest: null }
  const half = points[Math.floor(points.length / 2)]?.id ?? null
  const spur = points.findLast((part) => isOnSpur(rig, part))?.id
  return spur && spur !== half
    ? { furthest: spur, formerFurthest: half }
    : { furthest: half, formerFurthest: null }
}

/** On a ring every point has two conductors on its line; a spur has one. */
const isOnSpur = (rig: Rig, { id }: Part): boolean =>
  rig.wires.filter(({ from, to }) => [from, to].some((ref) => partIdOf(ref) === id && ref.endsWith('.L')))
    .length === 1

/**
 * The schedule as a sheet answers it: where an earlier one was asked half way round a ring and measured
 * there, that stands for the spur.
 */
export function askedAsMeasured(
  schedule: readonly ScheduleTest[],
  isMeasured: (key: string) => boolean,
): readonly ScheduleTest[] {
  const former = schedule.filter(({ key, wasAsked }) => wasAsked && isMeasured(key))
  if (former.length === 0) return schedule
  const swapped = former.flatMap((test) => {
    const now = schedule.find(
      ({ kind, circuit, isAsked }) => isAsked && kind === test.kind && circuit === test.circuit,
    )
    return now && !isMeasured(now.key) ? [test.key, now.key] : []
  })
  return schedule.map((test) => (swapped.includes(test.key) ? { ...test, isAsked: !test.isAsked } : test))
}
