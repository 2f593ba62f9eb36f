import type { Rig } from '../../bay/model/rig'
import { bookBehind, type InstallationDesign } from '../../design/reference'
import { shippedBook, sourceIn } from '../../regulations/book/book'
import type { Source } from '../../regulations/source'
import type { BandReason, Working } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import type { ScheduleTest } from '../plan/schedule'
import { bandOf } from './fit'
import { readerOf } from './reader'

/** What a test should show at this bay: expected value, band and limit, all SI. */
export interface ExpectedReading {
  readonly key: string
  /** Undefined where only a band can be expected (insulation, operating time). */
  readonly value?: number
  readonly low: number
  /** Undefined: no upper end. */
  readonly high?: number
  readonly limit: { readonly kind: 'maximum' | 'minimum'; readonly value: number } | undefined
  readonly source: Source
  /** How value and limit come about. */
  readonly working: Working
  /** Why the band is as wide as it is. */
  readonly reasons: readonly BandReason[]
}

export type Expected = ReadonlyMap<string, ExpectedReading>

/**
 * What each test of a schedule should show at this bay, by key. Solves the sound bay once: some milliseconds
 * a circuit.
 */
export function expectedReadings(
  rig: Rig,
  design: InstallationDesign,
  schedule: readonly ScheduleTest[],
): Expected {
  const predicted = readerOf(rig).read(rig, schedule)
  const book = bookBehind(design) ?? shippedBook()
  const circuits = new Map(design.circuits.map((circuit) => [circuit.scope, circuit]))
  return new Map(
    schedule.map((test): [string, ExpectedReading] => {
      const outcome = predicted.get(test.key)
      const { instead, limit, source, cell, ...rest } = kindOf(test.kind).expect({
        rig,
        design,
        test,
        circuit: circuits.get(test.circuit ?? ''),
        book,
      })
      const range = outcome?.is === 'value' ? { value: outcome.value, ...bandOf(test.kind, outcome) } : {}
      const placed = sourceIn(book, source, cell)
      return [test.key, { key: test.key, low: 0, limit, source: placed, ...(instead ?? range), ...rest }]
    }),
  )
}
