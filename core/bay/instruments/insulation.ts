import { magnitude, real } from '../network/complex'
import { isElectronic } from '../model/loads'
import { display, refused, type Hazard, type Reading, type Scale } from './reading'
import { solveWith, standingVolt, voltBetween, type Probes } from './measure'
import type { Bench } from './setup'

export const TEST_VOLTS = [250, 500, 1000] as const
export type TestVolt = (typeof TEST_VOLTS)[number]

/** At least the nominal voltage at 1 mA; BS EN 61557-2, from memory. The source sags by this share at 1 mA. */
const SAG = 0.05
const TEST_A = 1e-3
const INSULATION_SCALE: Scale = {
  quantity: 'insulation',
  ranges: [
    { end: 9.99e6, step: 0.01e6 },
    { end: 99.9e6, step: 0.1e6 },
    { end: 999e6, step: 1e6 },
  ],
  accuracy: { relative: 0.03, digits: 2 },
}
const LIVE_V = 25
/** Electronics for 230 V suffer above the peak of a high mains, V. */
const ELECTRONICS_V = 230 * 1.1 * Math.SQRT2

/** Insulation tester. On a live circuit it refuses; what electronics it reaches may suffer. */
export function readInsulation(bench: Bench, probes: Probes, testV: TestVolt = 500, error = 0): Reading {
  const standing = standingVolt(bench, probes)
  if (standing > LIVE_V) return refused('insulation', 'live', { volt: Math.round(standing) })
  const solved = solveWith(bench, 0, [
    {
      kind: 'source',
      name: 'insulation tester',
      from: probes.to,
      to: probes.at,
      volt: real(testV * (1 + SAG)),
      ohm: real((testV * SAG) / TEST_A),
    },
  ])
  if (!solved) return refused('insulation', 'unsolved')
  const current = magnitude(solved.ampere('insulation tester'))
  const stressed: Hazard[] = bench.rig.parts.flatMap((part): Hazard[] => {
    if (
      !(part.kind === 'lampholder' || part.kind === 'appliance' || part.kind === 'socket') ||
      !part.load ||
      !isElectronic(part.load) ||
      !bench.state.inUse[part.id]
    )
      return []
    const line = part.kind === 'appliance' ? part.poles[0]! : 'L'
    const volt = voltBetween(bench, solved, { at: `${part.id}.${line}`, to: `${part.id}.N` })
    return volt > ELECTRONICS_V
      ? [{ code: 'electronics', params: { part: part.name, volt: Math.round(volt) } }]
      : []
  })
  return display(
    INSULATION_SCALE,
    current === 0 ? Infinity : voltBetween(bench, solved, probes) / current,
    error,
    stressed,
  )
}
