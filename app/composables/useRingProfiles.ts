import { computed } from 'vue'
import { numberOf, parseReading } from '#core/testing/parse/parse-reading'
import { kindOf } from '#core/testing/kinds/kinds'
import { r1, r2, rn } from '#core/testing/kinds/ring-end-to-end'
import { ringLE, ringLN } from '#core/testing/kinds/ring-cross'
import { ringPattern, type RingPattern } from '#core/testing/relations/ring-pattern'

interface RingTest {
  readonly key: string
  readonly kind: string
  readonly circuit: string | null
}

/** One step of a ring: its readings in the order of the sockets, Ω, and a quarter of both ends. */
export interface RingStep {
  readonly step: 2 | 3
  readonly readings: readonly (number | undefined)[]
  readonly quarter: number | undefined
  readonly pattern: RingPattern
}
export interface RingProfile {
  readonly circuit: string
  readonly name: string
  readonly steps: readonly RingStep[]
}

const STEPS = [
  { step: 2, kind: ringLN.key, other: rn.key },
  { step: 3, kind: ringLE.key, other: r2.key },
] as const

/** Rings of a sheet whose sockets have been read cross-connected, from what was written alone. */
export function useRingProfiles(
  given: () => {
    readonly tests: readonly RingTest[]
    readonly circuits: readonly { readonly id: string; readonly name: string }[]
    readonly read: (key: string) => string
  },
) {
  const ohmOf = ({ key, kind }: RingTest) => numberOf(parseReading(given().read(key), kindOf(kind)))
  return computed<readonly RingProfile[]>(() =>
    given().circuits.flatMap(({ id, name }) => {
      const tests = given().tests.filter(({ circuit }) => circuit === id)
      const endOf = (kind: string) => {
        const test = tests.find((candidate) => candidate.kind === kind)
        return test && ohmOf(test)
      }
      const steps = STEPS.flatMap(({ step, kind, other }): RingStep[] => {
        const readings = tests.filter((test) => test.kind === kind).map(ohmOf)
        if (!readings.some((ohm) => ohm !== undefined)) return []
        const [first, second] = [endOf(r1.key), endOf(other)]
        const quarter = first !== undefined && second !== undefined ? (first + second) / 4 : undefined
        return [{ step, readings, quarter, pattern: ringPattern(readings, [first, second]) }]
      })
      return steps.length > 0 ? [{ circuit: id, name, steps }] : []
    }),
  )
}
