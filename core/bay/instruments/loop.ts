import { magnitude, real, subtract, type Complex } from '../network/complex'
import { rcdBand } from '../protection/rcd'
import { watchDevice } from '../behaviour/watch'
import { indexParts, nodeOf } from '../model/terminals'
import { display, refused, refusing, type Hazard, type Reading, type Scale } from './reading'
import { solveWith, withoutSupply, type Probes } from './measure'
import type { Bench } from './setup'

/** A high-current test loads the loop with this, Ω; a test that must not trip drives about 15 mA. */
const HIGH_OHM = 10
const LOW_A = 0.015
/** How long the test current flows, s. */
const HIGH_S = 0.04
const LEAST_V = 180
const ACCURACY = { relative: 0.05, digits: 5 }
const OHMS: Scale = {
  quantity: 'resistance',
  accuracy: ACCURACY,
  ranges: [
    { end: 19.99, step: 0.01 },
    { end: 199.9, step: 0.1 },
    { end: 1999, step: 1 },
  ],
}
const AMPERES: Scale = {
  quantity: 'faultCurrent',
  accuracy: ACCURACY,
  ranges: [
    { end: 999, step: 1 },
    { end: 9990, step: 10 },
    { end: 20_000, step: 100 },
  ],
}

export type LoopTest = 'high-current' | 'no-trip'

interface Loop {
  readonly ohm: number
  readonly volt: number
  readonly hazards: readonly Hazard[]
}

/** Loads the loop and compares the voltages, as phasors. */
function loopOf(bench: Bench, { at, to }: Probes, test: LoopTest): Loop | Reading {
  const parts = indexParts(bench.rig)
  const [a, b] = [nodeOf(parts, at), nodeOf(parts, to)]
  const idle = solveWith(bench, 50)
  const across = (solved: typeof idle): Complex => subtract(solved!.volt(a), solved!.volt(b))
  const volt = idle ? magnitude(across(idle)) : 0
  if (!idle) return refused('resistance', 'unsolved')
  if (volt < LEAST_V) return refusing('resistance', withoutSupply(volt))
  const ohm = test === 'high-current' ? HIGH_OHM : volt / LOW_A
  const loaded = solveWith(bench, 50, [
    { kind: 'impedance', name: 'loop tester', from: at, to, ohm: real(ohm) },
  ])!
  // Which device would not let the test current flow to its end?
  const tripping = bench.rig.parts.flatMap((part) => {
    if (part.kind !== 'device' || !part.residual || !bench.state.closed[part.id]) return []
    const band = rcdBand(part.residual, watchDevice(part, loaded).residualA)
    return band && (test === 'no-trip' || band.usualS <= HIGH_S) ? [part.name] : []
  })
  if (tripping.length > 0) return refused('resistance', 'trips', { device: tripping.join(', ') })
  const loopOhm = magnitude(subtract(across(idle), across(loaded))) / magnitude(loaded.ampere('loop tester'))
  const isOpen = loopOhm > OHMS.ranges.at(-1)!.end
  return { ohm: loopOhm, volt, hazards: isOpen ? [{ code: 'openLoop', params: {} }] : [] }
}

/** Loop impedance between line and earth, or line and neutral, of a live circuit. */
export function readLoop(bench: Bench, probes: Probes, test: LoopTest, error = 0): Reading {
  const loop = loopOf(bench, probes, test)
  return 'quantity' in loop ? loop : display(OHMS, loop.ohm, error, loop.hazards)
}

/** Prospective fault current, A: voltage over loop impedance. */
export function readFaultCurrent(bench: Bench, probes: Probes, test: LoopTest, error = 0): Reading {
  const loop = loopOf(bench, probes, test)
  return 'quantity' in loop
    ? { ...loop, quantity: 'faultCurrent' }
    : display(AMPERES, loop.volt / loop.ohm, error, loop.hazards)
}
