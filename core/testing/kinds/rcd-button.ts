import { rcdBefore } from '../../bay/model/rcd-before'
import { SOURCES } from '../../regulations/source'
import { liveAtPoint } from '../setup/live'
import { NOWHERE, type TestKind } from './kind'
import { TICK, higherOrLower } from './shared'

/** The RCD's own test button. */
export const rcdButton: TestKind<'rcdButton'> = {
  key: 'rcdButton',
  symbol: 'test button',
  isDead: false,
  of: 'circuit',
  shows: 'rcdTime',
  isColumn: true,
  isBasic: false,
  isDiagnostic: false,
  entry: TICK,
  conditions: ['onlyThisWay', 'nothingInUse'],
  relations: [],
  places: ({ rcd, points }) =>
    rcd && points.length > 0 ? [{ point: points.at(-1)!.id, isAsked: true }] : NOWHERE,
  prepare: liveAtPoint,
  prediction: { by: 'hand' },
  fit: { by: 'tick' },
  expect: () => ({ source: SOURCES.functional, working: 'tick', reasons: [] }),
  usualCause: higherOrLower,
  measure: ({ rig, test }) => rcdBefore(rig, test.circuit) !== undefined,
}
