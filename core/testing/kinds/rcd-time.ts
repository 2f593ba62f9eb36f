import { readTripTime, type RcdMultiple } from '../../bay/instruments/rcd-test'
import { rcdBefore } from '../../bay/model/rcd-before'
import type { Rig } from '../../bay/model/rig'
import { isFrom } from '../../regulations/editions'
import { SOURCES } from '../../regulations/source'
import { liveAtPoint } from '../setup/live'
import { benchOf } from '../setup/prepared'
import {
  NOWHERE,
  type CircuitPlan,
  type Expectation,
  type ExpectationFacts,
  type Place,
  type TestKind,
} from './kind'
import { outcomeOf } from './shared'

/** BS 7671 643.8 and BS EN 61008-1 Table 1, from memory: at IΔn, general and time-delayed, and at five times, s. */
const GENERAL_S = 0.3
const DELAYED_S = { least: 0.13, most: 0.5 } as const
const FIVE_TIMES_S = 0.04
const DELAYED_FIVE_S = { least: 0.05, most: 0.15 } as const
/** How long a test at half IΔn runs without a trip, s. */
const NO_TRIP_S = 1.999
/** Faster than this the instrument did not see an RCD operate; common practice, no source. */
const FASTEST_S = 0.005

const ratedA = (rig: Rig, circuit: string | null): number => rcdBefore(rig, circuit)?.residual?.ratedA ?? 0.03

/** The RCD is the same from every point: tested at the last. */
const atLastPoint = ({ rcd, points }: CircuitPlan): readonly Place[] =>
  rcd && points.length > 0 ? [{ point: points.at(-1)!.id, isAsked: true }] : NOWHERE

/**
 * The 2022 edition verifies at IΔn alone; before, half and five times were usual too. BS 7671:2018+A2 643.8
 * and 643.7.1, from memory.
 */
const needsMultiples = ({ rules }: CircuitPlan): boolean =>
  rules.rcdTests === 'all' || !isFrom(rules.edition, '18-A2')
const whereMultiples = (plan: CircuitPlan): readonly Place[] =>
  needsMultiples(plan) ? atLastPoint(plan) : NOWHERE

interface Own extends Pick<
  TestKind,
  'symbol' | 'isBasic' | 'isDiagnostic' | 'isReadWhereTaken' | 'entry' | 'places' | 'fit'
> {
  readonly multiple: RcdMultiple
  readonly expectation: (facts: ExpectationFacts) => Pick<Expectation, 'working' | 'limit' | 'instead'>
}

const rcdTime = <K extends string>(key: K, { multiple, expectation, ...own }: Own): TestKind<K> => ({
  key,
  isDead: false,
  of: 'circuit',
  shows: 'rcdTime',
  isColumn: true,
  conditions: ['onlyThisWay', 'nothingInUse'],
  relations: ['rcdTimes'],
  ...own,
  prepare: liveAtPoint,
  prediction: {
    by: 'instrument',
    read: (rig, { circuit }, prepared) =>
      outcomeOf(readTripTime(benchOf(rig, prepared), prepared, { ratedA: ratedA(rig, circuit), multiple })),
  },
  expect: (facts) => ({ source: SOURCES.residualTime, reasons: ['standard'], ...expectation(facts) }),
  usualCause: () => 'tooFast',
  measure: ({ rig, test, bench, prepared: made, error }) => {
    // Both half-cycles, the longer one.
    const both = ([0, 180] as const).map((startDegrees) =>
      readTripTime(bench, made, { ratedA: ratedA(rig, test.circuit), multiple, startDegrees }, error),
    )
    return both.reduce((a, b) => ((b.value ?? 0) > (a.value ?? 0) ? b : a))
  },
})

const isBehindDelayed = ({ rig, circuit }: ExpectationFacts): boolean =>
  rcdBefore(rig, circuit?.scope ?? null)?.residual?.isDelayed ?? false

/** Operating time at IΔn. */
export const rcd = rcdTime('rcd', {
  symbol: 'IΔn',
  multiple: 1,
  isBasic: true,
  isDiagnostic: true,
  entry: { form: 'number', quantity: 'time', over: 'noTrip', end: GENERAL_S },
  places: atLastPoint,
  fit: { by: 'limit', limitS: GENERAL_S, delayedS: DELAYED_S },
  expectation: (facts) => {
    const isDelayed = isBehindDelayed(facts)
    const [low, high] = isDelayed ? [DELAYED_S.least, DELAYED_S.most] : [FASTEST_S, GENERAL_S]
    return {
      working: isDelayed ? 'rcdDelayed' : 'rcdGeneral',
      instead: { low, high },
      limit: { kind: 'maximum', value: high },
    }
  },
})

/** No trip at half IΔn. */
export const rcdHalf = rcdTime('rcdHalf', {
  symbol: '½ IΔn',
  multiple: 0.5,
  isBasic: false,
  isDiagnostic: false,
  isReadWhereTaken: true,
  entry: { form: 'number', quantity: 'time', over: 'wanted', end: NO_TRIP_S },
  places: whereMultiples,
  fit: { by: 'limit', limitS: NO_TRIP_S },
  expectation: () => ({
    working: 'rcdHalf',
    instead: { low: NO_TRIP_S },
    limit: { kind: 'minimum', value: NO_TRIP_S },
  }),
})

/** Operating time at five times IΔn. */
export const rcdFive = rcdTime('rcdFive', {
  symbol: '5 IΔn',
  multiple: 5,
  isBasic: false,
  isDiagnostic: false,
  isReadWhereTaken: true,
  entry: { form: 'number', quantity: 'time', over: 'noTrip', end: FIVE_TIMES_S },
  places: whereMultiples,
  fit: { by: 'limit', limitS: FIVE_TIMES_S, delayedS: DELAYED_FIVE_S },
  expectation: (facts) => {
    const isDelayed = isBehindDelayed(facts)
    const [low, high] = isDelayed ? [DELAYED_FIVE_S.least, DELAYED_FIVE_S.most] : [FASTEST_S, FIVE_TIMES_S]
    return {
      working: isDelayed ? 'rcdDelayed' : 'rcdFive',
      instead: { low, high },
      limit: { kind: 'maximum', value: high },
    }
  },
})
