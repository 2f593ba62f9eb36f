import { parseReading } from '../parse/parse-reading'
import { readingKind } from '../readings'
import type { BayTest } from './bay-test'
import type { Outcome, Outcomes } from './predict'

/** Readings of a whole bay as typed, by test. */
export type BayReadings = Readonly<Record<string, string>>

/** A box that cannot be read, with why. */
export interface SheetProblem {
  readonly key: string
  readonly problem: 'unknownTest' | 'notANumber' | 'otherUnit' | 'negative' | 'wrongForm'
}

/** Reads a sheet; boxes that cannot be read are told, and the rest goes on. */
export function readSheet(
  tests: readonly BayTest[],
  readings: BayReadings,
): { readonly outcomes: Outcomes; readonly problems: readonly SheetProblem[] } {
  const byKey = new Map(tests.map((test) => [test.key, test]))
  const outcomes = new Map<string, Outcome>()
  const problems: SheetProblem[] = []
  for (const [key, typed] of Object.entries(readings)) {
    if (typed.trim() === '' || key.includes(':')) continue
    const test = byKey.get(key)
    if (!test) {
      problems.push({ key, problem: 'unknownTest' })
      continue
    }
    const { form } = readingKind(key)
    const read = parseReading(typed, readingKind(key))
    if (read.form === 'unreadable') problems.push({ key, problem: read.problem })
    else if (read.form === 'value' || read.form === 'over') {
      if (form === 'tick') problems.push({ key, problem: 'wrongForm' })
      else outcomes.set(key, { is: read.form, value: read.value })
    } else if (read.form === 'tick' || read.form === 'cross') {
      if (form === 'tick') outcomes.set(key, { is: read.form })
      else problems.push({ key, problem: 'wrongForm' })
    }
  }
  return { outcomes, problems }
}
