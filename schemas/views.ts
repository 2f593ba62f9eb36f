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
import type { Finding } from '#core/findings/finding'
import type { Gate, ReadingMark } from '#core/results/judge'
import type { ReadingKey, Readings } from '#core/results/readings'
import type { Role } from '#core/roster/roster'
import type { IsolationPolicy } from '#core/isolation/policy'
import type { BoardView } from './schedule-views'
import type { LockView, RepeatView } from './isolation-views'
import type { Rig } from '#core/rig/rig'
import type { Route, WiringFields } from '#core/rig/wiring'
import type { Outcome, Settings } from '#core/experiments/experiment'

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
  /** Where the whole board is tested: its schedule. */
  readonly board: BoardView | null
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
  /** While it is live: until when the permission holds. */
  readonly liveUntil: string | null
  /** Only while permission is asked for. */
  readonly request?: { readonly gate: Gate; readonly marks: readonly ReadingMark[]; readonly board: BoardRequestView | null }
}

/** What an assessor looks at first before a whole board is energised. */
export interface BoardRequestView {
  /** Preconditions that are ticked, of how many. */
  readonly checked: number
  readonly ofChecks: number
  readonly instrument: string
  /** Null where nobody has inspected. */
  readonly inspection: { readonly looked: number; readonly of: number; readonly open: number; readonly isSafeToTest: boolean } | null
  /** What stands out, the most serious first. */
  readonly findings: readonly Finding[]
}

export interface FloorView {
  readonly now: string
  readonly patches: readonly FloorPatch[]
  readonly locks: readonly LockView[]
  readonly repeats: readonly RepeatView[]
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
  readonly isolation: IsolationPolicy
  readonly changes: readonly PolicyChange[]
  readonly framework: Framework | null
}


/** A bay that can be wired on the screen: `task-7` or `practice-split`. */
export interface BayListItem {
  readonly key: string
  readonly title: string
  readonly about: string
  /** Conductors made so far; null where nobody has begun. */
  readonly made: number | null
  readonly savedAt: string | null
}

export interface BayView {
  readonly key: string
  readonly title: string
  readonly about: string
  /** Mounted, with the intake connected, and nothing else. */
  readonly bare: Rig
  readonly routes: readonly Route[]
  readonly fields: WiringFields
  readonly version: number
  readonly savedAt: string | null
  /** A bay to practise on may be taken ready wired. */
  readonly canBeWired: boolean
}

/** One way in which a bay differs from what was asked for, in words. */
export interface BayDifference {
  readonly seriousness: 'critical' | 'fault' | 'note'
  readonly says: string
  readonly means: string
  /** Conductor and terminals to show. */
  readonly wire: string | null
  readonly at: readonly string[]
}

export interface BayCheck {
  /** What makes the wiring no bay at all, such as two conductors in a terminal for one. */
  readonly problems: readonly string[]
  readonly differences: readonly BayDifference[]
  /** Connections of the wiring schedule that are made, of how many. */
  readonly made: number
  readonly asked: number
}

export interface PredictionView {
  readonly id: number
  readonly experiment: string
  readonly settings: Settings
  readonly predicted: string
  readonly computed: Outcome
  readonly measured: string
  readonly at: string
}
