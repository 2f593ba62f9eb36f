import { FAULT_LEVELS_A } from '../let-through'
import { SOURCES } from '../source'
import type { BookTable, Column } from './table'
import { DIVERSITY_COLUMNS, DIVERSITY_PLACES, letThroughColumn, type DiversityValues } from './values'

/** Diversity, by kind of premises. */
export const diversityTables: readonly BookTable[] = DIVERSITY_PLACES.map((place) => ({
  id: `diversity-${place}`,
  source: SOURCES.diversity,
  columns: place === 'home' ? DIVERSITY_COLUMNS : DIVERSITY_COLUMNS.slice(0, 3),
  read: ({ diversity }, column) => diversity[place][column as keyof DiversityValues] as Column,
  scale: 1,
  range: [1, 100],
  trend: 'any',
  grows: false,
}))

/** What a fault lets through, and what a cpc stands. */
export const faultTables: readonly BookTable[] = [
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
