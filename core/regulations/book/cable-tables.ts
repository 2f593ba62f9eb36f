import type { CableKind } from '../cables/cable'
import { CABLES } from '../cables/sizes'
import type { BookTable } from './table'

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

/** Ratings and voltage drop, by cable. */
export const cableTables: readonly BookTable[] = PRINTED_KINDS.flatMap((kind): BookTable[] => {
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

/** Conductors whose areas differ from their line's, and resistances of what is not copper. */
export const cpcTables: readonly BookTable[] = PRINTED_KINDS.flatMap((kind): BookTable[] => {
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
