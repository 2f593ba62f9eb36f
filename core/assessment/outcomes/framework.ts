import type { NodeKey, StepKey } from '../../design/step-keys'
import type { ItemGroup } from '../../inspection/items'
import type { IsolationPart } from '../../isolation/rule'
import { readingKind, type ReadingKey, type ReadingKindKey, type SheetKey } from '../../testing/readings'

/** Parts of a run that are measured: dimensions and which way it goes, plumb and level. */
export const RUN_PARTS = ['setOut', 'level'] as const
export type RunPart = (typeof RUN_PARTS)[number]

/** One kind of thing that a criterion can rest on: a design step, a reading, asking before energising, a part of an observed isolation, a group of an inspected bay, a part of a measured run. */
export type EvidenceKey =
  | `design.${StepKey}`
  | `reading.${SheetKey}`
  | 'process.permission'
  | `isolation.${IsolationPart}`
  | `work.${ItemGroup}`
  | `run.${RunPart}`

/** One thing of one attempt: a step of a circuit or board, a reading, or a group of what was inspected. */
export type ItemKey = `design.${NodeKey}` | `reading.${ReadingKey}` | `work.${ItemGroup}`

/** Tests of a whole board that show the same as one of a single circuit. */
const SHOWS: Readonly<Partial<Record<ReadingKindKey, SheetKey>>> = {
  bonding: 'r1r2',
  r1: 'r1r2',
  rn: 'r1r2',
  r2: 'r1r2',
  r2Long: 'r1r2',
  irLL: 'irLE',
  pfc: 'ze',
  rotation: 'polarity',
  rcd: 'rcdTime',
  rcdHalf: 'rcdTime',
  rcdFive: 'rcdTime',
  rcdButton: 'rcdTime',
  functional: 'polarity',
  drop: 'zs',
  clamp: 'zs',
}

/** The kind of evidence that an item is: `design.c2.zs` is `design.zs`, `reading.c1.irNE` is `reading.irNE`; a group of an inspection is itself. */
export function evidenceOf(item: ItemKey): EvidenceKey {
  if (item.startsWith('work.')) return item as EvidenceKey
  if (item.startsWith('design.')) return item.replace(/^design\..+\.(?=[^.]+$)/, 'design.') as EvidenceKey
  const { key } = readingKind(item.slice('reading.'.length))
  return `reading.${SHOWS[key] ?? (key as SheetKey)}`
}

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

export const criteriaOf = (framework: Framework): Criterion[] =>
  framework.units.flatMap((unit) => unit.criteria)
