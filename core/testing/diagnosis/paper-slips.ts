import { cost } from '../expected/fit'
import type { Outcomes } from '../expected/predict'
import type { BayTest, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import { ze } from '../kinds/ze'
import { zs } from '../kinds/zs'
import { BASE_COST, type Slip } from './hypothesis'
import { slipHypothesis, valueOf, type SlipHypothesis } from './slip-hypothesis'
import type { Study } from './study'

/** A reading and its shifted decimal point may be this far apart. */
const SHIFT_SLACK = 0.15
const SHIFTS = [10, 0.1, 100, 0.01, 1000, 0.001]
/** Insulation above this is new and dry, Ω. */
const GOOD_OHM = 50e6
/** Copied readings are the same to the last figure of any display. */
const SAME = 1e-6

/** Slips of the pen: the bay and the measurement are sound, what stands on the sheet is not. */
export const paperSlips = (study: Study): SlipHypothesis[] => [
  ...[...study.odd].flatMap((test) => [
    ...figureSlips(study, test),
    ...kilohms(study, test),
    ...otherBoxes(study, test),
  ]),
  ...copies(study),
  ...otherBays(study),
  ...supplyReading(study),
]

const at = (study: Study, slip: Slip, extra: number, tests: readonly string[]): SlipHypothesis =>
  slipHypothesis(
    study,
    { slip, priorCost: BASE_COST + extra, at: tests },
    new Map(tests.map((test): [string, Outcome] => [test, study.observed.get(test)!])),
  )

const testAt = ({ measured }: Study, key: string): BayTest => measured.find((test) => test.key === key)!

const fits = ({ measured, sound }: Study, key: string, value: number): boolean => {
  const { kind } = measured.find((test) => test.key === key)!
  return cost(kind, { is: 'value', value }, sound.get(key)!) === 0
}

/** The decimal point moved, or two figures changed places, in one reading. */
function figureSlips(study: Study, test: string): SlipHypothesis[] {
  const [seen, expected] = [valueOf(study.observed.get(test)), valueOf(study.sound.get(test))]
  if (seen === undefined || expected === undefined) return []
  const factor = SHIFTS.find((scale) => Math.abs(seen / (expected * scale) - 1) < SHIFT_SLACK)
  if (factor) return [at(study, { kind: 'decimal', test, factor }, 1, [test])]
  return withFiguresSwapped(seen).some((meant) => fits(study, test, meant))
    ? [at(study, { kind: 'digits', test }, 1.5, [test])]
    : []
}

/** A thousandth of what good insulation shows. */
function kilohms(study: Study, test: string): SlipHypothesis[] {
  const { fit } = kindOf(testAt(study, test).kind)
  const [seen, sound] = [valueOf(study.observed.get(test)), study.sound.get(test)]
  const isGood = sound?.is === 'over' || (valueOf(sound) ?? 0) >= GOOD_OHM
  const isSlip = fit.by === 'decades' && isGood && seen !== undefined && seen * 1e3 >= GOOD_OHM
  return isSlip ? [at(study, { kind: 'kilohms', test }, 1.5, [test])] : []
}

/** What should stand in another box of the circuit stands here; there perhaps what belongs here. */
function otherBoxes(study: Study, test: string): SlipHypothesis[] {
  const here = testAt(study, test)
  const seen = valueOf(study.observed.get(test))
  if (seen === undefined || kindOf(here.kind).fit.by !== 'amount') return []
  return study.measured.flatMap((there) => {
    const isLike =
      there.key !== test &&
      there.circuit === here.circuit &&
      (there.point === here.point || there.point === null || here.point === null) &&
      kindOf(there.kind).fit.by === 'amount'
    if (!isLike || valueOf(study.sound.get(there.key)) === undefined || !fits(study, there.key, seen))
      return []
    const theirs = valueOf(study.observed.get(there.key))
    const isSwapped = study.odd.has(there.key) && theirs !== undefined && fits(study, test, theirs)
    const tests = isSwapped ? [test, there.key] : [test]
    return [at(study, { kind: 'otherBox', test, other: there.key, isSwapped }, isSwapped ? 0 : 1.5, tests)]
  })
}

/** Readings of a circuit that are those of another to the last figure. */
function copies(study: Study): SlipHypothesis[] {
  const pairs = [...study.odd].flatMap((key) => {
    const here = testAt(study, key)
    const seen = valueOf(study.observed.get(key))
    if (seen === undefined || kindOf(here.kind).fit.by !== 'amount') return []
    return study.measured.flatMap((there) => {
      const theirs = valueOf(study.observed.get(there.key))
      const isCopy =
        there.kind === here.kind &&
        there.key !== key &&
        !study.odd.has(there.key) &&
        theirs !== undefined &&
        Math.abs(theirs - seen) <= SAME * seen
      return isCopy ? [{ key, from: there.key, circuits: `${here.circuit} ${there.circuit}` }] : []
    })
  })
  const groups = new Map<string, typeof pairs>()
  for (const pair of pairs) groups.set(pair.circuits, [...(groups.get(pair.circuits) ?? []), pair])
  return [...groups.values()].map((group) => {
    const tests = [...new Set(group.map(({ key }) => key))]
    const from = [...new Set(group.map((pair) => pair.from))]
    return at(study, { kind: 'copied', tests, from }, tests.length > 1 ? 0 : 1.2, tests)
  })
}

/** Readings that belong to another bay: one may be chance, several are not. */
function otherBays(study: Study): SlipHypothesis[] {
  const byBay = new Map<string, string[]>()
  for (const [test, bay] of study.fromOtherBay)
    if (study.odd.has(test)) byBay.set(bay, [...(byBay.get(bay) ?? []), test])
  return [...byBay].map(([bay, tests]) =>
    at(study, { kind: 'otherBay', tests, bay }, tests.length > 1 ? 0 : 1.2, tests),
  )
}

/** Ze out, and every Zs as it should be: the loops contradict it. */
function supplyReading(study: Study): SlipHypothesis[] {
  if (!study.odd.has(ze.key)) return []
  const loops = study.measured.filter(({ kind }) => kind === zs.key)
  const isContradicted = loops.length > 0 && loops.every(({ key }) => !study.odd.has(key))
  return isContradicted ? [at(study, { kind: 'supplyReading', test: ze.key }, 0.5, [ze.key])] : []
}

/**
 * What was meant when two figures beside each other changed places: of 0.74, 0.47 and 7.04. Two decimals, as
 * a display has them.
 */
export function withFiguresSwapped(written: number): number[] {
  const figures = written.toFixed(2).replace('.', '')
  return [...figures].slice(1).flatMap((figure, i) => {
    const before = figures[i]!
    if (figure === before) return []
    return [Number(figures.slice(0, i) + figure + before + figures.slice(i + 2)) / 100]
  })
}

/** The odd readings of a sheet that another sheet has to the last figure. */
export function sameAs(observed: Outcomes, other: Outcomes, bay: string): Map<string, string> {
  const isSame = ([key, outcome]: [string, Outcome]) => {
    const [seen, theirs] = [valueOf(outcome), valueOf(other.get(key))]
    return seen !== undefined && theirs !== undefined && Math.abs(seen - theirs) <= SAME * Math.abs(seen)
  }
  return new Map([...observed].filter(isSame).map(([key]) => [key, bay]))
}
