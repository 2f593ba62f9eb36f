import { readRotation } from '../../bay/instruments/voltage'
import { SOURCES } from '../../regulations/source'
import { intakeBench } from '../setup/bench-state'
import type { Rig } from '../../bay/model/rig'
import { linesOf, mainSwitchOf, supplyOf } from '../setup/circuit-ends'
import { plainly } from '../setup/prepared'
import { NOWHERE, ONCE, type TestKind } from './kind'
import { TICK, higherOrLower } from './shared'

type Three = readonly [string, string, string]
/** Where the lines come in: behind them an exchange of two tails shows. */
function incoming(rig: Rig): Three | undefined {
  const main = mainSwitchOf(rig)
  const lines = main ? linesOf(main).map((pole) => `${main.id}.${pole} in`) : []
  return lines.length === 3 ? (lines as unknown as Three) : undefined
}

/** Phase sequence at the incoming terminals of the main switch. */
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
  places: ({ rig }) => (supplyOf(rig)?.phases === 3 && incoming(rig) ? ONCE : NOWHERE),
  prepare: (rig) => {
    const lines = incoming(rig)
    return lines && plainly(intakeBench(rig), lines[0], lines[1])
  },
  prediction: { by: 'hand' },
  fit: { by: 'tick' },
  expect: () => ({ source: SOURCES.functional, working: 'tick', reasons: [] }),
  usualCause: higherOrLower,
  measure: ({ bench, rig }) => {
    const lines = incoming(rig)
    return lines !== undefined && readRotation(bench, lines) === 'L1-L2-L3'
  },
}
