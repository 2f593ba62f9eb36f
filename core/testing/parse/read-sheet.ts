import type { BayTest, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import { parseReading } from './parse-reading'

/** Readings of a whole bay as typed, by test. */
export type BayReadings = Readonly<Record<string, string>>

/** A box that cannot be read, with why. */
export interface SheetProblem {
  readonly key: string
  readonly problem: 'unknownTest' | 'notANumber' | 'otherUnit' | 'negative' | 'wrongForm'
}

export interface ReadSheet {
  readonly outcomes: ReadonlyMap<string, Outcome>
  readonly problems: readonly SheetProblem[]
}

/** Reads a sheet; boxes that cannot be read are named, and the rest goes on. */
export function readSheet(tests: readonly BayTest[], readings: BayReadings): ReadSheet {
  const known = new Set(tests.map(({ key }) => key))
  const outcomes = new Map<string, Outcome>()
  const problems: SheetProblem[] = []
  for (const [key, typed] of Object.entries(readings)) {
    if (typed.trim() === '' || key.includes(':')) continue
    const read = known.has(key) ? readBox(key, typed) : 'unknownTest'
    if (typeof read === 'string') problems.push({ key, problem: read })
    else if (read) outcomes.set(key, read)
  }
  return { outcomes, problems }
}

/** What a box says; undefined where it was left out with a reason. */
function readBox(key: string, typed: string): Outcome | SheetProblem['problem'] | undefined {
  const kind = kindOf(key)
  const read = parseReading(typed, kind)
  const isTick = kind.entry.form === 'tick'
  switch (read.form) {
    case 'unreadable':
      return read.problem
    case 'value':
    case 'over':
      return isTick ? 'wrongForm' : { is: read.form, value: read.value }
    case 'tick':
    case 'cross':
      return isTick ? { is: read.form } : 'wrongForm'
    default:
      return undefined
  }
}
