/* Benchmarks of the diagnosis: the sheet of every single fault that can be planted in a bay. Part of npm run bench. */
import { possibleFaults } from '#core/bay/faults/catalogue'
import type { FaultKind, Place } from '#core/bay/faults/fault'
import type { Rig } from '#core/bay/model/rig'
import { diagnose } from '#core/testing/diagnosis/diagnose'
import { predictAll, type Outcomes } from '#core/testing/expected/predict'
import { testsOf } from '#core/testing/plan/schedule'
import { counting } from './clock'

export interface Planted {
  readonly code: string
  readonly place: string
  readonly ms: number
  /** Place of the planted cause among those shown, from 1; null where it is not among them. */
  readonly rank: number | null
}

interface Fault {
  readonly kind: FaultKind
  readonly place: Place
}
interface Sheet extends Fault {
  readonly outcomes: Outcomes
}
type Tests = ReturnType<typeof testsOf>
const sheetOf = (rig: Rig, { kind, place }: Fault, tests: Tests): Sheet => ({
  kind,
  place,
  outcomes: predictAll(kind.apply(rig, place), tests),
})

/**
 * Every so many planted faults of a bay, each with the whole sheet that it makes; those that no reading shows left out.
 * All sheets are taken before the first is looked at, so that what they leave behind is not cleared away on its time.
 */
export function diagnosePlanted(rig: Rig, every = 1, pairs = false): Planted[] {
  const tests = testsOf(rig).filter(({ kind }) => kind !== 'r2Long')
  const sheets = possibleFaults(rig)
    .filter((_, i) => i % every === 0)
    .map((fault) => sheetOf(rig, fault, tests))
  return sheets.flatMap((sheet) => diagnoseOne(rig, sheet, pairs))
}

/** One planted fault; none where no reading shows it. */
export const plantedOne = (rig: Rig, fault: Fault, tests: Tests): Planted[] =>
  diagnoseOne(rig, sheetOf(rig, fault, tests), false)

function diagnoseOne(rig: Rig, { kind, place, outcomes }: Sheet, pairs: boolean): Planted[] {
  const since = counting()
  const { odd, candidates } = diagnose(rig, outcomes, { pairs })
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
