import type { BookChange, Cell as BookCell } from '#core/regulations/book/change'
import type { Edition } from '#core/regulations/editions'
import type { Source } from '#core/regulations/source'

/** One value of a table, and how it comes about where there is a relation behind it. */
export interface Cell {
  readonly text: string
  /** As printed, for a search by number; absent for words and gaps. */
  readonly value?: number
  readonly derivation?: string
  /** Where it stands in the book, for a value that a centre can hold against its own; absent where it is worked out. */
  readonly at?: BookCell
  /** What the centre's book says otherwise here. */
  readonly change?: BookChange
}

export interface LibraryTable {
  readonly kind: 'table'
  readonly id: string
  readonly title: string
  readonly source: Source
  readonly unit: string
  readonly corner: string
  readonly columns: readonly string[]
  readonly rows: readonly { readonly head: string; readonly cells: readonly Cell[] }[]
  readonly note?: string
}

/** A rule that says the same or something else in each edition; null where the edition does not have it. */
export interface LibraryRule {
  readonly kind: 'rule'
  readonly id: string
  readonly title: string
  readonly place: string
  readonly byEdition: Readonly<Record<Edition, string | null>>
  readonly why: string
}

/** What earlier editions asked about one topic, oldest first. */
export interface LibraryHistory {
  readonly kind: 'history'
  readonly id: string
  readonly title: string
  readonly why: string
  readonly asked: readonly {
    /** First day on which a design had to keep it, ISO date. */
    readonly from: string
    readonly edition: string
    readonly said: string
  }[]
}

export type LibraryEntry = LibraryTable | LibraryRule | LibraryHistory
