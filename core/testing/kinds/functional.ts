import { workingState } from '../../bay/behaviour/state'
import { readVoltage } from '../../bay/instruments/voltage'
import { SOURCES } from '../../regulations/source'
import { isPoint, lineAt, returnAt } from '../setup/circuit-ends'
import { plainly } from '../setup/prepared'
import { NOWHERE, ONCE, type Tester, type TestKind } from './kind'
import { TICK, higherOrLower } from './shared'

/** A point that works has at least this, V. */
const WORKS_FROM_V = 200

/** Is the voltage of the supply at every point of the circuit, its switches closed? */
function worksAtEveryPoint({ rig, test: { circuit }, bench }: Tester): boolean {
  return rig.parts
    .filter((part) => part.circuit === circuit && isPoint(part))
    .every((part) => (readVoltage(bench, { at: lineAt(part), to: returnAt(part) }).value ?? 0) > WORKS_FROM_V)
}

/** Functional test of switches, isolators and interlocks. */
export const functional: TestKind<'functional'> = {
  key: 'functional',
  symbol: 'works',
  isDead: false,
  of: 'circuit',
  shows: 'polarity',
  isColumn: true,
  isBasic: false,
  isDiagnostic: false,
  entry: TICK,
  conditions: ['allWaysClosed'],
  relations: [],
  places: ({ isFeed }) => (isFeed ? NOWHERE : ONCE),
  prepare: (rig, { circuit }) => {
    const first = rig.parts.find((part) => part.circuit === circuit && isPoint(part))
    return first && plainly({ ...workingState(rig), inUse: {} }, lineAt(first), `${first.id}.E`)
  },
  prediction: { by: 'hand' },
  fit: { by: 'tick' },
  expect: () => ({ source: SOURCES.functional, working: 'tick', reasons: [] }),
  usualCause: higherOrLower,
  measure: worksAtEveryPoint,
}
