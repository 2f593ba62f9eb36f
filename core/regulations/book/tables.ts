import { SOURCES } from '../source'
import { cableTables, cpcTables } from './cable-tables'
import { diversityTables, faultTables } from './demand-and-fault-tables'
import { drawnInTables } from './drawn-in-tables'
import { parameterTables } from './rule-tables'
import type { FuseFamily } from '../fuses'
import type { BookTable } from './table'
import { BREAKER_COLUMNS, BREAKER_ROWS, type BookValues } from './values'

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
]

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
const BY_ID = new Map(BOOK_TABLES.map((table) => [table.id, table]))
export const bookTable = (id: string): BookTable | undefined => BY_ID.get(id)
