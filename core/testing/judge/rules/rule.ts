import type { Task } from '../../../design/task'
import type { Finding } from '../../../findings/finding'
import type { ExpectedReading } from '../../expected/circuit'
import type { ParsedReading } from '../../parse/parse-reading'
import type { ReadingKey } from '../../readings'

/** What a rule about readings may look at. */
export interface ReadingContext {
  readonly key: ReadingKey
  readonly reading: ParsedReading
  readonly expected: ExpectedReading
  readonly all: Readonly<Partial<Record<ReadingKey, ParsedReading>>>
  readonly expectations: readonly ExpectedReading[]
  readonly task: Task
  /** Tasks of the others who work on the same exercise, to recognise a copied figure. */
  readonly others: readonly OtherBay[]
}

export interface OtherBay {
  readonly bay: number
  readonly r1r2Ohm: number
}

export type ReadingRule = (context: ReadingContext) => Finding | undefined

/** The number of a reading, where it is one. */
export const numberOf = (reading: ParsedReading | undefined): number | undefined =>
  reading?.form === 'value' ? reading.value : undefined
