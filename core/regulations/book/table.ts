import type { Source } from '../source'
import type { BookValues } from './values'

/** The values of one column by row. */
export type Column = Record<number, number>

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
