import type { Edition } from '../editions'

/** Where a value stands: a table of the book, its row and its column, by their keys. */
export interface Cell {
  readonly table: string
  readonly row: string
  readonly column: string
}

/** A value that a centre reads otherwise in its own copy of the regulations than it is shipped here. */
export interface BookChange extends Cell {
  readonly edition: Edition
  /** In the unit in which the table prints it; null takes the row out of the table. */
  readonly value: number | null
  /** Where a rule stands in the centre's copy; of entries in the list of clauses alone. */
  readonly clause?: string
  /** Where it was read: document, table and page, as the person wrote it down. */
  readonly place: string
  /** A second person has held it against the book. */
  readonly checked: boolean
}

/** The list of clauses stands beside the tables: its rows are the keys of sources, its one column their place. */
export const CLAUSES = 'clauses'
export const clauseCell = (row: string): Cell => ({ table: CLAUSES, row, column: 'place' })

export const cellKey = ({ table, row, column }: Cell): string => `${table}|${row}|${column}`
