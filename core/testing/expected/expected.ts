import { bandOf } from '../diagnosis/fit'
import { predictAll } from '../diagnosis/predict'
import type { CircuitDesign, InstallationDesign } from '../../design/reference'
import { SOURCES } from '../../regulations/source'
import {
  MAXIMUM_TRIP_S,
  MINIMUM_INSULATION_OHM,
  measuredZsLimitOhm,
  type BandReason,
  type ExpectedReading,
} from './circuit'
import { residualBefore } from '../../bay/model/residual-before'
import type { Rig } from '../../bay/model/rig'
import type { ScheduleTest } from '../plan/schedule'

/** New work in a dry workshop reads far above the minimum; common practice, no source. */
const GOOD_INSULATION_OHM = 100e6
/** Faster than this the instrument did not see a residual device trip; common practice, no source. */
const FASTEST_TRIP_S = 0.005
/** BS EN 61008-1 Table 1 and BS 7671 643.8, from memory: at five times IΔn of up to 30 mA; delayed devices at IΔn; no trip at half. */
const FIVE_TIMES_S = 0.04
const DELAYED_S = { least: 0.13, most: 0.5 } as const
const NO_TRIP_S = 1.999

export interface ScheduleExpected extends ExpectedReading {
  readonly reasons: readonly BandReason[]
}

/** What each test of a schedule should show at this bay, by key. Solves the sound bay once: some milliseconds a circuit. */
export function expectedSchedule(
  rig: Rig,
  design: InstallationDesign,
  schedule: readonly ScheduleTest[],
): ReadonlyMap<string, ScheduleExpected> {
  const told = predictAll(rig, schedule)
  const circuits = new Map(design.circuits.map((circuit) => [circuit.scope, circuit]))
  return new Map(
    schedule.map((test): [string, ScheduleExpected] => {
      const outcome = told.get(test.key)
      const value = outcome?.is === 'value' ? outcome.value : undefined
      const band = outcome ? bandOf(test.kind, outcome) : undefined
      return [
        test.key,
        {
          key: test.key,
          low: 0,
          limit: undefined,
          ...(value === undefined ? {} : { value }),
          ...band,
          ...particulars(test, rig, design, circuits.get(test.circuit ?? ''), value),
        },
      ]
    }),
  )
}

type Particulars = Partial<ScheduleExpected> & Pick<ScheduleExpected, 'source' | 'working' | 'reasons'>
const CONDUCTORS: readonly BandReason[] = ['ohmmeter', 'length', 'air']

function particulars(
  { kind, isAsked }: ScheduleTest,
  rig: Rig,
  design: InstallationDesign,
  circuit: CircuitDesign | undefined,
  value: number | undefined,
): Particulars {
  switch (kind) {
    case 'bonding':
      return {
        source: SOURCES.bonding,
        working: 'length and area of the bonding conductor; the joints add about 0.05 Ω at most',
        reasons: CONDUCTORS,
      }
    case 'r1':
    case 'rn':
    case 'r2':
      return {
        source: SOURCES.ringContinuity,
        working: 'end to end: the whole length of the ring',
        reasons: CONDUCTORS,
      }
    case 'r2Long':
      return {
        source: SOURCES.continuity,
        working: 'the protective conductor alone, from its end at the board to this point',
        reasons: CONDUCTORS,
      }
    case 'r1r2': {
      const limit = circuit && isAsked ? zsLimit(circuit) : undefined
      return {
        source: SOURCES.continuity,
        reasons: CONDUCTORS,
        working:
          limit === undefined
            ? 'from the board to this point'
            : 'from the board to the far point; limit = Zs limit − Ze',
        // Continuity has no limit of its own: what the loop leaves after Ze is the useful one.
        limit:
          limit === undefined
            ? undefined
            : { kind: 'maximum', value: Math.max(0, limit - circuit!.task.supply.zeOhm) },
      }
    }
    case 'irLL':
    case 'irLN':
    case 'irLE':
    case 'irNE':
      return {
        value: undefined,
        low: GOOD_INSULATION_OHM,
        high: undefined,
        limit: { kind: 'minimum', value: MINIMUM_INSULATION_OHM },
        source: SOURCES.insulation,
        working: '500 V DC; new work reads near the end of the range',
        reasons: ['newWork'],
      }
    case 'polarity':
      return { source: SOURCES.polarity, working: 'a tick, never a number', reasons: [] }
    case 'ze':
      return {
        source: SOURCES.externalImpedance,
        working: 'as given for this bay',
        reasons: ['loopTester', 'supply'],
      }
    case 'pfc': {
      const capacity = Math.min(...design.circuits.flatMap(({ values }) => values.breaking ?? []))
      return {
        source: SOURCES.breakingCapacity,
        working:
          value === undefined
            ? ''
            : `U0 over the loop at the origin, the larger of L–N and L–E${threePhase(rig) ? ', times two for three phases' : ''}; limit: the least capacity of the devices`,
        limit: Number.isFinite(capacity) ? { kind: 'maximum', value: capacity } : undefined,
        reasons: ['loopTester', 'supply'],
      }
    }
    case 'zs': {
      const limit = circuit && zsLimit(circuit)
      return {
        source: SOURCES.measuredLoop,
        working: 'Ze + (R1 + R2), conductors cold',
        limit: limit === undefined ? undefined : { kind: 'maximum', value: limit },
        reasons: ['loopTester', 'length', 'air', 'supply'],
      }
    }
    case 'rcd': {
      const isDelayed = residualBefore(rig, circuit?.scope ?? null)?.residual?.isDelayed ?? false
      const [low, high] = isDelayed ? [DELAYED_S.least, DELAYED_S.most] : [FASTEST_TRIP_S, MAXIMUM_TRIP_S]
      return {
        value: undefined,
        low,
        high,
        limit: { kind: 'maximum', value: high },
        source: SOURCES.residualTime,
        working: `${isDelayed ? 'delayed' : 'general'} type at IΔn, worst of both half-cycles`,
        reasons: ['standard'],
      }
    }
    case 'rcdHalf':
      return {
        value: undefined,
        low: NO_TRIP_S,
        high: undefined,
        limit: { kind: 'minimum', value: NO_TRIP_S },
        source: SOURCES.residualTime,
        working: 'must not trip at half of IΔn',
        reasons: ['standard'],
      }
    case 'rcdFive':
      return {
        value: undefined,
        low: FASTEST_TRIP_S,
        high: FIVE_TIMES_S,
        limit: { kind: 'maximum', value: FIVE_TIMES_S },
        source: SOURCES.residualTime,
        working: 'at five times IΔn, worst of both half-cycles',
        reasons: ['standard'],
      }
    case 'drop':
      return {
        source: SOURCES.voltDropLimit,
        working: 'the bay’s own loads running, conductors cold',
        reasons: ['length', 'air'],
      }
    case 'clamp':
      return { source: SOURCES.designCurrent, working: 'the bay’s own loads running', reasons: ['supply'] }
    default:
      return { source: SOURCES.functional, working: 'a tick', reasons: [] }
  }
}

const zsLimit = ({ task, values }: CircuitDesign): number | undefined =>
  values.in === undefined || values.csa === undefined
    ? undefined
    : measuredZsLimitOhm(task, { ratingA: values.in, residualA: values.residual ?? 0, areaMm2: values.csa })

const threePhase = (rig: Rig): boolean =>
  rig.parts.some((part) => part.kind === 'supply' && part.phases === 3)
