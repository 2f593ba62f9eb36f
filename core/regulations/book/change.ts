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
  /** Where it was read: document, table and page, as the person wrote it down. */
  readonly place: string
  /** A second person has held it against the book. */
  readonly checked: boolean
}

export const cellKey = ({ table, row, column }: Cell): string => `${table}|${row}|${column}`
