import { readRotation } from '../../bay/instruments/voltage'
import { SOURCES } from '../../regulations/source'
import { intakeBench } from '../setup/bench-state'
import { supplyOf } from '../setup/circuit-ends'
import { plainly } from '../setup/prepared'
import { NOWHERE, ONCE, type TestKind } from './kind'
import { TICK, higherOrLower } from './shared'

/** Phase sequence at the incoming lines. */
export const phaseSequence: TestKind<'rotation'> = {
  key: 'rotation',
  symbol: 'L1 L2 L3',
  isDead: false,
  of: 'installation',
  shows: 'polarity',
  isColumn: false,
  isBasic: false,
  isDiagnostic: false,
  entry: TICK,
  conditions: ['mainSwitchOff'],
  relations: [],
  places: ({ rig }) => (supplyOf(rig)?.phases === 3 ? ONCE : NOWHERE),
  prepare: (rig) => {
    const supply = supplyOf(rig)
    return supply && plainly(intakeBench(rig), `${supply.id}.L1`, `${supply.id}.L2`)
  },
  prediction: { by: 'hand' },
  fit: { by: 'tick' },
  expect: () => ({ source: SOURCES.functional, working: 'tick', reasons: [] }),
  usualCause: higherOrLower,
  measure: ({ bench }) => readRotation(bench, ['supply.L1', 'supply.L2', 'supply.L3']) === 'L1-L2-L3',
}
