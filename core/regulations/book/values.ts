import type { Cable, CableKind } from '../cables/cable'
import { CABLES } from '../cables/sizes'
import { COPPER_OHM_PER_M } from '../conductors'
import { TRUNKING } from '../containment'
import { CURVES, DEVICES, type Curve } from '../devices'
import { DISTRIBUTION_S, FINAL_S, shortTimeLimitA } from '../disconnection'
import { PME_BONDING, TAILS_MM2 } from '../earthing'
import type { Edition } from '../editions'
import {
  AMBIENT_FACTOR,
  BURIED_FACTOR,
  BURIED_GROUPING_FACTOR,
  GROUND_FACTOR,
  GROUPING_FACTOR,
  INSULATION_FACTOR,
  REWIRABLE_FACTOR,
  type GroupingArrangement,
} from '../factors'
import { FUSE_LOOP_OHM, type FuseFamily } from '../fuses'
import { SOCKET_LIMIT_A } from '../rcd'
import { C_MIN, DROP_SHARE, TOUCH_LIMIT_V } from '../supply'

/** A figure in a rule, by the name under which a centre may say it otherwise. */
export const PARAMETERS = [
  'cMin',
  'touchLimitV',
  'lightingDrop',
  'otherDrop',
  'rewirable',
  'buried',
  'ringCableA',
  'ringLeastMm2',
  'lightingLeastMm2',
  'powerLeastMm2',
  'socketRcdA',
  'shortTimeSocketsA',
  'shortTimeOtherA',
  'finalTnS',
  'finalTtS',
  'distributionTnS',
  'distributionTtS',
] as const
export type Parameter = (typeof PARAMETERS)[number]

type ByNumber = Record<number, number>

/** Every value of one edition that a design reads, by table: plain data, so that a copy can be changed. SI inside. */
export interface BookValues {
  readonly parameters: Record<Parameter, number>
  readonly ambient: Record<70 | 90, ByNumber>
  readonly ground: Record<70 | 90, ByNumber>
  readonly grouping: Record<GroupingArrangement | 'buried', ByNumber>
  readonly insulation: ByNumber
  readonly copperOhmPerM: ByNumber
  readonly cables: Record<CableKind, CableValues>
  readonly fuses: Record<FuseFamily, Record<'fast' | 'slow', ByNumber>>
  /** Printed limits that differ from U0 × Cmin ÷ Ia, Ω. */
  readonly breakers: Record<Curve, ByNumber>
  readonly tails: ByNumber
  readonly bonding: ByNumber
  readonly trunking: Record<string, number>
}

/** A cable's own columns by line area; what it is made of does not change. */
export interface CableValues {
  readonly rating: Partial<Record<string, ByNumber>>
  readonly drop: Partial<Record<string, ByNumber>>
}

export const ratingColumn = (method: string, phases: number): string => `${method}/${phases}`

/** The values as they are shipped, from memory of the documents named with each. A copy of one's own each time. */
export const shippedValues = (edition: Edition): BookValues => ({
  parameters: {
    cMin: C_MIN,
    touchLimitV: TOUCH_LIMIT_V,
    lightingDrop: DROP_SHARE.lighting,
    otherDrop: DROP_SHARE.other,
    rewirable: REWIRABLE_FACTOR,
    buried: BURIED_FACTOR,
    ringCableA: 20,
    ringLeastMm2: 2.5,
    lightingLeastMm2: 1,
    powerLeastMm2: 1.5,
    socketRcdA: SOCKET_LIMIT_A[edition],
    shortTimeSocketsA: shortTimeLimitA(edition, 'sockets'),
    shortTimeOtherA: shortTimeLimitA(edition, 'fixed'),
    finalTnS: FINAL_S.TN,
    finalTtS: FINAL_S.TT,
    distributionTnS: DISTRIBUTION_S.TN,
    distributionTtS: DISTRIBUTION_S.TT,
  },
  ambient: byTemperature(AMBIENT_FACTOR),
  ground: byTemperature(GROUND_FACTOR),
  grouping: {
    bunched: byCount(GROUPING_FACTOR.bunched),
    'single-layer': byCount(GROUPING_FACTOR['single-layer']),
    buried: byCount(BURIED_GROUPING_FACTOR),
  },
  insulation: Object.fromEntries(INSULATION_FACTOR),
  copperOhmPerM: { ...COPPER_OHM_PER_M },
  cables: mapValues(CABLES, cableValues),
  fuses: mapValues(FUSE_LOOP_OHM, ({ fast, slow }) => ({ fast: { ...fast }, slow: { ...slow } })),
  breakers: { B: {}, C: {}, D: {} },
  tails: Object.fromEntries(TAILS_MM2),
  bonding: Object.fromEntries(PME_BONDING),
  trunking: Object.fromEntries(TRUNKING.map(({ size, factor }) => [size, factor])),
})

/** Ratings whose limit stands in Table 41.3, by characteristic. */
export const BREAKER_ROWS: readonly number[] = DEVICES.breaker.ratingsA
export const BREAKER_COLUMNS: readonly Curve[] = CURVES

const byTemperature = (table: typeof AMBIENT_FACTOR): Record<70 | 90, ByNumber> => ({
  70: Object.fromEntries(table[70]),
  90: Object.fromEntries(table[90]),
})

const byCount = (factors: readonly number[]): ByNumber =>
  Object.fromEntries(factors.map((factor, i) => [i + 1, factor]))

function cableValues({ lineMm2, ratingsA, voltDropVPerAm }: Cable): CableValues {
  const byArea = (values: readonly number[]): ByNumber =>
    Object.fromEntries(values.map((value, i) => [lineMm2[i]!, value]))
  return {
    rating: Object.fromEntries(
      Object.entries(ratingsA).flatMap(([method, columns]) =>
        Object.entries(columns).map(([phases, values]) => [
          ratingColumn(method, Number(phases)),
          byArea(values),
        ]),
      ),
    ),
    drop: Object.fromEntries(
      Object.entries(voltDropVPerAm).map(([phases, values]) => [phases, byArea(values)]),
    ),
  }
}

function mapValues<K extends string, A, B>(of: Readonly<Record<K, A>>, make: (value: A) => B): Record<K, B> {
  return Object.fromEntries(
    Object.entries<A>(of).map(([key, value]) => [key, make(value)]),
  ) as unknown as Record<K, B>
}
