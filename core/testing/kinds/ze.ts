import { readLoop } from '../../bay/instruments/loop'
import { SOURCES } from '../../regulations/source'
import { intakeBench } from '../setup/bench-state'
import { firstLine, mainsOf } from '../setup/circuit-ends'
import { benchOf } from '../setup/prepared'
import { ELECTRODE, earthingFreed } from './electrode'
import { NOWHERE, ONCE, type TestKind } from './kind'
import { OHMS, outcomeOf } from './shared'

/**
 * External earth fault loop impedance at the origin, the installation off and its earthing conductor
 * disconnected.
 */
export const ze: TestKind<'ze'> = {
  key: 'ze',
  symbol: 'Ze',
  isDead: false,
  of: 'installation',
  shows: 'ze',
  isColumn: false,
  isBasic: true,
  isDiagnostic: true,
  entry: OHMS,
  conditions: ['mainSwitchOff', 'earthBackAfter'],
  relations: ['loopSum', 'faultCurrent'],
  places: ({ mains }) => (mains ? ONCE : NOWHERE),
  prepare: (rig) => {
    const supply = mainsOf(rig)
    if (!supply) return undefined
    const to = supply.arrangement === 'TT' ? ELECTRODE.terminal : `${supply.id}.E`
    const freed = earthingFreed(rig, to)
    return { state: intakeBench(rig), setup: { links: [], freed }, at: firstLine(supply), to }
  },
  prediction: {
    by: 'instrument',
    read: (rig, _, prepared) => outcomeOf(readLoop(benchOf(rig, prepared), prepared, 'no-trip')),
  },
  fit: { by: 'amount', relative: 0.07, absolute: 0.05 },
  expect: () => ({
    source: SOURCES.externalImpedance,
    working: 'asGiven',
    reasons: ['loopTester', 'supply'],
  }),
  usualCause: (isHigh) => (isHigh ? 'highExternal' : 'lowExternal'),
  measure: ({ bench, prepared: made, error }) => readLoop(bench, made, 'no-trip', error),
}
