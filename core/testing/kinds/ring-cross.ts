import { indexParts, partIdOf } from '../../bay/model/terminals'
import type { Rig } from '../../bay/model/rig'
import { SOURCES } from '../../regulations/source'
import { deadBench, type PrepareOptions } from '../setup/bench-state'
import { homeEnds, type WireEnd } from '../setup/circuit-ends'
import { free, type Prepared } from '../setup/prepared'
import { NOWHERE, type BayTest, type CircuitPlan, type Place, type TestKind } from './kind'
import { CONDUCTORS, OHMS, RESISTANCE, higherOrLower, measureContinuity } from './shared'

type Other = 'neutral' | 'earth'

/** The part at which a conductor of the ring arrives first: the two legs are told apart by it. */
const firstPart = ({ wire, end }: WireEnd): string => partIdOf(end === 'from' ? wire.to : wire.from)

/** The conductors of two legs in the order of these line ends; as they come where the far ends do not tell. */
function byLeg(lines: readonly WireEnd[], others: readonly WireEnd[]): readonly WireEnd[] {
  const [a, b] = others as readonly [WireEnd, WireEnd]
  const isSwapped = firstPart(a) === firstPart(lines[1]!) && firstPart(a) !== firstPart(lines[0]!)
  return isSwapped ? [b, a] : [a, b]
}

/**
 * Each line end joined to the other conductor's end of the opposite leg. Undefined where a conductor has not
 * both its ends at the board.
 */
function crossed(
  rig: Rig,
  { circuit, point }: BayTest,
  other: Other,
  options: PrepareOptions,
): Prepared | undefined {
  const ends = homeEnds(rig, circuit!)
  const part = point ? indexParts(rig).get(point) : undefined
  if (!part || ends.line.length !== 2 || ends[other].length !== 2) return undefined
  const line = free(ends.line)
  const back = free(byLeg(ends.line, ends[other]))
  const [across, beside] = options.ownLegs ? [0, 1] : [1, 0]
  const links = [
    [line.at[0]!, back.at[across]!],
    [line.at[1]!, back.at[beside]!],
  ] as const
  return {
    state: deadBench(rig, options),
    setup: { freed: [...line.freed, ...back.freed], links },
    at: `${part.id}.L`,
    to: `${part.id}.${other === 'neutral' ? 'N' : 'E'}`,
  }
}

/** Every socket-outlet of a ring; they help to see what the ends alone do not show. */
const aroundTheRing = ({ isRing, isIsland, points }: CircuitPlan): readonly Place[] =>
  isRing && !isIsland ? points.map(({ id }) => ({ point: id, isAsked: false })) : NOWHERE

/** Steps 2 and 3 of a ring final circuit: cross-connected at the board, read at every point. */
const ringCross = <K extends 'ringLN' | 'ringLE'>(key: K, symbol: string, other: Other): TestKind<K> => ({
  key,
  symbol,
  isDead: true,
  of: 'circuit',
  shows: 'r1r2',
  isColumn: false,
  isBasic: false,
  isDiagnostic: true,
  entry: OHMS,
  conditions: ['isolated', 'leadsNulled'],
  relations: ['leads'],
  places: aroundTheRing,
  prepare: (rig, test, options) => crossed(rig, test, other, options),
  prediction: RESISTANCE,
  fit: { by: 'amount', relative: 0.09, absolute: 0.03 },
  expect: () => ({ source: SOURCES.ringContinuity, working: 'crossConnected', reasons: CONDUCTORS }),
  usualCause: higherOrLower,
  measure: measureContinuity,
})

export const ringLN = ringCross('ringLN', 'L–N ×', 'neutral')
export const ringLE = ringCross('ringLE', 'L–E ×', 'earth')
