import type { GroupShown } from './group-shown'
import type { AskedView } from './question-views'
/* Marking, decisions and the record, between server and screens. */
import type { Stage } from '#core/exercise/attempt/stages'
import type { Exercise } from '#core/exercise/exercise'
import type { Installation } from '#core/installation/installation'
import type { ScopeNames } from '#words/findings/findings'
import type { StepKey } from '#core/design/model/step-keys'
import type { StepVerdict } from '#core/assessment/marking/mark-step'
import type { Marked, Override, Proposal } from '#core/assessment/marking/proposal'
import type { Shown } from '#core/assessment/outcomes/shows'
import type { GroupGapRow } from './evidence-views'
import type { Criterion, Unit } from '#core/assessment/outcomes/framework'

export interface StageEvent {
  readonly act: string
  readonly by: string
  readonly at: string
  readonly note: string
}

export interface MarkingDraft {
  readonly overrides: readonly Override[]
  /** Null while the assembled feedback stands as it is. */
  readonly feedback: string | null
  readonly version: number
}

/** What a decision rests on, as it stood when it was made. */
export interface DecisionEvidence {
  readonly marked: Marked
  readonly overrides: readonly Override[]
  readonly proposal: Proposal
  /** What the work was made of; left out in decisions from before it was kept. */
  readonly shown?: Shown
}

export interface Decision {
  readonly id: number
  readonly by: string
  readonly at: string
  readonly met: boolean
  readonly mark: number
  readonly outOf: number
  readonly feedback: string
  readonly evidence: DecisionEvidence
}

export interface MarkingListItem {
  readonly id: number
  readonly name: string
  readonly cohort: string
  readonly bay: number
  readonly stage: Stage
  readonly exerciseId: number
  readonly code: string
  readonly title: string
  readonly mark: number
  readonly outOf: number
  readonly critical: number
  readonly met: boolean
  readonly handedInAt: string | null
}

export interface MarkingView {
  readonly attempt: {
    readonly id: number
    readonly name: string
    readonly number: string
    readonly cohort: string
    readonly bay: number
    readonly stage: Stage
    readonly variantIndex: number
    readonly installation: Installation
  }
  readonly exercise: {
    readonly id: number
    readonly code: string
    readonly title: string
    readonly tests: string | null
    readonly edition: Exercise['edition']
  }
  /** Names of the circuits and boards that are asked for. */
  readonly scopes: ScopeNames
  readonly comments: readonly Comment[]
  /** The sheets before and after this one on the pile. */
  readonly previous: number | null
  readonly next: number | null
  readonly events: readonly StageEvent[]
  readonly criteria: readonly Criterion[]
  readonly marked: Marked
  readonly proposal: Proposal
  readonly draft: MarkingDraft
  readonly decision?: Decision
  readonly suggestedFeedback: string
  /** Questions at the bay of this job. */
  readonly asked: readonly AskedView[]
  /** The hash of what would be signed. */
  readonly seen: string
}

/** A group laid over the framework: what everybody has shown, and what is missing. */
export interface GroupRecord {
  readonly units: readonly Unit[]
  readonly people: readonly GroupGapRow[]
}

/** A sentence that assessors have used in feedback, and how often. */
export interface Comment {
  readonly id: number
  readonly text: string
  /** The step it was first written about, where there was one. */
  readonly step: StepKey | null
  readonly uses: number
}

/** One step over a whole group. */
export interface GroupStep {
  readonly node: string
  readonly step: StepKey
  readonly scopeName: string
  readonly verdicts: Readonly<Record<StepVerdict, number>>
  /** Their values over the worked ones, for calculated steps: 1 is right. */
  readonly ratios: readonly {
    readonly name: string
    readonly attempt: number
    readonly ratio: number
    readonly verdict: StepVerdict
  }[]
  readonly slips: readonly { readonly sentence: string; readonly count: number }[]
}

export interface GroupMarks extends GroupShown {
  readonly exercise: { readonly id: number; readonly code: string; readonly title: string }
  readonly sheets: number
  readonly steps: readonly GroupStep[]
}
