import { indexParts } from '../../bay/model/terminals'
import type { Rig } from '../../bay/model/rig'
import { SOURCES } from '../../regulations/source'
import { measuredZsLimitOhm } from '../../design/measured-zs'
import { deadBench, type PrepareOptions } from '../setup/bench-state'
import { earthAt, earthBarOf, lineAt, lineOut, wayOf } from '../setup/circuit-ends'
import type { Prepared } from '../setup/prepared'
import { NOWHERE, type BayTest, type TestKind } from './kind'
import { CONDUCTORS, OHMS, RESISTANCE, everyPoint, higherOrLower, measureContinuity } from './shared'

/** Line and cpc linked at the board, probes at the point. */
export function linkedAtBoard(
  rig: Rig,
  { circuit, point }: BayTest,
  options: PrepareOptions,
): Prepared | undefined {
  const way = wayOf(rig, circuit!)
  const bar = way && earthBarOf(rig, way.board)
  const part = point ? indexParts(rig).get(point) : undefined
  if (!way || !bar || !part) return undefined
  const setup = { freed: [], links: [[lineOut(way), `${bar}.1`]] } as const
  return { state: deadBench(rig, options), setup, at: lineAt(part), to: earthAt(rig, part)! }
}

/** Continuity of protective conductors by the R1 + R2 method. */
export const r1r2: TestKind<'r1r2'> = {
  key: 'r1r2',
  symbol: 'R1 + R2',
  isDead: true,
  of: 'circuit',
  shows: 'r1r2',
  isColumn: true,
  isBasic: true,
  isDiagnostic: true,
  entry: OHMS,
  conditions: ['isolated', 'leadsNulled'],
  relations: ['leads', 'ringSockets', 'radial', 'loopSum'],
  places: (plan) => (plan.isIsland ? NOWHERE : everyPoint(plan)),
  prepare: linkedAtBoard,
  prediction: RESISTANCE,
  fit: { by: 'amount', relative: 0.09, absolute: 0.03 },
  expect: ({ test, circuit }) => {
    const zs = circuit && test.isAsked ? measuredZsLimitOhm(circuit) : undefined
    return {
      source: SOURCES.continuity,
      reasons: CONDUCTORS,
      working: zs === undefined ? 'toThePoint' : 'toTheFurthest',
      // Continuity has no limit of its own: what maximum Zs leaves after Ze is the useful one.
      ...(zs === undefined
        ? {}
        : { limit: { kind: 'maximum', value: Math.max(0, zs - circuit!.task.supply.zeOhm) } }),
    }
  },
  usualCause: higherOrLower,
  measure: measureContinuity,
}
