import { CONDUITS_MM } from '../containment'
import { SOURCES } from '../source'
import type { BookTable, Column } from './table'
import { CONDUIT_BENDS, CONDUIT_M, type BookValues } from './values'

const TERM_FACTS = { scale: 1, range: [1, 2000] } as const

/** Terms of cables, factors of conduit and trunking. */
export const drawnInTables: readonly BookTable[] = [
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
    rows: CONDUIT_M.filter((metres) => bends > 0 || metres > 3).map(String),
  })),
]
