import type { Cable, CableKind } from '../cables/cable'
import { CABLES } from '../cables/sizes'
import { COPPER_OHM_PER_M } from '../conductors'
import {
  CONDUITS_MM,
  LONG_TERM,
  SHORT_FACTOR,
  SHORT_TERM,
  TRUNKING,
  TRUNKING_TERM,
  type ConduitMm,
} from '../containment'
import { CURVES, DEVICES, type Curve } from '../devices'
import { DISTRIBUTION_S, FINAL_S, shortTimeLimitA } from '../disconnection'
import {
  BUSINESS_DIVERSITY,
  DISCHARGE_FACTOR,
  GUEST_HOUSE_DIVERSITY,
  HOME_COOKER,
  HOME_DIVERSITY,
  type DiversityColumn,
} from '../diversity'
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
import { CLASS_3, FAULT_LEVELS_A } from '../let-through'
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
  'cookerSocketA',
  'dischargeFactor',
] as const
export type Parameter = (typeof PARAMETERS)[number]

type ByNumber = Record<number, number>

/** Kinds of premises that have a column of their own in the table of diversity. */
export const DIVERSITY_PLACES = ['home', 'guestHouse', 'business'] as const
export type DiversityPlace = (typeof DIVERSITY_PLACES)[number]
/** Shares, %, of the largest circuit of a use, of the second, of all others; or what counts in full, A, and the share above. */
export const DIVERSITY_COLUMNS = ['largest', 'second', 'others', 'fullA', 'above'] as const
export type DiversityValues = Record<(typeof DIVERSITY_COLUMNS)[number], Record<string, number>>

/** Bends between two draw points for which factors of conduit are printed. */
export const CONDUIT_BENDS = [0, 1, 2, 3, 4] as const
export type ConduitBends = (typeof CONDUIT_BENDS)[number]
/** Metres between them for which factors are printed; a straight run up to 3 m has a table of its own. */
export const CONDUIT_M = [1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 6, 7, 8, 9, 10] as const

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
  readonly terms: Record<'short' | 'long' | 'trunking', ByNumber>
  readonly shortConduit: ByNumber
  /** Printed factors that differ from the straight line, by bends, size and metres. */
  readonly conduit: Record<ConduitBends, Record<ConduitMm, ByNumber>>
  readonly diversity: Record<DiversityPlace, DiversityValues>
  /** Let-through energy, A²s, by curve and kA, and the rating up to which it holds. */
  readonly letThrough: Record<string, ByNumber>
  /** A·√s/mm², of the cpc of each cable. */
  readonly k: Record<string, number>
}

/** A cable's own columns by line area; what it is made of does not change. */
export interface CableValues {
  readonly rating: Partial<Record<string, ByNumber>>
  readonly drop: Partial<Record<string, ByNumber>>
  /** Of the cpc in it or around it, mm², and of one that is not of copper, Ω/m. By number of loaded conductors. */
  readonly cpcMm2: Partial<Record<string, ByNumber>>
  readonly cpcOhmPerM: Partial<Record<string, ByNumber>>
}

export const ratingColumn = (method: string, phases: number): string => `${method}/${phases}`

const shippedParameters = (edition: Edition): Record<Parameter, number> => ({
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
  cookerSocketA: HOME_COOKER.socketA,
  dischargeFactor: DISCHARGE_FACTOR,
})

/** The values as they are shipped, from memory of the documents named with each. A copy of one's own each time. */
export const shippedValues = (edition: Edition): BookValues => ({
  parameters: shippedParameters(edition),
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
  terms: { short: { ...SHORT_TERM }, long: { ...LONG_TERM }, trunking: { ...TRUNKING_TERM } },
  shortConduit: { ...SHORT_FACTOR },
  conduit: fromKeys(CONDUIT_BENDS, () => fromKeys(CONDUITS_MM, () => ({}))),
  diversity: {
    home: diversityValues(HOME_DIVERSITY),
    guestHouse: diversityValues(GUEST_HOUSE_DIVERSITY),
    business: diversityValues(BUSINESS_DIVERSITY),
  },
  letThrough: Object.fromEntries(
    Object.entries(CLASS_3).flatMap(([curve, rows]) =>
      FAULT_LEVELS_A.map((faultA) => [
        letThroughColumn(curve, faultA),
        Object.fromEntries(rows.map(([ratingA, at]) => [ratingA, at[faultA]!])),
      ]),
    ),
  ),
  k: mapValues(CABLES, ({ cpc }) => cpc.k),
})

/** Ratings whose limit stands in Table 41.3, by characteristic. */
export const BREAKER_ROWS: readonly number[] = DEVICES.breaker.ratingsA
export const BREAKER_COLUMNS: readonly Curve[] = CURVES

export const letThroughColumn = (curve: string, faultA: number): string => `${curve}/${faultA / 1e3}`

/** Shares as they are printed, in per cent. */
function diversityValues(column: DiversityColumn): DiversityValues {
  const values = fromKeys(DIVERSITY_COLUMNS, (): Record<string, number> => ({}))
  const percent = (share: number) => Math.round(share * 100)
  for (const [use, diversity] of Object.entries(column)) {
    if (diversity.by === 'excess') {
      values.fullA[use] = diversity.fullA
      values.above[use] = percent(diversity.share)
      continue
    }
    diversity.shares.forEach(
      (share, i) => (values[(['largest', 'second', 'others'] as const)[i]!][use] = percent(share)),
    )
  }
  return values
}

const byTemperature = (table: typeof AMBIENT_FACTOR): Record<70 | 90, ByNumber> => ({
  70: Object.fromEntries(table[70]),
  90: Object.fromEntries(table[90]),
})

const byCount = (factors: readonly number[]): ByNumber =>
  Object.fromEntries(factors.map((factor, i) => [i + 1, factor]))

function cableValues({ lineMm2, ratingsA, voltDropVPerAm, cpc }: Cable): CableValues {
  const byArea = (values: readonly number[]): ByNumber =>
    Object.fromEntries(values.map((value, i) => [lineMm2[i]!, value]))
  const byPhases = (columns: Cable['voltDropVPerAm']) =>
    Object.fromEntries(Object.entries(columns).map(([phases, values]) => [phases, byArea(values)]))
  return {
    rating: Object.fromEntries(
      Object.entries(ratingsA).flatMap(([method, columns]) =>
        Object.entries(columns).map(([phases, values]) => [
          ratingColumn(method, Number(phases)),
          byArea(values),
        ]),
      ),
    ),
    drop: byPhases(voltDropVPerAm),
    cpcMm2: byPhases(cpc.areaMm2),
    cpcOhmPerM: cpc.made === 'armour' ? byPhases(cpc.ohmPerM) : {},
  }
}

function mapValues<K extends string, A, B>(of: Readonly<Record<K, A>>, make: (value: A) => B): Record<K, B> {
  return Object.fromEntries(
    Object.entries<A>(of).map(([key, value]) => [key, make(value)]),
  ) as unknown as Record<K, B>
}

function fromKeys<K extends string | number, V>(keys: readonly K[], make: (key: K) => V): Record<K, V> {
  return Object.fromEntries(keys.map((key) => [key, make(key)])) as Record<K, V>
}
