import { applyFaults, hasAnySize } from '../../bay/faults/catalogue'
import type { Fault } from '../../bay/faults/fault'
import type { Outcomes } from '../expected/predict'
import { byCost } from './rank'
import { fittingSize } from './sized'
import { score, type Candidate, type Study } from './study'

/** So many pairs are solved at their own sizes, and so often each of the two in turn. */
const MOST_SOLVED = 6
const ROUNDS = 2

/**
 * Pairs were ranked as if a cause of any size explained any reading. The best of them are solved again, each of
 * the two at the one size that explains what the other leaves.
 */
export function settlePairs(study: Study, pairs: readonly Candidate[]): Candidate[] {
  return [...pairs]
    .sort(byCost)
    .slice(0, MOST_SOLVED)
    .flatMap((pair) => (pair.hypothesis.isScalable ? (settled(study, pair) ?? []) : pair))
}

function settled(study: Study, { hypothesis }: Candidate): Candidate | undefined {
  let faults: readonly Fault[] = hypothesis.faults
  for (let round = 0; round < ROUNDS; round += 1)
    for (const fault of hypothesis.faults.filter(hasAnySize)) {
      const others = faults.filter(({ code, place }) => code !== fault.code || place !== fault.place)
      const sized = faults.find((candidate) => !others.includes(candidate))!
      const [without, together] = [readings(study, others), readings(study, faults)]
      const solved = together && [{ size: sized.size ?? 1, outcomes: together }]
      const size = without && solved && fittingSize({ ...study, sound: without }, solved)
      if (!size) continue
      faults = faults.map((candidate) => (candidate === sized ? { ...sized, size } : candidate))
    }
  const outcomes = readings(study, faults)
  return outcomes && score(study, { ...hypothesis, faults, isScalable: false }, outcomes)
}

/** What the sheet reads with these faults; undefined where they cannot be together. */
function readings(
  { intended, reader, measured, sound }: Study,
  faults: readonly Fault[],
): Outcomes | undefined {
  const faulted = applyFaults(intended, faults)
  return faulted.ok ? new Map([...sound, ...reader.read(faulted.rig, measured)]) : undefined
}
