import { CABLES } from '../cables/sizes'
import type { CableKind } from '../cables/cable'
import { CONDUITS_MM } from '../containment'
import { FAULT_LEVELS_A } from '../let-through'
import { SOURCES, type Source } from '../source'
import type { Cell } from './change'
import type { FuseFamily } from '../fuses'
import {
  BREAKER_COLUMNS,
  BREAKER_ROWS,
  CONDUIT_BENDS,
  DIVERSITY_COLUMNS,
  DIVERSITY_PLACES,
  PARAMETERS,
  letThroughColumn,
  type BookValues,
  type DiversityValues,
  type Parameter,
} from './values'

type Column = Record<number, number>

/** How the values of a column go from one row to the next, as far as every printed table of its kind does. */
export type Trend = 'rises' | 'falls' | 'any'

/** One table of the book: where its values stand in `BookValues`, and what may be written there. */
export interface BookTable {
  readonly id: string
  readonly source: Source
  readonly columns: readonly string[]
  /** The values of one column by row, in SI or as the rule counts them. */
  readonly read: (values: BookValues, column: string) => Column
  /** Printed value = value inside × scale. */
  readonly scale: number
  /** Least and most that can stand here, as printed. */
  readonly range: readonly [number, number]
  readonly trend: Trend
  /** May the book have rows that are not shipped? */
  readonly grows: boolean
  /** Rows that can be written though nothing is shipped there. */
  readonly rows?: readonly string[]
}

const FACTOR = { scale: 1, range: [0.1, 1.5] } as const

const factorTables: readonly BookTable[] = [
  {
    id: 'ca-air',
    source: SOURCES.ambientFactor,
    columns: ['70', '90'],
    read: ({ ambient }, column) => ambient[Number(column) as 70 | 90],
    ...FACTOR,
    trend: 'falls',
    grows: true,
  },
  {
    id: 'ca-ground',
    source: SOURCES.groundFactor,
    columns: ['70', '90'],
    read: ({ ground }, column) => ground[Number(column) as 70 | 90],
    ...FACTOR,
    trend: 'falls',
    grows: true,
  },
  {
    id: 'cg',
    source: SOURCES.groupingFactor,
    columns: ['bunched', 'single-layer', 'buried'],
    read: ({ grouping }, column) => grouping[column as keyof BookValues['grouping']],
    ...FACTOR,
    trend: 'falls',
    grows: true,
  },
  {
    id: 'ci',
    source: SOURCES.insulationFactor,
    columns: ['factor'],
    read: ({ insulation }) => insulation,
    ...FACTOR,
    trend: 'falls',
    grows: false,
  },
]

/** Cables whose ratings and voltage drop stand in one printed table. */
const PRINTED_WITH: Readonly<Partial<Record<CableKind, CableKind>>> = {
  'singles-in-trunking': 'singles-in-conduit',
  'fire-resistant': 'multicore',
}
/** The kind under which a cable's table is kept. */
export const printedAs = (kind: CableKind): CableKind => PRINTED_WITH[kind] ?? kind
export const PRINTED_KINDS = Object.values(CABLES)
  .map(({ kind }) => kind)
  .filter((kind) => printedAs(kind) === kind)

/** Singles and round cables are made with a cpc of the same size, so that a further row says all there is to say. */
const GROWING: readonly CableKind[] = ['singles-in-conduit', 'multicore']

const cableTables: readonly BookTable[] = PRINTED_KINDS.flatMap((kind): BookTable[] => {
  const { ratingsA, voltDropVPerAm, ratingSource, voltDropSource } = CABLES[kind]
  return [
    {
      id: `rating-${kind}`,
      source: ratingSource,
      columns: Object.entries(ratingsA).flatMap(([method, columns]) =>
        Object.keys(columns).map((phases) => `${method}/${phases}`),
      ),
      read: ({ cables }, column) => cables[kind].rating[column] ?? {},
      scale: 1,
      range: [1, 1000],
      trend: 'rises',
      grows: GROWING.includes(kind),
    },
    {
      id: `drop-${kind}`,
      source: voltDropSource,
      columns: Object.keys(voltDropVPerAm),
      read: ({ cables }, column) => cables[kind].drop[column] ?? {},
      scale: 1e3,
      range: [0.05, 100],
      trend: 'falls',
      grows: GROWING.includes(kind),
    },
  ]
})

const OHM = { scale: 1, range: [0.01, 2000] } as const

