import type { StepDifference } from '#core/design/compare-designs'
import type { BookChange, Cell } from '#core/regulations/book/change'
import type { BookEntry } from '#core/regulations/book/check'
import type { Edition } from '#core/regulations/editions'

/** A value that the centre wrote down, with who did. */
export interface BookValue extends BookEntry {
  readonly id: number
  readonly enteredById: number
  readonly enteredBy: string
  readonly enteredAt: string
  readonly checkedBy: string | null
  readonly checkedAt: string | null
}

/** A shipped value that somebody found to be the same in the book. */
export interface BookAgreed extends Cell {
  readonly value: number
  readonly by: string
  readonly at: string
}

export interface BookListHead {
  readonly id: number
  readonly edition: Edition
  readonly hash: string
  readonly by: string
  readonly at: string
  readonly values: number
}

/** What holds today, for whoever designs or looks something up. */
export interface BookInForce {
  readonly changes: readonly BookChange[]
}

/** How far a value has come that was to be held against the book. */
export type WalkState = 'open' | 'same' | 'other' | 'otherUnchecked'

/** One value of the walk through the book. */
export interface WalkItem extends Cell {
  /** As it holds now; null where the centre took the row out. */
  readonly value: number | null
  readonly shipped: number | null
  readonly state: WalkState
  /** Of the value that the centre wrote down; null where the shipped one holds. */
  readonly ownId: number | null
  /** Who held it against the book, and when. */
  readonly by: string | null
  readonly at: string | null
  readonly isDoubted: boolean
  /** Codes of the exercises that look it up. */
  readonly exercises: readonly string[]
}

/** Everything about the centre's book in one edition. */
export interface BookView {
  /** What stood on the screen when it is signed. */
  readonly seen: string
  readonly edition: Edition
  readonly walk: readonly WalkItem[]
  /** What was written down for any edition, in force or to come. */
  readonly values: readonly BookValue[]
  readonly lists: readonly BookListHead[]
}

/** An exercise of which some designs come out otherwise. */
export interface ExerciseCompared {
  readonly id: number
  readonly code: string
  readonly title: string
  readonly designs: number
  readonly changed: number
  /** Of the first design that changes. */
  readonly differences: readonly StepDifference[]
}

export interface BooksCompared {
  readonly designs: number
  readonly changed: number
  readonly exercises: readonly ExerciseCompared[]
}
