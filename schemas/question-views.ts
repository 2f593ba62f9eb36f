import type { GroupShown } from './group-shown'
import type { DrawingCode } from '#core/questions/drawings'
import type { Rating } from '#core/questions/judge'
import type { ItemStatistics } from '#core/questions/statistics'
import type { Offered } from '#core/questions/choose'
import type { AskedOutcome } from '#core/questions/outcome'
import type { Picture, Question, QuestionKind } from '#core/questions/question'
import type { QuestionPolicy } from '#core/policies/questions'
import type { Change } from '#core/statistics/proportions'
import type { Moment, Topic } from '#core/questions/topics'
import type { Stage } from '#core/exercise/attempt/stages'

/** Somebody at a bay who may be asked. */
export interface AskHead {
  readonly id: number
  readonly name: string
  readonly bay: number
  readonly cohort: string
  readonly code: string
  readonly title: string
  readonly stage: Stage
  /** Questions answered at this job. */
  readonly asked: number
  readonly moment: Moment
  /** What to ask first, in the list of all; empty elsewhere. */
  readonly next: string
}

/** A round at a bay: what to ask now at each moment, and what has been asked at this job. */
/** Who of one group is at work. */
export interface AskList extends GroupShown {
  readonly heads: readonly AskHead[]
}
export interface RoundView {
  readonly attempt: AskHead
  readonly offered: Readonly<Record<Moment, readonly Offered[]>>
  /** Others of the same exercise, by bay. */
  readonly others: readonly AskHead[]
  readonly policy: QuestionPolicy
  /** `ask.<token>`: what was asked; `undo.<token>`: that it was taken back. */
  readonly fields: Readonly<Record<string, string>>
  readonly version: number
  readonly savedAt: string | null
}

/** A question in a rehearsal: everything but the answer. */
export interface RehearsalQuestion {
  readonly code: string
  readonly kind: QuestionKind
  readonly text: string
  readonly plain: string
  readonly topic: Topic
  readonly level: number
  readonly prompts: number
  /** Options, or items in another order. */
  readonly choices: readonly string[]
  /** Of a number: nothing of the value. */
  readonly drawing: DrawingCode | null
  readonly picture: Picture | null
}
export interface RehearsalView {
  readonly due: number
  readonly known: number
  readonly new: number
  readonly question: RehearsalQuestion | null
  readonly topics: readonly { readonly topic: Topic; readonly questions: number; readonly due: number }[]
}
export interface RehearsalAnswer {
  readonly is: Rating
  readonly why: string
  readonly model: string
  readonly also: readonly string[]
  readonly source: string
  /** ISO 8601 UTC; null before it is rated. */
  readonly dueAt: string | null
}

export interface BankItem {
  readonly question: Question
  /** Null for one that came with the product. */
  readonly version: number | null
  readonly isRetired: boolean
}
export interface BankView {
  readonly items: readonly BankItem[]
  readonly policy: QuestionPolicy
  /** Criteria of the framework that a question may be for. */
  readonly criteria: readonly { readonly code: string; readonly text: string }[]
  readonly seen: string
}
export interface QuestionsOfGroup {
  readonly cohort: string
  readonly items: readonly (ItemStatistics & {
    readonly text: string
    readonly topic: Topic
    readonly counts: Readonly<Record<AskedOutcome, number>>
  })[]
  /** By topic and month, the share answered unaided. */
  readonly months: readonly {
    readonly topic: Topic
    readonly month: string
    readonly answers: number
    readonly unaided: number
  }[]
  /** Where a day of teaching was asked about: the share answered unaided before and since, by topic. */
  readonly changes: readonly { readonly topic: Topic; readonly change: Change }[]
}

/** What was asked, as a record shows it. */
export interface AskedView {
  readonly token: string
  readonly wording: string
  readonly topic: string
  readonly outcome: AskedOutcome
  readonly prompt: string
  readonly remark: string
  readonly by: string
  readonly askedAt: string
  readonly isUndone: boolean
}
export interface ImportReport {
  readonly added: number
  readonly replaced: number
  /** In words, one for each that was left. */
  readonly left: readonly string[]
}
