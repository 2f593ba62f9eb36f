import type { ConductorPair } from './conductors'
import { SOURCES, type Source } from './source'

export type CableKind = 'flat-twin-earth' | 'singles-in-conduit'
export type Method = 'A' | 'B' | 'C' | '100' | '101' | '102' | '103'

/** One cable kind: what it is made in, what it carries by method, what it drops. */
export interface Cable {
  readonly kind: CableKind
  /** Methods with a rating column, the usual one first. */
  readonly methods: readonly Method[]
  readonly pairs: readonly ConductorPair[]
  /** Tabulated rating It, A, by method, in the order of `pairs`. Two loaded conductors, single phase. */
  readonly ratingsA: Partial<Record<Method, readonly number[]>>
  /** V/A/m at 70 °C, single phase, in the order of `pairs`. */
  readonly voltDropVPerAm: readonly number[]
  readonly ratingSource: Source
  readonly voltDropSource: Source
}

const AREAS = [1, 1.5, 2.5, 4, 6, 10, 16]
// The resistive part rules up to 16 mm², so both tables give the same column.
const VOLT_DROP = [44e-3, 29e-3, 18e-3, 11e-3, 7.3e-3, 4.4e-3, 2.8e-3]
const FLAT_CPC = [1, 1, 1.5, 1.5, 2.5, 4, 6]

export const CABLES: Readonly<Record<CableKind, Cable>> = {
  'flat-twin-earth': {
    kind: 'flat-twin-earth',
    methods: ['C', 'A', '100', '101', '102', '103'],
    pairs: AREAS.map((lineMm2, i) => ({ lineMm2, cpcMm2: FLAT_CPC[i]! })),
    ratingsA: {
      A: [11.5, 14.5, 20, 26, 32, 44, 57],
      C: [16, 20, 27, 37, 47, 64, 85],
      100: [13, 16, 21, 27, 34, 45, 57],
      101: [10.5, 13, 17, 22, 27, 36, 46],
      102: [13, 16, 21, 27, 35, 47, 63],
      103: [8, 10, 13.5, 17.5, 23.5, 32, 42.5],
    },
    voltDropVPerAm: VOLT_DROP,
    ratingSource: SOURCES.flatCableRatings,
    voltDropSource: SOURCES.flatCableVoltDrop,
  },
  'singles-in-conduit': {
    kind: 'singles-in-conduit',
    methods: ['B', 'A'],
    pairs: AREAS.map((area) => ({ lineMm2: area, cpcMm2: area })),
    ratingsA: {
      A: [11, 14.5, 20, 26, 34, 46, 61],
      B: [13.5, 17.5, 24, 32, 41, 57, 76],
    },
    voltDropVPerAm: VOLT_DROP,
    ratingSource: SOURCES.conduitRatings,
    voltDropSource: SOURCES.conduitVoltDrop,
  },
}

/** Methods for which the cable has a rating column, the usual one first. */
export const methodsOf = (kind: CableKind): readonly Method[] => CABLES[kind].methods

/** One size of a cable with everything the chain reads from its row. */
export interface CableSize extends ConductorPair {
  readonly ratingA: number
  readonly voltDropVPerAm: number
}

const ROWS = new Map<string, readonly CableSize[]>()
for (const cable of Object.values(CABLES)) {
  for (const [method, ratings] of Object.entries(cable.ratingsA)) {
    const rows = ratings.map((ratingA, i) => ({ ...cable.pairs[i]!, ratingA, voltDropVPerAm: cable.voltDropVPerAm[i]! }))
    ROWS.set(`${cable.kind}/${method}`, rows)
  }
}

/** The rows of a cable for one method, smallest first; empty when the method has no column. */
export function sizesOf(kind: CableKind, method: Method): readonly CableSize[] {
  return ROWS.get(`${kind}/${method}`) ?? []
}

/** The row whose line conductor has this area, if the cable is made in it. */
export function sizeOf(kind: CableKind, method: Method, lineMm2: number): CableSize | undefined {
  return sizesOf(kind, method).find((size) => size.lineMm2 === lineMm2)
}
