import type { CircuitDesign } from '../../design/reference'
import type { Task } from '../../design/task'
import { COPPER_PER_DEGREE } from '../../regulations/conductors'
import { SOURCES, type Source } from '../../regulations/source'
import { faultClearedByResidual, maximumZsOhm, sizeFor } from '../../design/limits'
import type { ReadingKey } from '../readings'

/** Why a band is as wide as it is. */
export type BandReason = 'ohmmeter' | 'loopTester' | 'length' | 'air' | 'supply' | 'standard' | 'newWork'

/** What a test should show at this bay: expected value, band and limit, all SI. */
export interface ExpectedReading {
  readonly key: ReadingKey
  /** Undefined where only a band can be expected (insulation, trip time). */
  readonly value?: number
  readonly low: number
  /** Undefined: no upper end. */
  readonly high?: number
  readonly limit: { readonly kind: 'maximum' | 'minimum'; readonly value: number } | undefined
  readonly source: Source
  /** How value and limit come about, in symbols and figures. */
  readonly working: string
  /** Why the band is as wide as it is, where that has been worked out. */
  readonly reasons?: readonly BandReason[]
}

/** Typical instrument accuracies: fraction of reading + digits of the last place; testing practice, no standard. */
const OHMMETER = { relative: 0.02, digitsOhm: 0.02 }
const LOOP_TESTER = { relative: 0.05, digitsOhm: 0.05 }
/** Cut lengths and slack at the bay. */
const LENGTH_TOLERANCE = 0.05
/** Workshop air around the 20 °C of the tables, °C. */
const TEMPERATURE_SPREAD_C = 10
/** BS 7671 Table 64, 500 V DC. */
export const MINIMUM_INSULATION_OHM = 1e6
/** New work in a dry workshop reads far above; common practice, no source. */
const GOOD_INSULATION_OHM = 100e6
/** General type at IΔn; BS 7671 643.8 and BS EN 61008. */
export const MAXIMUM_TRIP_S = 0.3
/** Faster than this the instrument did not see a residual device trip; common practice, no source. */
const FASTEST_TRIP_S = 0.005
/** Rule of thumb for a cold measurement; common practice (On-Site Guide Appendix B values are about 0.8 of Table 41.3). */
const COLD_FRACTION = 0.8

/** Expected readings of a worked circuit, dead tests first; none where it could not be worked. */
export function expectedReadings({ task, values, steps, stopped }: CircuitDesign): ExpectedReading[] {
  if (stopped) return []
  const { r1r2, in: rating, csa, residual } = values as Required<typeof values>
  const cold = 1 - COPPER_PER_DEGREE * TEMPERATURE_SPREAD_C
  const warm = 1 + COPPER_PER_DEGREE * TEMPERATURE_SPREAD_C
  const { zeOhm } = task.supply
  const limitZs = measuredZsLimitOhm(task, { ratingA: rating, residualA: residual, areaMm2: csa })
  const resistance = { low: r1r2 * (1 - LENGTH_TOLERANCE) * cold, high: r1r2 * (1 + LENGTH_TOLERANCE) * warm }
  const readings: ExpectedReading[] = [
    {
      key: 'r1r2',
      value: r1r2,
      ...around(resistance.low, resistance.high, OHMMETER),
      // Continuity has no limit of its own: what the loop leaves after Ze is the useful one.
      limit: { kind: 'maximum', value: Math.max(0, limitZs - zeOhm) },
      source: SOURCES.continuity,
      working: `${steps.find(({ key }) => key === 'r1r2')!.working}; limit = Zs limit − Ze`,
    },
    ...(['irLN', 'irLE', 'irNE'] as const).map((key): ExpectedReading => ({
      key,
      low: GOOD_INSULATION_OHM,
      limit: { kind: 'minimum', value: MINIMUM_INSULATION_OHM },
      source: SOURCES.insulation,
      working: '500 V DC; new work reads near the end of the range',
    })),
    {
      key: 'polarity',
      low: 0,
      limit: undefined,
      source: SOURCES.polarity,
      working: 'a tick, never a number',
    },
    {
      key: 'ze',
      value: zeOhm,
      ...around(zeOhm, zeOhm, LOOP_TESTER),
      limit: undefined,
      source: SOURCES.externalImpedance,
      working: 'as given for this bay',
    },
    {
      key: 'zs',
      value: zeOhm + r1r2,
      ...around(zeOhm + resistance.low, zeOhm + resistance.high, LOOP_TESTER),
      limit: { kind: 'maximum', value: limitZs },
      source: SOURCES.measuredLoop,
      working: `Ze + (R1 + R2), conductors cold; limit ${limitWorking(task)}`,
    },
  ]
  if (task.residualA !== null) {
    readings.push({
      key: 'rcdTime',
      low: FASTEST_TRIP_S,
      high: MAXIMUM_TRIP_S,
      limit: { kind: 'maximum', value: MAXIMUM_TRIP_S },
      source: SOURCES.residualTime,
      working: 'general type at IΔn, worst of both half-cycles',
    })
  }
  return readings
}

/** What a measured Zs is held against, by the policy of the centre. A residual limit needs no cold correction. */
export function measuredZsLimitOhm(
  task: Task,
  { ratingA, residualA, areaMm2 }: { ratingA: number; residualA: number; areaMm2: number },
): number {
  const limit = maximumZsOhm(task, ratingA, residualA)
  if (faultClearedByResidual(task) && residualA > 0) return limit
  if (task.measuredZs === 'eighty-percent') return COLD_FRACTION * limit
  // Own correction: only the installation's conductors warm up, the supply's share does not.
  return task.supply.zeOhm + (limit - task.supply.zeOhm) / sizeFor(task, areaMm2)!.hotMultiplier
}

function limitWorking(task: Task): string {
  if (faultClearedByResidual(task)) return '50 V ÷ IΔn'
  return task.measuredZs === 'eighty-percent'
    ? '0.8 × table value'
    : 'Ze + (table value − Ze) ÷ the hot multiplier'
}

function around(
  low: number,
  high: number,
  instrument: { relative: number; digitsOhm: number },
): { low: number; high: number } {
  return {
    low: Math.max(0, low * (1 - instrument.relative) - instrument.digitsOhm),
    high: high * (1 + instrument.relative) + instrument.digitsOhm,
  }
}
