/* What the server hands to its screens. Types alone: the values are made in server/services. */
import type { Stage } from '#core/attempt/stages'
import type { Exercise } from '#core/exercise/exercise'
import type { MeasuredZsPolicy, PublicTask, Task } from '#core/exercise/task'
import type { Answers } from '#core/marking/answer'
import type { Marked, Override, Proposal } from '#core/marking/proposal'
import type { Coverage } from '#core/outcomes/coverage'
import type { Criterion, Framework, Unit } from '#core/outcomes/framework'
import type { DeviceFamily, Curve } from '#core/regulations/breakers'
import type { CableKind } from '#core/regulations/cables'
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
  readonly task: Task
  readonly attempts: number
}

export interface TaskSheet {
  readonly number: string
  readonly name: string
  readonly bay: number
  readonly task: PublicTask
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
}

/** What an apprentice's browser may hold; `decision` only once it has been released. */
export interface WorkView {
  readonly id: number
  readonly bay: number
  readonly name: string
  readonly stage: Stage
  readonly version: number
  readonly savedAt: string | null
  readonly exercise: Pick<Exercise, 'code' | 'title' | 'scenario' | 'circuitName' | 'edition'>
  readonly task: PublicTask
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
    readonly task: Task
  }
  readonly exercise: { readonly id: number; readonly code: string; readonly title: string; readonly circuitName: string }
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
  readonly bays: readonly {
    readonly bay: number
    readonly name: string
    readonly cable: CableKind
    readonly lineMm2: number
    readonly cpcMm2: number
    readonly lengthM: number
    readonly family: DeviceFamily
    readonly curve: Curve
    readonly ratingA: number
    readonly residualMA: number | null
    readonly capacityA: number
    readonly isDone: boolean
  }[]
}

export interface Policies {
  readonly measuredZs: MeasuredZsPolicy
}

export interface PolicyChange {
  readonly key: string
  readonly value: string
  readonly by: string
  readonly at: string
}

export interface CentreView {
  readonly policies: Policies
  readonly changes: readonly PolicyChange[]
  readonly framework: Framework | null
}

