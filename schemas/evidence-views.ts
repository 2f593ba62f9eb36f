/* Evidence, between server and screens: gaps, accounts, second markings, appeals. */
import type { AccountFields } from '#core/assessment/portfolio/account'
import type { FrameworkNote } from '#core/assessment/outcomes/check-framework'
import type { Behaviour, Criterion, Framework } from '#core/assessment/outcomes/framework'
import type { Coverage } from '#core/assessment/outcomes/coverage'
import type { UnitGap } from '#core/assessment/outcomes/gap'
import type { EvidenceKind } from '#core/assessment/outcomes/kinds'
import type { SampleReason } from '#core/assessment/verification/sample'
import type { Agreement } from '#core/statistics/agreement'

export interface FrameworkVersion {
  readonly id: number
  readonly title: string
  readonly by: string | null
  readonly at: string
}

/** The framework as it is worked on. */
export interface FrameworkView {
  readonly framework: Framework
  readonly notes: readonly FrameworkNote[]
  /** Criteria that the record speaks of. */
  readonly inUse: readonly string[]
  readonly versions: readonly FrameworkVersion[]
  readonly seen: string
}

/** One unit of somebody: what counts, what is missing, when it closes. */
export interface UnitStanding {
  readonly gap: UnitGap
  /** Of a criterion with very many occasions the newest ones; `occasionsInAll` says how many there are. */
  readonly coverage: readonly (Coverage & { readonly occasionsInAll: number })[]
  /** ISO 8601 UTC at the present pace; null where nothing moves. */
  readonly closesAt: string | null
}

export interface SeenBehaviourView {
  readonly id: number
  readonly behaviour: string
  readonly note: string
  readonly by: string
  readonly at: string
}

/** The record of one person. */
export interface PersonRecord {
  readonly person: {
    readonly id: number
    readonly name: string
    readonly number: string
    readonly cohort: string
  }
  readonly units: readonly UnitStanding[]
  readonly behaviours: readonly Behaviour[]
  readonly seen: readonly SeenBehaviourView[]
  /** What the record itself proposes to put down; counted by nobody until a person does. */
  readonly proposed: readonly { readonly behaviour: string; readonly because: string }[]
  readonly domestic: string
}

/** One row of the group's matrix. */
export interface GroupGapRow {
  readonly id: number
  readonly number: string
  readonly name: string
  readonly coverage: readonly Coverage[]
  readonly units: readonly {
    readonly code: string
    readonly steps: number
    readonly says: readonly string[]
    readonly closesAt: string | null
  }[]
}

export interface AccountItem {
  readonly id: number
  readonly person: string
  readonly cohort: string
  readonly title: string
  readonly job: string
  readonly claims: number
  /** Claims of the latest hand-in without a decision. */
  readonly waiting: number
  readonly refused: number
  readonly handedInAt: string | null
}
export interface ClaimDecisionView {
  readonly handInId: number
  readonly claim: string
  readonly criterion: string
  readonly kind: EvidenceKind
  readonly met: boolean
  readonly reason: string
  readonly by: string
  readonly at: string
}
/** A professional discussion of one claim. */
export interface DiscussionView {
  readonly claim: string
  readonly asked: string
  readonly said: string
  readonly minutes: number
  readonly by: string
  readonly at: string
}
export interface WitnessView {
  readonly name: string
  readonly role: string
  readonly contact: string
  readonly askedAt: string
  readonly statement: string
  readonly statedAt: string | null
}
export interface AccountView {
  readonly id: number
  readonly person: string
  readonly isOwn: boolean
  readonly fields: AccountFields
  readonly version: number
  readonly savedAt: string | null
  /** Oldest first; the last is what an assessor reads. */
  readonly handIns: readonly { readonly id: number; readonly at: string; readonly fields: AccountFields }[]
  readonly decisions: readonly ClaimDecisionView[]
  readonly discussions: readonly DiscussionView[]
  readonly witnesses: readonly WitnessView[]
  readonly criteria: readonly Criterion[]
  readonly domestic: string
}

/** What a witness sees before they write: nothing of the account. */
export interface WitnessAsked {
  readonly name: string
  readonly role: string
  readonly person: string
  readonly job: string
  readonly day: string
}

/** A decision that a second assessor should look at, and why. */
export interface SampleItem {
  readonly decisionId: number
  /** Empty while the person who looks has still to judge it. */
  readonly person: string
  readonly cohort: string
  readonly bay: number
  readonly exerciseCode: string
  readonly exerciseTitle: string
  readonly at: string
  readonly reasons: readonly SampleReason[]
  /** Whether this person marked it first, or has judged it already. */
  readonly isOwn: boolean
  readonly isDone: boolean
}
/** What a second assessor judges from: the work, and nothing of the first decision. */
export interface BlindView {
  readonly decisionId: number
  readonly exerciseCode: string
  readonly exerciseTitle: string
  readonly bay: number
  /** What was typed, by the name of its box. */
  readonly work: readonly { readonly name: string; readonly typed: string; readonly unit: string }[]
  readonly asked: readonly { readonly wording: string; readonly outcome: string }[]
  readonly criteria: readonly Pick<Criterion, 'code' | 'text'>[]
}

export interface DifferenceView {
  readonly secondId: number
  readonly decisionId: number
  readonly attemptId: number
  readonly person: string
  readonly exerciseTitle: string
  readonly first: { readonly by: string; readonly at: string }
  readonly second: { readonly by: string; readonly at: string }
  readonly criteria: readonly {
    readonly code: string
    readonly text: string
    readonly first: boolean
    readonly second: boolean
    readonly reason: string
  }[]
  readonly settled: {
    readonly how: 'talk' | 'third'
    readonly stands: 'first' | 'second'
    readonly reason: string
    readonly by: string
    readonly at: string
  } | null
}

export interface StandardisationView {
  readonly decisionId: number
  readonly exerciseTitle: string
  readonly judges: readonly string[]
  readonly criteria: readonly {
    readonly code: string
    readonly text: string
    /** In the order of the judges; the first is who decided. */
    readonly met: readonly (boolean | null)[]
  }[]
}

export interface AgreementRow {
  readonly of: string
  readonly agreement: Agreement
}
export interface VerificationView {
  readonly sample: readonly SampleItem[]
  readonly differences: readonly DifferenceView[]
  readonly agreement: {
    readonly all: Agreement
    /** Whole sheets, by the share of their criteria in five steps. */
    readonly sheets: Agreement
    readonly byAssessor: readonly AgreementRow[]
    readonly byCriterion: readonly AgreementRow[]
    readonly byKind: readonly AgreementRow[]
  }
  /** Work that several have judged apart from the first, side by side. */
  readonly standardisation: readonly StandardisationView[]
  /** Per cent of all decisions that are sampled whatever they are. */
  readonly randomPercent: number
}

export interface AppealView {
  readonly id: number
  readonly attemptId: number
  readonly person: string
  readonly decidedBy: string
  readonly exerciseTitle: string
  readonly reason: string
  readonly at: string
  readonly outcome: 'upheld' | 'notUpheld' | null
  readonly answer: string | null
  readonly answeredBy: string | null
  readonly answeredAt: string | null
  /** Whether the person who looks may answer it. */
  readonly mayAnswer: boolean
}
