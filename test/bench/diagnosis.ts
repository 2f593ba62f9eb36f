/* Benchmarks of the diagnosis: the sheet of every single fault that can be planted in a bay. Part of npm run bench. */
import { possibleFaults } from '#core/bay/faults/catalogue'
import type { FaultKind, Place } from '#core/bay/faults/fault'
import type { Rig } from '#core/bay/model/rig'
import { diagnose } from '#core/testing/diagnosis/diagnose'
import { predictAll } from '#core/testing/expected/predict'
import { testsOf } from '#core/testing/plan/schedule'
import { counting } from './clock'

export interface Planted {
  readonly code: string
  readonly place: string
  readonly ms: number
  /** Place of the planted cause among those shown, from 1; null where it is not among them. */
  readonly rank: number | null
}

/** Every so many planted faults of a bay, each with the whole sheet that it makes; those that no reading shows left out. */
export function diagnosePlanted(rig: Rig, every = 1, pairs = false): Planted[] {
  const tests = testsOf(rig).filter(({ kind }) => kind !== 'r2Long')
  return possibleFaults(rig)
    .filter((_, i) => i % every === 0)
    .flatMap(({ kind, place }) => plantedOne(rig, { kind, place }, tests, pairs))
}

export function plantedOne(
  rig: Rig,
  { kind, place }: { readonly kind: FaultKind; readonly place: Place },
  tests: ReturnType<typeof testsOf>,
  pairs: boolean,
): Planted[] {
  const sheet = predictAll(kind.apply(rig, place), tests)
  const since = counting()
  const { odd, candidates } = diagnose(rig, sheet, { pairs })
  const ms = since()
  if (odd.length === 0) return []
  const isIt = ({ hypothesis, elsewhere }: (typeof candidates)[number]) =>
    [...hypothesis.faults, ...elsewhere].some(
      (one) =>
        (one.code === kind.code && one.place === place.key) ||
        // Insulation under a screw is a resistance at that end: a loose termination stands for both.
        (kind.code === 'insulationUnderScrew' &&
          one.code === 'loose' &&
          one.place.startsWith(`${place.key} `)),
    )
  const rank = candidates.findIndex(isIt) + 1
  return [{ code: kind.code, place: place.key, ms, rank: rank || null }]
}
