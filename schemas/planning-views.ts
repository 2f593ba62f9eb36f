/* Sessions, dates and stores, between server and screens. */
import type { Away, CableNeed, DueBay, DueInstrument, RepeatWhy } from '#core/planning/facts'
import type { LearntStages } from '#core/planning/learn'
import type { AgainstPlan } from '#core/planning/progress'
import type { Pair } from '#core/planning/pairs'
import type { SessionFields } from '#core/planning/read-session'

export interface SessionItem {
  readonly id: number
  readonly title: string
  readonly day: string
  readonly from: string
  readonly cohort: string
  readonly tasks: number
  readonly planned: number
}

export interface PlannedExercise {
  readonly id: number
  readonly code: string
  readonly title: string
  readonly minutes: number
  readonly learnt: LearntStages
}

/** What somebody has in hand and not handed in. */
export interface OpenTask {
  readonly person: number
  readonly exercise: number
  readonly repeat: RepeatWhy | null
}

export interface SessionView {
  readonly id: number
  readonly fields: SessionFields
  readonly version: number
  readonly savedAt: string | null
  readonly people: readonly { readonly id: number; readonly name: string }[]
  readonly staff: readonly { readonly id: number; readonly name: string }[]
  readonly exercises: readonly PlannedExercise[]
  readonly instruments: readonly DueInstrument[]
  readonly bays: readonly DueBay[]
  /** Bays that the centre knows of. */
  readonly knownBays: readonly number[]
  readonly away: readonly Away[]
  readonly needs: readonly CableNeed[]
  readonly stock: Readonly<Record<string, number>>
  /** What everybody of the group has in hand and not handed in, or has to do again. */
  readonly open: readonly OpenTask[]
  /** Who worked together in the last session of the group. */
  readonly lastPairs: readonly Pair[]
}

/** A session that goes on now. */
export interface SessionNow {
  readonly id: number
  readonly title: string
  readonly from: string
  /** Minute of the session. */
  readonly minute: number
  readonly minutes: number
  readonly rows: readonly (AgainstPlan & { readonly names: string; readonly code: string })[]
  readonly free: readonly { readonly bay: number; readonly from: number; readonly to: number }[]
}

export const DATE_KINDS = [
  'bayInspection',
  'bayRcd',
  'calibration',
  'provingUnit',
  'repeat',
  'appeal',
  'permit',
  'session',
  'term',
  'closed',
  'absence',
] as const
export type DateKind = (typeof DATE_KINDS)[number]

/** Something that falls on a day. */
export interface DatedItem {
  readonly key: string
  readonly kind: DateKind
  /** YYYY-MM-DD. */
  readonly day: string
  readonly what: string
  readonly isOverdue: boolean
  readonly to: string | null
  /** An entry of the calendar that can be removed. */
  readonly entryId: number | null
}

/** One day or span read from a calendar file, to be looked at before it is kept. */
export interface ReadDay {
  readonly title: string
  readonly fromDay: string
  readonly toDay: string
}

export interface DrumView {
  readonly id: number
  readonly cable: string
  readonly label: string
  readonly leftM: number
  readonly boughtM: number
  readonly costPence: number
}
export interface StockLine {
  readonly cable: string
  readonly leftM: number
  readonly orderAtM: number
  readonly drums: readonly DrumView[]
  /** Metres that went out and did not come back, and of them waste. */
  readonly usedM: number
  readonly wasteM: number
  readonly costPence: number
}
export interface StockMoveView {
  readonly id: number
  readonly drum: string
  readonly kind: string
  readonly metres: number
  readonly note: string
  readonly by: string
  readonly at: string
  /** The session that it was for; null where none was named. */
  readonly session: string | null
  readonly sessionDay: string | null
}
export interface StockView {
  readonly lines: readonly StockLine[]
  readonly moves: readonly StockMoveView[]
}