const fuseTable = (family: FuseFamily): BookTable => ({
  id: `zs-${family}`,
  source: SOURCES.fuseLoopImpedance,
  columns: ['fast', 'slow'],
  read: ({ fuses }, column) => fuses[family][column as 'fast' | 'slow'],
  ...OHM,
  trend: 'falls',
  grows: false,
})

const loopTables: readonly BookTable[] = [
  {
    id: 'zs-breakers',
    source: SOURCES.maximumLoopImpedance,
    columns: BREAKER_COLUMNS,
    read: ({ breakers }, column) => breakers[column as keyof BookValues['breakers']],
    ...OHM,
    trend: 'falls',
    grows: false,
    rows: BREAKER_ROWS.map(String),
  },
  ...(['gg', 'cartridge', 'rewirable', 'plug'] as const).map(fuseTable),
]

const otherTables: readonly BookTable[] = [
  {
    id: 'copper',
    source: SOURCES.conductorResistance,
    columns: ['r'],
    read: ({ copperOhmPerM }) => copperOhmPerM,
    scale: 1e3,
    range: [0.01, 50],
    trend: 'falls',
    grows: true,
  },
  {
    id: 'tails',
    source: SOURCES.tails,
    columns: ['tails'],
    read: ({ tails }) => tails,
    scale: 1,
    range: [6, 95],
    trend: 'rises',
    grows: true,
  },
  {
    id: 'bonding',
    source: SOURCES.bonding,
    columns: ['bonding'],
    read: ({ bonding }) => bonding,
    scale: 1,
    range: [6, 95],
    trend: 'rises',
    grows: true,
  },
  {
    id: 'trunking',
    source: SOURCES.conduitCapacity,
    columns: ['factor'],
    read: ({ trunking }) => trunking as Column,
    scale: 1,
    range: [50, 20_000],
    trend: 'rises',
    grows: false,
  },
]

/** Conductors whose areas differ from their line's, and resistances of what is not copper. */
const cpcTables: readonly BookTable[] = PRINTED_KINDS.flatMap((kind): BookTable[] => {
  const { cpc } = CABLES[kind]
  if (GROWING.includes(kind)) return []
  const columns = Object.keys(CABLES[kind].voltDropVPerAm)
  const table = { source: cpc.source, columns, trend: 'any', grows: false } as const
  const area: BookTable = {
    ...table,
    id: `cpc-area-${kind}`,
    read: ({ cables }, column) => cables[kind].cpcMm2[column] ?? {},
    scale: 1,
    range: [0.5, 500],
  }
  if (cpc.made !== 'armour') return [area]
  return [
    area,
    {
      ...table,
      id: `cpc-ohm-${kind}`,
      read: ({ cables }, column) => cables[kind].cpcOhmPerM[column] ?? {},
      scale: 1e3,
      range: [0.01, 100],
    },
  ]
})

/** Metres between draw points for which factors are printed; a straight run up to 3 m has a table of its own. */
const CONDUIT_ROWS = ['1', '1.5', '2', '2.5', '3', '3.5', '4', '4.5', '5', '6', '7', '8', '9', '10']
const TERM_FACTS = { scale: 1, range: [1, 2000] } as const

const drawnInTables: readonly BookTable[] = [
  {
    id: 'terms',
    source: SOURCES.conduitCapacity,
    columns: ['short', 'long', 'trunking'],
    read: ({ terms }, column) => terms[column as keyof BookValues['terms']],
    ...TERM_FACTS,
    trend: 'rises',
    grows: false,
  },
  {
    id: 'conduit-short',
    source: SOURCES.conduitCapacity,
    columns: ['factor'],
    read: ({ shortConduit }) => shortConduit,
    ...TERM_FACTS,
    trend: 'rises',
    grows: false,
  },
  ...CONDUIT_BENDS.map((bends): BookTable => ({
    id: `conduit-${bends}`,
    source: SOURCES.conduitCapacity,
    columns: CONDUITS_MM.map(String),
    read: ({ conduit }, column) => conduit[bends][Number(column) as (typeof CONDUITS_MM)[number]],
    ...TERM_FACTS,
    trend: 'falls',
    grows: false,
    rows: bends === 0 ? CONDUIT_ROWS.filter((metres) => Number(metres) > 3) : CONDUIT_ROWS,
  })),
]

