import { readLoop } from '../../bay/instruments/loop'
import { measuredZsLimitOhm, zsLimitRule } from '../../design/measured-zs'
import { SOURCES } from '../../regulations/source'
import { liveAtPoint } from '../setup/live'
import { NOWHERE, type TestKind, type Working } from './kind'
import { OHMS, everyPoint, higherOrLower, upTo } from './shared'

/** A loop tester works from this, V. */
const LEAST_V = 180
const WORKING: Readonly<Record<ReturnType<typeof zsLimitRule>, Working>> = {
  rcd: 'loopByRcd',
  eightyPercent: 'loopEightyPercent',
  corrected: 'loopCorrected',
}

/** Earth fault loop impedance at a point. */
export const zs: TestKind<'zs'> = {
  key: 'zs',
  symbol: 'Zs',
  isDead: false,
  of: 'circuit',
  shows: 'zs',
  isColumn: true,
  isBasic: true,
  isDiagnostic: true,
  entry: OHMS,
  conditions: ['onlyThisWay', 'nothingInUse'],
  relations: ['loopSum'],
  places: (plan) => (plan.isIsland ? NOWHERE : everyPoint(plan)),
  prepare: liveAtPoint,
  prediction: {
    by: 'impedance',
    pairs: ({ at, to }) => [[at, to]],
    read: ([one]) => (one!.openV < LEAST_V ? { is: 'none' } : upTo(one!.ohm)),
  },
  fit: { by: 'amount', relative: 0.09, absolute: 0.06 },
  expect: ({ circuit }) => {
    const limit = circuit && measuredZsLimitOhm(circuit)
    // Where the centre's book has another limit, whoever reads the sheet must know.
    const ownLimit = circuit?.steps.find(({ key }) => key === 'zsMax')?.source.centre
    return {
      source: ownLimit ? { ...SOURCES.measuredLoop, centre: ownLimit } : SOURCES.measuredLoop,
      working: circuit ? WORKING[zsLimitRule(circuit.task)] : 'loop',
      reasons: ['loopTester', 'length', 'air', 'supply'],
      ...(limit === undefined ? {} : { limit: { kind: 'maximum', value: limit } }),
    }
  },
  usualCause: higherOrLower,
  measure: ({ bench, prepared: made, error }) => readLoop(bench, made, 'no-trip', error),
}
