/* What the server hands to its screens. Types alone: the values are made in server/services. */
import type { GroupShown } from './group-shown'
import type { Stage } from '#core/exercise/attempt/stages'
import type { Exercise } from '#core/exercise/exercise'
import type { TrustPolicy } from '#core/policies/trust'
import type { NodeKey } from '#core/design/model/step-keys'
import type { PublicInstallation, Sheet } from '#core/exercise/assignment'
import type { Policy } from '#core/policies/policy'
import type { Circuit } from '#core/installation/installation'
import type { Materials } from '#core/design/materials/needs'
import type { Drum } from '#core/design/materials/drums'
import type { ScopeNames } from '#words/findings/findings'
import type { Answers } from '#core/assessment/marking/answer'
import type { Framework } from '#core/assessment/outcomes/framework'
import type { CableKind } from '#core/regulations/cables/cable'
import type { Finding } from '#core/findings/finding'
import type { Gate } from '#core/testing/judge/gate'
import type { ReadingMark } from '#core/testing/judge/judge'
import type { ReadingKey } from '#core/testing/kinds/kinds'
import type { Readings } from '#core/testing/readings'
import type { Role } from '#core/exercise/roster'
import type { IsolationPolicy } from '#core/policies/isolation'
import type { BoardView } from './schedule-views'
import type { LockView } from './isolation-views'
import type { Decision, StageEvent } from './marking-views'

export interface PersonView {
  readonly id: number
  readonly number: string
  readonly name: string
  readonly role: Role
  readonly cohort: string
  readonly mustChange: boolean
  /** Left or barred: nobody can sign in as them. */
  readonly isDisabled: boolean
  /** Groups that somebody of the staff works with; null or left out where it is everybody. */
  readonly groups?: readonly string[] | null
}

export interface SessionView {
  readonly person: PersonView | null
  readonly needsSetUp: boolean
  /** The college has a sign-in of its own. */
  readonly isCollegeOffered: boolean
  /** Nobody has touched the page for long: it asks who sits here before it goes on. */
  readonly isLocked: boolean
  /** Minutes without a touch until then; 0 never. */
  readonly lockMinutes: number
  /** The last change that had been told when this was answered: what is asked after it holds that change. */
  readonly news: number
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
  /** The boxes of the design in the order in which they are worked. */
  readonly asked: readonly NodeKey[]
  readonly answers: Answers
  readonly readings: Readings
  readonly readingKeys: readonly ReadingKey[]
  /** What may be read of a single circuit beside what is asked. */
  readonly moreKeys: readonly ReadingKey[]
  readonly rcdMA: number | null
  readonly events: readonly StageEvent[]
  /** Where the whole board is tested: its schedule. */
  readonly board: BoardView | null
  readonly decision?: Decision
}

export interface FloorPatch {
  readonly id: number
  readonly personId: number
  readonly number: string
  readonly name: string
  readonly cohort: string
  readonly bay: number
  readonly stage: Stage
  /** Of the sheet and its inspection: what was looked at is looked at again when either has changed. */
  readonly version: string
  readonly exerciseId: number
  readonly answered: number
  readonly steps: number
  readonly lastAct: Omit<StageEvent, 'note'> | null
  readonly savedAt: string | null
  /** While it is live: until when the permission holds. */
  readonly liveUntil: string | null
}

/** What an assessor looks at before they permit or refuse. */
export interface EnergiseRequestView {
  readonly gate: Gate
  readonly marks: readonly ReadingMark[]
  readonly board: BoardRequestView | null
  /** The hash of these. */
  readonly seen: string
}

/** What an assessor looks at first before a whole board is energised. */
export interface BoardRequestView {
  /** Preconditions that are ticked, of how many. */
  readonly checked: number
  readonly ofChecks: number
  readonly instrument: string
  /** Null where nobody has inspected. */
  readonly inspection: {
    readonly looked: number
    readonly of: number
    readonly open: number
    readonly isSafeToTest: boolean
  } | null
  /** What stands out, the most serious first. */
  readonly findings: readonly Finding[]
}

/** What is said of an exercise on the floor. */
export interface FloorExercise {
  readonly id: number
  readonly code: string
  readonly title: string
  /** The circuit that is wired, or what else there is to do. */
  readonly circuitName: string
}

export interface FloorView {
  readonly now: string
  readonly exercises: readonly FloorExercise[]
  readonly patches: readonly FloorPatch[]
  readonly locks: readonly LockView[]
}

export interface TaskSheets extends GroupShown {
  readonly sheets: readonly TaskSheet[]
}

/** What stands in the store's list: exercises that are in hand, and by whom. */
export interface StoresItem {
  readonly id: number
  readonly code: string
  readonly title: string
  readonly groups: readonly { readonly cohort: string; readonly people: number }[]
}

export interface StoresExercise extends GroupShown {
  readonly id: number
  readonly code: string
  readonly title: string
  readonly bays: readonly {
    readonly bay: number
    readonly name: string
    readonly isDone: boolean
    readonly scopes: ScopeNames
    readonly materials: Materials
  }[]
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
  /** Length of the drums to buy, where the store has not enough. */
  readonly drumM: number
  /** Those of the store by their label first. */
  readonly drums: readonly (Drum & { readonly label?: string })[]
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
  /** The hash of these, sent with every choice. */
  readonly seen: string
  readonly trust: TrustPolicy
  readonly changes: readonly PolicyChange[]
  readonly framework: Framework | null
}
