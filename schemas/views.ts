/* What the server hands to its screens. Types alone: the values are made in server/services. */
import type { Stage } from '#core/attempt/stages'
import type { Exercise } from '#core/exercise/exercise'
import type { PublicInstallation, Sheet } from '#core/exercise/assignment'
import type { Policy } from '#core/exercise/exercise'
import type { Circuit, Installation } from '#core/installation/installation'
import type { Materials } from '#core/materials/materials'
import type { Drum } from '#core/materials/drums'
import type { ScopeNames } from '#core/texts/findings'
import type { StepKey } from '#core/design/step-keys'
import type { Verdict } from '#core/marking/mark-design'
import type { Answers } from '#core/marking/answer'
import type { Marked, Override, Proposal } from '#core/marking/proposal'
import type { Coverage } from '#core/outcomes/coverage'
import type { Criterion, Framework, Unit } from '#core/outcomes/framework'
import type { CableKind } from '#core/regulations/cables/cable'
import type { Gate, ReadingMark } from '#core/results/judge'
import type { ReadingKey, Readings } from '#core/results/readings'
import type { Role } from '#core/roster/roster'

export interface PersonView {
  readonly id: number
  readonly number: string
  readonly name: string
  readonly role: Role
  readonly cohort: string
  readonly mustChange: boolean
}

export interface SessionView {
  readonly person: PersonView | null
  readonly needsSetUp: boolean
}

/** A first password, shown once for the slip of paper. */
export interface SignInSlip {
  readonly number: string
  readonly name: string
  readonly cohort: string
  readonly password: string
}

export interface StoredExercise {
  readonly id: number
  readonly state: 'draft' | 'set'
  readonly version: number
  readonly updatedBy: string
  readonly updatedAt: string
  readonly exercise: Exercise
}

export interface ExerciseListItem extends Omit<StoredExercise, 'exercise'> {
  readonly code: string
  readonly title: string
  readonly kind: Exercise['kind']
  readonly edition: Exercise['edition']
  readonly circuits: readonly Circuit[]
  readonly attempts: number
}

export interface TaskSheet {
  readonly number: string
  readonly name: string
  readonly bay: number
  readonly installation: PublicInstallation
}

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

export interface WorkListItem {
  readonly id: number
  readonly code: string
  readonly title: string
  readonly bay: number
  readonly stage: Stage
  readonly savedAt: string | null
  readonly answered: number
  readonly steps: number
  readonly library: Policy['library']
}

/** What an apprentice's browser may hold; `decision` only once it has been released. */
export interface WorkView {
  readonly id: number
  readonly bay: number
  readonly name: string
  readonly stage: Stage
  readonly version: number
  readonly savedAt: string | null
  readonly exercise: Pick<Exercise, 'code' | 'title' | 'scenario' | 'kind' | 'minutes' | 'tests'>
  readonly sheet: Sheet
  readonly answers: Answers
  readonly readings: Readings
  readonly readingKeys: readonly ReadingKey[]
  readonly ratedResidualMA: number | null
  readonly events: readonly StageEvent[]
  readonly decision?: Decision
}

export interface FloorPatch {
  readonly id: number
  readonly number: string
  readonly name: string
  readonly cohort: string
  readonly bay: number
  readonly stage: Stage
  readonly code: string
  readonly title: string
  readonly circuitName: string
  readonly answered: number
  readonly steps: number
  readonly lastAct: StageEvent | null
  readonly savedAt: string | null
  /** Only while permission is asked for. */
  readonly request?: { readonly gate: Gate; readonly marks: readonly ReadingMark[] }
}

export interface FloorView {
  readonly now: string
  readonly patches: readonly FloorPatch[]
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
  readonly exercise: { readonly id: number; readonly code: string; readonly title: string; readonly tests: string | null; readonly edition: Exercise['edition'] }
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
}

export interface OwnRecordUnit {
  readonly code: string
  readonly title: string
  readonly coverage: readonly Coverage[]
}

export interface GroupRecord {
  readonly units: readonly Unit[]
  readonly people: readonly { readonly id: number; readonly number: string; readonly name: string; readonly coverage: readonly Coverage[] }[]
}

export interface StoresExercise {
  readonly id: number
  readonly code: string
  readonly title: string
  readonly bays: readonly { readonly bay: number; readonly name: string; readonly isDone: boolean; readonly scopes: ScopeNames; readonly materials: Materials }[]
  readonly cables: readonly StoresCable[]
  readonly tools: readonly string[]
  readonly protection: readonly string[]
}

/** All pieces of one cable for the session, and the drums they are cut from. */
export interface StoresCable {
  readonly kind: CableKind
  readonly phases: 1 | 3
  readonly lineMm2: number
  readonly cpcMm2: number
  readonly totalM: number
  readonly drumM: number
  readonly drums: readonly Drum[]
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
  readonly verdicts: Readonly<Record<Verdict, number>>
  /** Their values over the worked ones, for calculated steps: 1 is right. */
  readonly ratios: readonly { readonly name: string; readonly attempt: number; readonly ratio: number; readonly verdict: Verdict }[]
  readonly slips: readonly { readonly sentence: string; readonly count: number }[]
}

export interface GroupMarks {
  readonly exercise: { readonly id: number; readonly code: string; readonly title: string }
  readonly sheets: number
  readonly steps: readonly GroupStep[]
}

export interface PolicyChange {
  readonly key: string
  readonly value: string
  readonly by: string
  readonly at: string
}

export interface CentreView {
  readonly policies: Policy
  readonly changes: readonly PolicyChange[]
  readonly framework: Framework | null
}

