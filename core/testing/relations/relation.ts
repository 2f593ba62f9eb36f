import type { Finding } from '../../findings/finding'
import type { RelationCode } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import type { Sheet } from './sheet'
import type { ScheduleTest } from '../plan/schedule'

/** What a relation between readings says, and the readings that it is about, the one to look at first in front. */
export interface Relation {
  readonly finding: Finding
  readonly keys: readonly string[]
  /** Told at every reading that it is about; others where it should be looked at first. */
  readonly isEverywhere?: boolean
}

/** Looks at the sheet as a whole. */
export type SheetRule = (sheet: Sheet) => Relation[]

/** The tests of the sheet whose kinds take part in a relation. */
export const takingPart = ({ schedule }: Sheet, code: RelationCode): ScheduleTest[] =>
  schedule.filter(({ kind }) => kindOf(kind).relations.includes(code))

/** The test of one kind in a circuit, at a point where that matters. */
export const testAt = (
  { schedule }: Sheet,
  circuit: string | null,
  kind: string,
  point?: string | null,
): ScheduleTest | undefined =>
  schedule.find(
    (test) => test.circuit === circuit && test.kind === kind && (point === undefined || test.point === point),
  )
