import { angleDegrees, magnitude, real, subtract, type Complex } from '../network/complex'
import { isEnergised } from '../behaviour/state'
import { nodeOf, indexParts } from '../model/terminals'
import { display, refused, type Hazard, type Reading, type Scale } from './reading'
import { solveWith, voltBetween, type Probes } from './measure'
import type { Bench } from './setup'

const METER_OHM = 1e6
/** A two-pole indicator with a load draws a few milliamperes, so that stray voltages collapse. */
const INDICATOR_OHM = 100e3
/** Lamps of a two-pole indicator, V. */
export const INDICATOR_STEPS_V: readonly number[] = [12, 24, 50, 120, 230, 400]
/** A lamp lights from this share of its figure; common practice, no source. */
const LIGHTS_FROM = 0.85
const SCALE: Scale = {
  quantity: 'voltage',
  ranges: [
    { end: 99.9, step: 0.1 },
    { end: 699, step: 1 },
  ],
  accuracy: { relative: 0.02, digits: 2 },
}
/** Between two lines of a sound supply, V; below half of it something is missing. */
const LEAST_LINE_V = 200

/** Voltage with the instrument across, V; undefined where the bay cannot be computed. */
function between(bench: Bench, probes: Probes, ohm: number): number | undefined {
  const volts = [50, 0].flatMap((hertz) => {
    const solved = solveWith(bench, hertz, [
      { kind: 'impedance', name: 'voltmeter', from: probes.at, to: probes.to, ohm: real(ohm) },
    ])
    return solved ? [voltBetween(bench, solved, probes)] : []
  })
  return volts.length === 0 ? undefined : Math.max(...volts)
}

/** Below this the display shows nothing, V. */
const SHOWS_FROM_V = 0.05

/** Nothing on the display says why: the supply is off, or there is none between these two. */
const whyNothing = ({ rig, state }: Bench): Hazard => ({
  code: isEnergised(rig.parts, state) ? 'deadHere' : 'supplyOff',
  params: {},
})

/** Voltmeter of 1 MΩ. */
export function readVoltage(bench: Bench, probes: Probes, error = 0): Reading {
  const volt = between(bench, probes, METER_OHM)
  if (volt === undefined) return refused('voltage', 'unsolved')
  return display(SCALE, volt, error, volt < SHOWS_FROM_V ? [whyNothing(bench)] : [])
}

/**
 * The highest lamp of a two-pole voltage indicator that lights, V; 0 for none. One that does not work lights
 * nothing, which is why it is proved before and after.
 */
export function readIndicator(bench: Bench, probes: Probes, isWorking = true): number {
  if (!isWorking) return 0
  const volt = between(bench, probes, INDICATOR_OHM) ?? 0
  return INDICATOR_STEPS_V.findLast((step) => volt >= step * LIGHTS_FROM) ?? 0
}

/** Why no lamp lights. */
export function whyDark(bench: Bench, probes: Probes): Hazard {
  const volt = between(bench, probes, INDICATOR_OHM)
  return volt === undefined ? { code: 'unsolved', params: {} } : whyNothing(bench)
}

/** `none`: no supply at any of the three. */
export type Rotation = 'L1-L2-L3' | 'L1-L3-L2' | 'missing' | 'none'

/** Phase rotation at three terminals. */
export function readRotation(bench: Bench, lines: readonly [string, string, string]): Rotation {
  const solved = solveWith(bench, 50)
  if (!solved) return 'none'
  const parts = indexParts(bench.rig)
  const [a, b, c] = lines.map((ref) => solved.volt(nodeOf(parts, ref))) as [Complex, Complex, Complex]
  const between = [subtract(a, b), subtract(b, c), subtract(c, a)].map(magnitude)
  if (between.every((volt) => volt < LEAST_LINE_V)) return 'none'
  if (between.some((volt) => volt < LEAST_LINE_V)) return 'missing'
  const lag = (angleDegrees(a) - angleDegrees(b) + 360) % 360
  return lag < 180 ? 'L1-L2-L3' : 'L1-L3-L2'
}

export type SocketVerdict =
  'right' | 'noPower' | 'lineNeutralSwapped' | 'lineEarthSwapped' | 'noEarth' | 'noNeutral' | 'unclear'

/**
 * Plug-in tester of a socket: three lamps. It cannot see neutral and earth interchanged, nor the resistance
 * of the earth.
 */
export function readSocketTester(bench: Bench, socket: string): SocketVerdict {
  const isLit = (a: string, b: string) =>
    (between(bench, { at: `${socket}.${a}`, to: `${socket}.${b}` }, INDICATOR_OHM) ?? 0) > LEAST_LINE_V * 0.5
  const lamps = [isLit('L', 'N'), isLit('L', 'E'), isLit('N', 'E')].map(Number).join('')
  const verdicts: Readonly<Record<string, SocketVerdict>> = {
    '110': 'right',
    '000': 'noPower',
    '101': 'lineNeutralSwapped',
    '011': 'lineEarthSwapped',
    '100': 'noEarth',
    '010': 'noNeutral',
  }
  return verdicts[lamps] ?? 'unclear'
}
