import type { Expected } from '../expected/expected'
import { atLeast, numberOf, type ParsedReading } from '../parse/parse-reading'
import type { ScheduleTest } from '../plan/schedule'
import type { CircuitDesign } from '../../design/reference'
import type { Arrangement } from '../../regulations/supply'

/** Everything on the sheet, read. */
export interface Sheet {
  readonly schedule: readonly ScheduleTest[]
  readonly readings: ReadonlyMap<string, ParsedReading>
  readonly expected: Expected
  readonly arrangement: Arrangement
  /** By circuit. */
  readonly designs: ReadonlyMap<string, CircuitDesign>
  /** Sheets of the others who work on the same exercise, to recognise a copied figure. */
  readonly others: readonly OtherBay[]
}

export interface OtherBay {
  readonly bay: number
  readonly expected: Expected
}

/** The number that was read, where one was. */
export const numberAt = ({ readings }: Sheet, key: string): number | undefined => numberOf(readings.get(key))

/** A number, or the end of the range that was passed. */
export const atLeastAt = ({ readings }: Sheet, key: string): number | undefined => atLeast(readings.get(key))

export const expectedAt = ({ expected }: Sheet, key: string): number | undefined => expected.get(key)?.value

export const circuitsOn = ({ schedule }: Sheet): string[] => [
  ...new Set(schedule.flatMap(({ circuit }) => circuit ?? [])),
]
