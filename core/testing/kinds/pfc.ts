import { readFaultCurrent } from '../../bay/instruments/loop'
import { display, type Scale } from '../../bay/instruments/reading'
import type { Rig } from '../../bay/model/rig'
import { SOURCES } from '../../regulations/source'
import { intakeBench } from '../setup/bench-state'
import { firstLine, mainsOf } from '../setup/circuit-ends'
import { benchOf, plainly, type Prepared } from '../setup/prepared'
import { NOWHERE, ONCE, type BayTest, type Outcome, type TestKind } from './kind'

/** Three phases together: about twice one of them; common practice, no source. */
const THREE_PHASE = 2

/** Line to neutral or line to earth at the origin, the larger. */
function highestFault(rig: Rig, _: BayTest, prepared: Prepared): Outcome {
  const supply = mainsOf(rig)!
  const bench = benchOf(rig, prepared)
  const returns = [prepared.to, ...(supply.arrangement === 'TT' ? [] : [`${supply.id}.E`])]
  const currents = returns.map((to) => readFaultCurrent(bench, { at: prepared.at, to }, 'no-trip').value ?? 0)
  const ampere = Math.max(...currents)
  return ampere === 0
    ? { is: 'none' }
    : { is: 'value', value: ampere * (supply.phases === 3 ? THREE_PHASE : 1) }
}

const SCALE: Scale = {
  quantity: 'faultCurrent',
  ranges: [{ end: 20e3, step: 10 }],
  accuracy: { relative: 0.05, digits: 5 },
}

/** Prospective fault current Ipf at the origin. */
export const pfc: TestKind<'pfc'> = {
  key: 'pfc',
  symbol: 'Ipf',
  isDead: false,
  of: 'installation',
  shows: 'ze',
  isColumn: false,
  isBasic: false,
  isDiagnostic: false,
  entry: { form: 'number', quantity: 'faultCurrent', over: 'never', end: 20e3 },
  conditions: ['mainSwitchOff'],
  relations: ['faultCurrent'],
  places: ({ mains }) => (mains ? ONCE : NOWHERE),
  prepare: (rig) => {
    const supply = mainsOf(rig)
    return supply && plainly(intakeBench(rig), firstLine(supply), `${supply.id}.N`)
  },
  prediction: { by: 'instrument', read: highestFault },
  fit: { by: 'amount', relative: 0.15, absolute: 60 },
  expect: ({ rig, design }) => {
    const least = Math.min(...design.circuits.flatMap(({ values }) => values.breaking ?? []))
    return {
      source: SOURCES.breakingCapacity,
      working: mainsOf(rig)?.phases === 3 ? 'faultCurrentThreePhase' : 'faultCurrent',
      reasons: ['loopTester', 'supply'],
      ...(Number.isFinite(least) ? { limit: { kind: 'maximum', value: least } } : {}),
    }
  },
  usualCause: (isHigh) => (isHigh ? 'lowExternal' : 'highExternal'),
  measure: ({ predicted, error }) =>
    predicted?.is === 'value' ? display(SCALE, predicted.value, error) : undefined,
}
