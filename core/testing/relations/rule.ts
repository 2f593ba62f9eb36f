import type { Finding } from '../../findings/finding'
import type { ParsedReading } from '../parse/parse-reading'
import type { ScheduleExpected } from '../expected/expected'
import type { ScheduleTest } from '../plan/schedule'

/** Everything on the sheet, read. */
export interface Sheet {
  readonly schedule: readonly ScheduleTest[]
  readonly readings: ReadonlyMap<string, ParsedReading>
  readonly expected: ReadonlyMap<string, ScheduleExpected>
  readonly arrangement: string
}

/** What a relation between readings says, and the readings that it is about, the one to look at first in front. */
export interface Relation {
  readonly finding: Finding
  readonly keys: readonly string[]
}

/** Looks at the sheet as a whole. */
export type SheetRule = (sheet: Sheet) => Relation[]

/** The number that was read, where one was. */
export function numberAt({ readings }: Sheet, key: string): number | undefined {
  const reading = readings.get(key)
  return reading?.form === 'value' ? reading.value : undefined
}

/** A number, or the end of the range that was passed. */
export function atLeast({ readings }: Sheet, key: string): number | undefined {
  const reading = readings.get(key)
  return reading?.form === 'value' || reading?.form === 'over' ? reading.value : undefined
}

export const circuitsOf = ({ schedule }: Sheet): string[] => [
  ...new Set(schedule.flatMap(({ circuit }) => circuit ?? [])),
]
