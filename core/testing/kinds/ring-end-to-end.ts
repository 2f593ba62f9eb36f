import { SOURCES } from '../../regulations/source'
import { endToEnd } from '../setup/prepared'
import { NOWHERE, ONCE, type TestKind } from './kind'
import { CONDUCTORS, OHMS, RESISTANCE, higherOrLower, measureContinuity } from './shared'

/** Step 1 of a ring final circuit: one conductor from its one end at the board to the other. */
const ringEndToEnd = <K extends 'r1' | 'rn' | 'r2'>(
  key: K,
  conductor: 'line' | 'neutral' | 'earth',
): TestKind<K> => ({
  key,
  symbol: key,
  isDead: true,
  of: 'circuit',
  shows: 'r1r2',
  isColumn: true,
  isBasic: false,
  isDiagnostic: true,
  entry: OHMS,
  conditions: ['isolated', 'leadsNulled'],
  relations: ['leads', 'ringEnds'],
  places: ({ isRing }) => (isRing ? ONCE : NOWHERE),
  prepare: (rig, { circuit }, options) => endToEnd(rig, circuit!, conductor, options),
  prediction: RESISTANCE,
  fit: { by: 'amount', relative: 0.08, absolute: 0.03 },
  expect: () => ({ source: SOURCES.ringContinuity, working: 'wholeRing', reasons: CONDUCTORS }),
  usualCause: higherOrLower,
  measure: measureContinuity,
})

export const r1 = ringEndToEnd('r1', 'line')
export const rn = ringEndToEnd('rn', 'neutral')
export const r2 = ringEndToEnd('r2', 'earth')
