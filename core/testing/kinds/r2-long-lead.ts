import { indexParts } from '../../bay/model/terminals'
import { SOURCES } from '../../regulations/source'
import { deadBench } from '../setup/bench-state'
import { earthAt, homeEnds } from '../setup/circuit-ends'
import { free } from '../setup/prepared'
import { NOWHERE, type TestKind } from './kind'
import { CONDUCTORS, OHMS, RESISTANCE, higherOrLower, measureContinuity } from './shared'

/** The cpc alone with a long lead, for looking closer beside R1 + R2. */
export const r2Long: TestKind<'r2Long'> = {
  key: 'r2Long',
  symbol: 'R2',
  isDead: true,
  of: 'circuit',
  shows: 'r1r2',
  isColumn: false,
  isBasic: false,
  isDiagnostic: true,
  entry: OHMS,
  conditions: ['isolated', 'leadsNulled'],
  relations: ['leads'],
  places: ({ points, isIsland }) =>
    isIsland ? NOWHERE : points.map(({ id }) => ({ point: id, isAsked: false })),
  prepare: (rig, { circuit, point }, options) => {
    // Out of the bar, so that no other way back is in the reading; of a ring from the end that left first.
    const { freed, at } = free(homeEnds(rig, circuit!).earth)
    const part = indexParts(rig).get(point!)
    if (!part || !at[0]) return undefined
    return { state: deadBench(rig, options), setup: { freed, links: [] }, at: at[0], to: earthAt(rig, part)! }
  },
  prediction: RESISTANCE,
  fit: { by: 'amount', relative: 0.09, absolute: 0.03 },
  expect: () => ({ source: SOURCES.continuity, working: 'cpcAlone', reasons: CONDUCTORS }),
  usualCause: higherOrLower,
  measure: measureContinuity,
}
