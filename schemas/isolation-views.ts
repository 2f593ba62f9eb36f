import type { Place } from '#core/isolation/model/act'
import type { IsolationVerdict } from '#core/isolation/judge'
import type { ObservationFields } from '#core/isolation/observation'
import type { IsolationPolicy, Level } from '#core/policies/isolation'
import type { Shown } from '#core/isolation/trainer/state'
import type { Indicator } from '#core/isolation/model/act'
import type { FaceDevice } from '#core/drawing/board-face'
import type { WorkPoint, WorkPointLook } from '#core/drawing/point-of-work'
import type { Secured } from '#core/drawing/securing'

export const RUN_MODES = ['guided', 'free', 'assessment'] as const
export type RunMode = (typeof RUN_MODES)[number]

export interface ScenarioItem {
  readonly code: string
  readonly title: string
  readonly level: Level
  readonly tries: number
  readonly hasMet: boolean
}

export interface RunItem {
  readonly id: number
  readonly title: string
  readonly mode: RunMode
  readonly state: 'running' | 'done'
  readonly met: boolean | null
  readonly startedAt: string
}

export interface IsolationHome {
  readonly scenarios: readonly ScenarioItem[]
  readonly runs: readonly RunItem[]
  /** Booked for the person themselves, and their padlocks that are in the register. */
  readonly repeats: readonly RepeatView[]
  readonly locks: readonly LockView[]
}

export interface StoryLine {
  readonly who: 'you' | 'see' | 'say'
  readonly text: string
}

/** What an indicator shows: each pair, or words where it has none. */
export interface ShownView extends Pick<Shown, 'indicator' | 'pairs'> {
  readonly words: string | null
  /** Its lamps are lit, or it glows. */
  readonly isLit: boolean
}

/** What somebody in the trainer can see, and nothing that they cannot. */
export interface RunView {
  readonly id: number
  readonly version: number
  readonly title: string
  readonly mode: RunMode
  readonly state: 'running' | 'done'
  readonly place: Place
  readonly job: string
  readonly pointName: string
  readonly indicator: Indicator | null
  readonly holdsPermit: boolean
  readonly lines: readonly StoryLine[]
  readonly shown: ShownView | null
  readonly moves: readonly {
    readonly key: string
    readonly words: string
    readonly group: 'here' | 'device' | 'bag' | 'walk'
    readonly device: string | null
  }[]
  /** The board, while somebody stands at it. */
  readonly devices: readonly {
    readonly id: string
    readonly name: string
    readonly says: string | null
    readonly isOn: boolean
    /** What hangs at it, and how it is drawn. */
    readonly secured: Secured
    readonly look: Pick<FaceDevice, 'kind' | 'modules' | 'print'>
  }[]
  /** What is worked on, as it stands there. */
  readonly point: WorkPointLook & { readonly kind: WorkPoint }
  readonly seconds: number
  /** Only where hints are given. */
  readonly hint: { readonly name: string; readonly next: string } | null
  readonly debrief: Debrief | null
}

export interface Debrief {
  readonly verdict: IsolationVerdict
  readonly sequence: readonly {
    readonly words: string
    readonly seconds: number
    readonly broken: readonly string[]
    readonly touch: string | null
  }[]
  readonly secret: string
}

export interface ObservationItem {
  readonly id: number
  readonly apprentice: string
  readonly assessor: string
  readonly bay: string
  readonly circuit: string
  readonly state: 'running' | 'decided'
  readonly met: boolean | null
  readonly startedAt: string
}

export interface ObservationDecision {
  readonly by: string
  readonly at: string
  readonly met: boolean
  readonly feedback: string
  readonly criteria: readonly { readonly code: string; readonly met: boolean }[]
  readonly evidence: {
    readonly verdict: IsolationVerdict
    readonly reason: string
    readonly apprenticeSigned: string
  }
}

export interface ObservationView {
  readonly id: number
  readonly apprentice: string
  readonly apprenticeNumber: string
  readonly apprenticeId: number
  readonly assessor: string
  readonly policy: IsolationPolicy
  readonly fields: ObservationFields
  readonly version: number
  readonly savedAt: string | null
  readonly state: 'running' | 'decided'
  readonly criteria: readonly {
    readonly code: string
    readonly text: string
    readonly parts: readonly string[]
  }[]
  readonly locks: readonly LockView[]
  readonly decision: ObservationDecision | null
}

export interface LockView {
  readonly id: number
  readonly personId: number
  readonly name: string
  readonly bay: number
  readonly device: string
  readonly padlock: string
  readonly reason: string
  readonly onAt: string
  readonly offAt: string | null
}

export interface PermitView {
  readonly id: number
  readonly holderId: number
  readonly holder: string
  readonly bay: number
  readonly scope: string
  readonly fromAt: string
  readonly untilAt: string
  readonly issuedBy: string
  readonly issuedAt: string
  readonly siteName: string
  readonly returnedAt: string | null
  readonly returnedBy: string | null
}

export interface RepeatView {
  readonly id: number
  readonly personId: number
  readonly name: string
  readonly reason: string
  readonly plannedFor: string
  readonly bay: number
}

/** Locks, permits and repeats of the centre, and the people they may be about. */
export interface RegisterView {
  readonly locks: readonly LockView[]
  readonly permits: readonly PermitView[]
  readonly repeats: readonly RepeatView[]
  readonly apprentices: readonly {
    readonly id: number
    readonly number: string
    readonly name: string
    readonly cohort: string
  }[]
  readonly hasPin: boolean
}
