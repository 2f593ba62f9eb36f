import { SOURCES } from '../../regulations/source'
import { lineOut, wayOf } from '../setup/circuit-ends'
import { liveBench } from '../setup/bench-state'
import { plainly } from '../setup/prepared'
import { NOWHERE, ONCE, type TestKind } from './kind'
import { TICK, higherOrLower } from './shared'

/** The test of an arc fault detection device, by its button or by itself where the maker says so. */
export const afddButton: TestKind<'afddButton'> = {
  key: 'afddButton',
  symbol: 'AFDD',
  isDead: false,
  of: 'circuit',
  shows: 'polarity',
  isColumn: true,
  isBasic: false,
  isDiagnostic: false,
  entry: TICK,
  conditions: ['onlyThisWay', 'nothingInUse'],
  relations: [],
  places: ({ way }) => (way?.detectsArcs ? ONCE : NOWHERE),
  prepare: (rig, { circuit }) => {
    const way = wayOf(rig, circuit!)
    return way && plainly(liveBench(rig, way.id), lineOut(way), lineOut(way).replace(/\.[^.]+$/, '.N out'))
  },
  prediction: { by: 'hand' },
  fit: { by: 'tick' },
  expect: () => ({ source: SOURCES.functional, working: 'tick', reasons: [] }),
  usualCause: higherOrLower,
  measure: ({ rig, test }) => wayOf(rig, test.circuit!)?.detectsArcs ?? false,
}