const diversityTables: readonly BookTable[] = DIVERSITY_PLACES.map((place) => ({
  id: `diversity-${place}`,
  source: SOURCES.diversity,
  columns: place === 'home' ? DIVERSITY_COLUMNS : DIVERSITY_COLUMNS.slice(0, 3),
  read: ({ diversity }, column) => diversity[place][column as keyof DiversityValues] as Column,
  scale: 1,
  range: [1, 100],
  trend: 'any',
  grows: false,
}))

const faultTables: readonly BookTable[] = [
  {
    id: 'let-through',
    source: SOURCES.letThrough,
    columns: ['B', 'C'].flatMap((curve) => FAULT_LEVELS_A.map((faultA) => letThroughColumn(curve, faultA))),
    read: ({ letThrough }, column) => letThrough[column] ?? {},
    scale: 1,
    range: [1000, 1e6],
    trend: 'rises',
    grows: false,
  },
  {
    id: 'k',
    source: SOURCES.adiabatic,
    columns: ['k'],
    read: ({ k }) => k as Column,
    scale: 1,
    range: [20, 250],
    trend: 'any',
    grows: false,
  },
]

/** Figures of rules, one row each: where they come from, and what can stand there. */
const PARAMETER_FACTS: Readonly<
  Record<
    Parameter,
    { readonly source: Source; readonly scale?: number; readonly range: readonly [number, number] }
  >
> = {
  cMin: { source: SOURCES.maximumLoopImpedance, range: [0.8, 1] },
  touchLimitV: { source: SOURCES.residualLoopImpedance, range: [10, 120] },
  lightingDrop: { source: SOURCES.voltDropLimit, scale: 100, range: [1, 10] },
  otherDrop: { source: SOURCES.voltDropLimit, scale: 100, range: [1, 10] },
  rewirable: { source: SOURCES.deviceFactor, range: [0.5, 1] },
  buried: { source: SOURCES.deviceFactor, range: [0.5, 1] },
  ringCableA: { source: SOURCES.ringRating, range: [10, 32] },
  ringLeastMm2: { source: SOURCES.ringRating, range: [1, 6] },
  lightingLeastMm2: { source: SOURCES.minimumArea, range: [0.5, 4] },
  powerLeastMm2: { source: SOURCES.minimumArea, range: [0.5, 4] },
  socketRcdA: { source: SOURCES.additionalProtection, range: [0, 125] },
  shortTimeSocketsA: { source: SOURCES.disconnectionTimes, range: [16, 125] },
  shortTimeOtherA: { source: SOURCES.disconnectionTimes, range: [16, 125] },
  finalTnS: { source: SOURCES.disconnectionTimes, range: [0.01, 5] },
  finalTtS: { source: SOURCES.disconnectionTimes, range: [0.01, 5] },
  distributionTnS: { source: SOURCES.disconnectionTimes, range: [0.01, 10] },
  distributionTtS: { source: SOURCES.disconnectionTimes, range: [0.01, 10] },
  cookerSocketA: { source: SOURCES.diversity, range: [1, 32] },
  dischargeFactor: { source: SOURCES.diversity, range: [1, 3] },
}

/** Each figure of a rule is a table with one cell: its own unit, range and clause. */
const parameterTables: readonly BookTable[] = PARAMETERS.map((name) => ({
  id: `rule-${name}`,
  source: PARAMETER_FACTS[name].source,
  columns: ['value'],
  read: ({ parameters }) => oneRow(parameters, name),
  scale: PARAMETER_FACTS[name].scale ?? 1,
  range: PARAMETER_FACTS[name].range,
  trend: 'any',
  grows: false,
}))

/** The one cell of a rule, as a column whose only row is `0`. */
const oneRow = (parameters: Record<Parameter, number>, name: Parameter): Column => ({
  get 0() {
    return parameters[name]
  },
  set 0(value: number) {
    parameters[name] = value
  },
})

/** Every table that a centre can hold against its own book, in the order in which the book has them. */
export const BOOK_TABLES: readonly BookTable[] = [
  ...parameterTables,
  ...loopTables,
  ...factorTables,
  ...cableTables,
  ...otherTables,
  ...cpcTables,
  ...faultTables,
  ...drawnInTables,
  ...diversityTables,
]
/** Where the figure of a rule stands. */
export const ruleCell = (name: Parameter): Cell => ({ table: `rule-${name}`, row: '0', column: 'value' })

const BY_ID = new Map(BOOK_TABLES.map((table) => [table.id, table]))
export const bookTable = (id: string): BookTable | undefined => BY_ID.get(id)
