import type { NodeKey, StepKey } from '../design/step-keys'
import type { ReadingKey } from '../results/readings'

/** One kind of thing that a criterion can rest on: a design step, a reading, or asking before energising. */
export type EvidenceKey = `design.${StepKey}` | `reading.${ReadingKey}` | 'process.permission'

/** One thing on one sheet: a step of a circuit or board, or a reading. */
export type ItemKey = `design.${NodeKey}` | `reading.${ReadingKey}`

/** The kind of evidence that an item is: `design.c2.zs` is `design.zs`. */
export const evidenceOf = (item: ItemKey): EvidenceKey => item.replace(/^design\..+\.(?=[^.]+$)/, 'design.') as EvidenceKey

export interface Criterion {
  readonly code: string
  readonly text: string
  /** Part of BS 7671 that it rests on. */
  readonly bs7671: string
  /** Separate occasions on which it must be shown, 1 or more. */
  readonly occasions: number
  readonly evidence: readonly EvidenceKey[]
}

export interface Unit {
  readonly code: string
  readonly title: string
  readonly criteria: readonly Criterion[]
}

/** A unit framework as it is exchanged and stored. */
export interface Framework {
  readonly format: 'nakshi.framework'
  readonly version: 1
  readonly code: string
  readonly title: string
  readonly units: readonly Unit[]
}

export const criteriaOf = (framework: Framework): Criterion[] => framework.units.flatMap((unit) => unit.criteria)
