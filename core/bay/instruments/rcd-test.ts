import { magnitude, real } from '../network/complex'
import { rcdBand } from '../protection/rcd'
import { watchDevice } from '../behaviour/watch'
import { TOUCH_LIMIT_V } from '../../regulations/supply'
import { indexParts, nodeOf } from '../model/terminals'
import { display, refused, refusing, type Hazard, type Reading, type Scale } from './reading'
import { solveWith, voltBetween, withoutSupply, type Probes } from './measure'
import type { Bench } from './setup'

export const RCD_MULTIPLES = [0.5, 1, 5] as const
export type RcdMultiple = (typeof RCD_MULTIPLES)[number]

/** The longest that a test runs, s, at half, once and five times IΔn. */
const LONGEST_S: Readonly<Record<RcdMultiple, number>> = { 0.5: 1.999, 1: 0.5, 5: 0.15 }
const scaleOf = (multiple: RcdMultiple): Scale => ({
  quantity: 'time',
  ranges: [{ end: LONGEST_S[multiple], step: 0.001 }],
  accuracy: { relative: 0.02, digits: 2 },
})
/** Less than this is no supply to test on, V. */
const LEAST_V = 180
/** On the other half-wave a device waits for the next one; common practice, no source. */
const OTHER_HALF_S = 0.005

/** How the tester is set. */
export interface RcdTest {
  /** IΔn that is chosen, A. */
  readonly ratedA: number
  readonly multiple: RcdMultiple
  /** The half-wave on which it starts. */
  readonly startDegrees?: 0 | 180
}

/** Trip time of the quickest RCD in front of this point, s. Starting on either half-wave. */
export function readTripTime(
  bench: Bench,
  probes: Probes,
  { ratedA, multiple, startDegrees = 0 }: RcdTest,
  error = 0,
): Reading & { readonly trips: readonly string[] } {
  const parts = indexParts(bench.rig)
  const idle = solveWith(bench, 50)
  const volt = idle ? voltBetween(bench, idle, probes) : 0
  if (!idle) return { ...refused('time', 'unsolved'), trips: [] }
  if (volt < LEAST_V) return { ...refusing('time', withoutSupply(volt)), trips: [] }
  const solved = solveWith(bench, 50, [
    {
      kind: 'injection',
      name: 'residual tester',
      from: probes.at,
      to: probes.to,
      ampere: real(multiple * ratedA),
    },
  ])
  if (!solved) return { ...refused('time', 'unsolved'), trips: [] }
  const touchV = magnitude(solved.volt(nodeOf(parts, probes.to)))
  if (touchV > TOUCH_LIMIT_V)
    return { ...refused('time', 'touchVoltage', { volt: Math.round(touchV) }), trips: [] }
  const times = bench.rig.parts.flatMap((part) => {
    if (part.kind !== 'device' || !part.residual || !bench.state.closed[part.id]) return []
    const band = rcdBand(part.residual, watchDevice(part, solved).residualA)
    return band ? [{ part: part.id, s: band.usualS + (startDegrees === 180 ? OTHER_HALF_S : 0) }] : []
  })
  const quickest = Math.min(...times.map(({ s }) => s), Infinity)
  // At half its rated current it must not open; at the rating and above that is worth a word.
  const hazards: Hazard[] =
    quickest === Infinity && multiple >= 1 ? [{ code: 'noRcdOpened', params: {} }] : []
  const reading = display(scaleOf(multiple), quickest, error, hazards)
  return {
    ...reading,
    trips: reading.isOver ? [] : times.filter(({ s }) => s === quickest).map(({ part }) => part),
  }
}
