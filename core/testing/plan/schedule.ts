import { testsOf, type BayTest } from '../diagnosis/bay-test'
import type { ResidualTests } from '../../exercise/exercise'
import type { Edition } from '../../regulations/editions'
import { isDead } from '../readings'
import type { Rig } from '../../bay/model/rig'

export interface ScheduleRules {
  readonly edition: Edition
  readonly residualTests: ResidualTests
}

/** A test with its place in the schedule. */
export interface ScheduleTest extends BayTest {
  /** Must be filled in; the others help to find what is wrong. */
  readonly isAsked: boolean
  readonly isDead: boolean
}

/** The 2022 edition verifies at IΔn alone; before, half and five times were usual too. BS 7671:2018+A2 643.8 and 643.7.1, from memory. */
const needsMultiples = ({ edition, residualTests }: ScheduleRules): boolean =>
  residualTests === 'all' || edition !== '18-A2'

/** The schedule of a whole bay: bonding, each circuit dead, supply, each circuit live. What every circuit is asked for stands at its far point. */
export function scheduleOf(rig: Rig, rules: ScheduleRules): ScheduleTest[] {
  const tests = testsOf(rig)
  const far = new Map<string, string>()
  for (const circuit of new Set(tests.flatMap(({ circuit }) => circuit ?? []))) {
    const points = [
      ...new Set(
        tests
          .filter((test) => test.circuit === circuit && (test.kind === 'zs' || test.kind === 'polarity'))
          .flatMap(({ point }) => point ?? []),
      ),
    ]
    // A ring reads highest half way round, a radial at its end.
    const isRing = tests.some(({ key }) => key === `${circuit}.r1`)
    if (points.length > 0)
      far.set(circuit, points[isRing ? Math.floor(points.length / 2) : points.length - 1]!)
  }
  const supply = rig.parts.find(({ kind }) => kind === 'supply')
  const own = (key: string, kind: BayTest['kind'], point: string | null = null): ScheduleTest => ({
    key,
    kind,
    circuit: null,
    point,
    isAsked: true,
    isDead: isDead(key),
  })
  // The residual device is the same from every point; the long lead is for looking closer, beside the linked measurement.
  const asked = (test: BayTest): ScheduleTest => ({
    ...test,
    isDead: isDead(test.key),
    isAsked:
      test.kind !== 'r2Long' &&
      (test.point === null || test.kind === 'rcd' || far.get(test.circuit ?? '') === test.point),
  })
  const bonding = rig.parts.filter(
    ({ kind, id }) =>
      kind === 'metalwork' &&
      id !== 'electrode' &&
      rig.wires.some(
        ({ from, to }) => [from, to].includes(`${id}.E`) && [from, to].some((ref) => ref.startsWith('met.')),
      ),
  )
  const circuits = [...far.keys()]
  const of = (circuit: string, dead: boolean): ScheduleTest[] =>
    tests
      .filter((test) => test.circuit === circuit)
      .map(asked)
      .filter((test) => test.isDead === dead)
      .flatMap((test) => {
        if (test.kind !== 'rcd') return [test]
        const more = (kind: BayTest['kind']): ScheduleTest => ({
          ...test,
          kind,
          key: `${circuit}.${kind}@${test.point}`,
        })
        return [
          ...(needsMultiples(rules) ? [more('rcdHalf'), test, more('rcdFive')] : [test]),
          more('rcdButton'),
        ]
      })
  const hasLines = (circuit: string) =>
    rig.parts.some(
      (part) =>
        part.kind === 'device' &&
        part.role === 'way' &&
        part.circuit === circuit &&
        part.poles.filter((pole) => pole !== 'N').length === 3,
    )
  const between = (circuit: string): ScheduleTest[] =>
    hasLines(circuit)
      ? [{ key: `${circuit}.irLL`, kind: 'irLL', circuit, point: null, isAsked: true, isDead: true }]
      : []
  const isFeed = (circuit: string) => rig.parts.find(({ id }) => id === far.get(circuit))?.kind === 'device'
  const works = (circuit: string): ScheduleTest => ({
    key: `${circuit}.functional`,
    kind: 'functional',
    circuit,
    point: null,
    isAsked: true,
    isDead: false,
  })
  // Where they are asked for: under load, at the far point.
  const loaded = (circuit: string): ScheduleTest[] =>
    (['drop', 'clamp'] as const).map((kind) => ({
      key: `${circuit}.${kind}@${far.get(circuit)}`,
      kind,
      circuit,
      point: far.get(circuit)!,
      isAsked: false,
      isDead: false,
    }))
  const isMains = supply?.kind === 'supply' && supply.arrangement !== 'battery'
  return [
    ...bonding.map(({ id }) => own(`bonding@${id}`, 'bonding', id)),
    ...circuits.flatMap((circuit) => insert(of(circuit, true), between(circuit))),
    ...(isMains ? [own('ze', 'ze'), own('pfc', 'pfc')] : []),
    ...(supply?.kind === 'supply' && supply.phases === 3 ? [own('rotation', 'rotation')] : []),
    ...circuits.flatMap((circuit) => [
      ...of(circuit, false),
      ...(isFeed(circuit) ? [] : [works(circuit), ...loaded(circuit)]),
    ]),
  ]
}

/** Between the lines comes first among the insulation tests. */
function insert(tests: readonly ScheduleTest[], between: readonly ScheduleTest[]): ScheduleTest[] {
  const at = tests.findIndex(({ kind }) => kind.startsWith('ir'))
  return at < 0 ? [...tests, ...between] : [...tests.slice(0, at), ...between, ...tests.slice(at)]
}
