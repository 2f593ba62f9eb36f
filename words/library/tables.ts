import { CABLE_TABLES } from './cable-tables'
import type { LibraryTable } from './entry'
import { FACTOR_TABLES } from './factor-tables'
import { LOOP_TABLES } from './loop-tables'
import { OTHER_TABLES } from './other-tables'

/** Every table that a design reads, made from the data that it reads. */
export const TABLES: readonly LibraryTable[] = [
  ...LOOP_TABLES,
  ...FACTOR_TABLES,
  ...CABLE_TABLES,
  ...OTHER_TABLES,
]
