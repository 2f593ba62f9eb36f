import type { CableKind } from '../../regulations/cables/cable'
import type { Edition } from '../../regulations/editions'
import type { Infeed } from '../../regulations/infeed'
import type { Arrangement } from '../../regulations/supply'
import type { Installation } from '../../installation/installation'
import type { InstallationDesign } from '../../design/reference'
import type { ReadingMark } from '../judge/judge'
import type { Readings } from '../readings'

export const RECORD_KINDS = ['minor', 'installation'] as const
/** A minor works record of one circuit, or a record of a new installation. */
export type RecordKind = (typeof RECORD_KINDS)[number]

/** What is known without anybody typing it. */
export interface RecordFacts {
  readonly edition: Edition
  readonly installation: Installation
  readonly design: InstallationDesign
  readonly readings: Readings
  readonly marks: readonly ReadingMark[]
  readonly names: Readonly<Record<string, string>>
  readonly instrument: { readonly name: string; readonly serial: string; readonly dueOn: string } | null
  /** The live tests have been handed in. */
  readonly isTested: boolean
  readonly apprentice: string
  readonly permittedBy: string
  readonly today: string
}

/**
 * A source beside the supply, and the name of the circuit that brings it in; null behind the change-over at
 * the origin.
 */
export interface OtherSource {
  readonly infeed: Infeed
  readonly circuit: string | null
}

/** What is known of a box and wants words around its figures. */
export type RecordPhrase =
  | { readonly code: 'supply'; readonly arrangement: Arrangement; readonly phases: 1 | 3 }
  | { readonly code: 'mainSwitch'; readonly ratingA: number | null }
  | {
      readonly code: 'device'
      readonly standard: string
      readonly curve: string | null
      readonly ratingA: number
      readonly isCombined: boolean
    }
  | { readonly code: 'conductors'; readonly areaMm2: number; readonly cable: CableKind }
  | { readonly code: 'rcd'; readonly ratedA: number | null }
  | { readonly code: 'instrument'; readonly name: string; readonly serial: string; readonly dueOn: string }
  | { readonly code: 'insulationTest'; readonly volt: string; readonly out: string }
  | { readonly code: 'results'; readonly made: number; readonly of: number }
  /** Of each source beside the supply, the circuit that brings it in. */
  | { readonly code: 'sources'; readonly sources: readonly OtherSource[] }
  | { readonly code: 'declaration' }

/** One box of a record. */
export interface RecordItem {
  readonly key: RecordItemKey
  /** As typed, a figure, or a phrase; empty while nobody knows. */
  readonly value: string | RecordPhrase
  /** Filled by somebody; what is known fills itself. */
  readonly isTyped: boolean
  readonly choices?: readonly string[]
  /** `N/A` and `LIM` need a reason beside them. */
  readonly why?: string
}

export const RECORD_ITEMS = [
  'client',
  'address',
  'description',
  'extent',
  'date',
  'edition',
  'departures',
  'existingComments',
  'earthingArrangement',
  'earthingConductor',
  'bondingWater',
  'bondingGas',
  'bondingReading',
  'circuit',
  'device',
  'conductors',
  'residual',
  'afdd',
  'spd',
  'devices',
  'mainSwitch',
  'arrangement',
  'mainFuse',
  'ze',
  'pfc',
  'rotation',
  'otherSources',
  'multipleSuppliesNotice',
  'inspectDesign',
  'inspectErection',
  'inspectEnclosures',
  'inspectConnections',
  'inspectProtection',
  'inspectLabels',
  'instrument',
  'insulationTest',
  'results',
  'declaration',
  'tester',
  'permission',
  'nextInspection',
] as const
export type RecordItemKey = (typeof RECORD_ITEMS)[number]

export const RECORD_PARTS = [
  'description',
  'installation',
  'supply',
  'earthing',
  'circuit',
  'board',
  'inspection',
  'results',
  'declaration',
] as const
export type RecordPartKey = (typeof RECORD_PARTS)[number]

export interface RecordPart {
  readonly key: RecordPartKey
  readonly items: readonly RecordItem[]
}

/** What stands between a record and its signature. */
export type RecordGap =
  | { readonly code: 'box' | 'reason'; readonly key: RecordItemKey }
  | { readonly code: 'readings' | 'reasons'; readonly count: number }
  | { readonly code: 'liveTests' }

/** What fails: readings by their keys, or an instrument past its calibration date. */
export type RecordFailure =
  { readonly code: 'reading'; readonly reading: string } | { readonly code: 'instrument' }

export interface TestRecord {
  readonly kind: RecordKind
  readonly parts: readonly RecordPart[]
  /** Circuits whose results belong to it. */
  readonly circuits: readonly string[]
  readonly missing: readonly RecordGap[]
  readonly failing: readonly RecordFailure[]
}
