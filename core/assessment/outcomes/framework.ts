import type { EvidenceKey } from './evidence-key'
import type { EvidenceKind } from './kinds'
import type { CableType, Equipment, Setting, WiringSystem } from './shows'

export interface Criterion {
  readonly code: string
  readonly text: string
  /** Part of BS 7671 that it rests on. */
  readonly bs7671: string
  /** Separate occasions on which it must be shown, 1 or more. */
  readonly occasions: number
  readonly evidence: readonly EvidenceKey[]
  /** Kinds that may count; empty: all of them. */
  readonly kinds: readonly EvidenceKind[]
  /** Kinds that must each be there once at least. */
  readonly needs: readonly EvidenceKind[]
  /** Without it nothing else counts. */
  readonly isCritical: boolean
}

/** What a quota counts, and the things of that sort. */
export interface SetMembers {
  readonly wiringSystem: WiringSystem
  readonly cable: CableType
  readonly equipment: Equipment
}
export const SET_SORTS = ['wiringSystem', 'cable', 'equipment'] as const
export type SetSort = (typeof SET_SORTS)[number]

interface QuotaHead {
  readonly code: string
  readonly text: string
}
/** So many different things, some of them compulsory; each on so many separate occasions. */
export interface SetQuota extends QuotaHead {
  readonly kind: 'set'
  readonly of: SetSort
  readonly least: number
  readonly compulsory: readonly string[]
  /** Separate occasions for each member, 1 or more. */
  readonly each: number
}
/** More than this share of the jobs is from these settings. */
export interface ShareQuota extends QuotaHead {
  readonly kind: 'share'
  readonly settings: readonly Setting[]
  /** 0 or more, below 1; exactly this share is not enough. */
  readonly moreThan: number
  /** Jobs that there must be in all. */
  readonly jobs: number
}
/** So many of the framework's behaviours. */
export interface BehavioursQuota extends QuotaHead {
  readonly kind: 'behaviours'
  readonly least: number
}
export type Quota = SetQuota | ShareQuota | BehavioursQuota

export interface Unit {
  readonly code: string
  readonly title: string
  readonly criteria: readonly Criterion[]
  readonly quotas: readonly Quota[]
}

/** Something that good work shows by itself, such as asking before energising. */
export interface Behaviour {
  readonly code: string
  readonly text: string
}

export const SEPARATE_RULES = ['job', 'day', 'jobAndDay', 'jobOrDay'] as const
/** What makes two occasions separate: another job, another day, both, or one of them. */
export type SeparateRule = (typeof SEPARATE_RULES)[number]

/** A unit framework as it is exchanged and stored. */
export interface Framework {
  readonly format: 'nakshi.framework'
  readonly version: 2
  readonly code: string
  readonly title: string
  readonly separate: SeparateRule
  /** What this framework calls domestic, in its own words: asked, not guessed. */
  readonly domestic: string
  readonly behaviours: readonly Behaviour[]
  readonly units: readonly Unit[]
}

export const criteriaOf = (framework: Framework): Criterion[] =>
  framework.units.flatMap((unit) => unit.criteria)
