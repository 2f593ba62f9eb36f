import type { TerminalRef } from '../model/rig'
import { readClamp } from './clamp'
import { readContinuity } from './continuity'
import { readInsulation, type TestVolt } from './insulation'
import { readFaultCurrent, readLoop } from './loop'
import type { Probes } from './measure'
import type { Hazard, Reading } from './reading'
import { readTripTime, type RcdMultiple } from './rcd-test'
import type { Bench } from './setup'
import {
  readIndicator,
  readRotation,
  readSocketTester,
  readVoltage,
  whyDark,
  type Rotation,
  type SocketVerdict,
} from './voltage'

/**
 * Where each is put, with how many probes, and whether its display follows what happens; the others show one
 * test and are started again.
 */
export const INSTRUMENTS = {
  continuity: { on: 'terminals', count: 2, isContinuous: true },
  insulation: { on: 'terminals', count: 2, isContinuous: true },
  voltage: { on: 'terminals', count: 2, isContinuous: true },
  indicator: { on: 'terminals', count: 2, isContinuous: true },
  loop: { on: 'terminals', count: 2, isContinuous: false },
  'loop-high': { on: 'terminals', count: 2, isContinuous: false },
  'fault-current': { on: 'terminals', count: 2, isContinuous: false },
  rcd: { on: 'terminals', count: 2, isContinuous: false },
  socket: { on: 'socket', count: 1, isContinuous: true },
  clamp: { on: 'wires', count: 8, isContinuous: true },
  rotation: { on: 'terminals', count: 3, isContinuous: true },
} as const satisfies Record<
  string,
  { on: 'terminals' | 'socket' | 'wires'; count: number; isContinuous: boolean }
>

export type InstrumentCode = keyof typeof INSTRUMENTS
export const INSTRUMENT_CODES = Object.keys(INSTRUMENTS) as readonly InstrumentCode[]

/** What is measured, where, and how the instrument is set. */
export interface ReadingRequest {
  readonly instrument: InstrumentCode
  /** Terminals in the order of the probes; conductors of a clamp; the socket of a plug-in tester. */
  readonly at: readonly string[]
  /** Insulation, V. */
  readonly volt: TestVolt
  /** Residual test: rated current, A, and its multiple. */
  readonly ratedA: number
  readonly multiple: RcdMultiple
}

/**
 * What stands on a display: a measured value, the highest lamp that lights, what a plug-in tester or a
 * rotation indicator shows.
 */
export type Display =
  | { readonly is: 'reading'; readonly reading: Reading }
  | { readonly is: 'lamp'; readonly volt: number; readonly hazards: readonly Hazard[] }
  | { readonly is: 'socket'; readonly verdict: SocketVerdict }
  | { readonly is: 'rotation'; readonly rotation: Rotation }

export interface Taken {
  readonly display: Display
  /** Devices that the test opened. */
  readonly trips: readonly string[]
}

/** Reads an instrument on a bay made ready for it. */
export function takeReading(bench: Bench, { instrument, at, volt, ratedA, multiple }: ReadingRequest): Taken {
  const probes = { at: at[0] as TerminalRef, to: at[1] as TerminalRef }
  switch (instrument) {
    case 'continuity':
      return showsReading(readContinuity(bench, probes))
    case 'insulation':
      return showsReading(readInsulation(bench, probes, volt))
    case 'voltage':
      return showsReading(readVoltage(bench, probes))
    case 'loop':
      return showsReading(readLoop(bench, probes, 'no-trip'))
    case 'loop-high':
      return showsReading(readLoop(bench, probes, 'high-current'))
    case 'fault-current':
      return showsReading(readFaultCurrent(bench, probes, 'high-current'))
    case 'clamp':
      return showsReading(readClamp(bench, at))
    case 'rcd': {
      const reading = readTripTime(bench, probes, { ratedA, multiple })
      return shown({ is: 'reading', reading }, reading.trips)
    }
    case 'indicator':
      return showsLamp(bench, probes)
    case 'socket':
      return shown({ is: 'socket', verdict: readSocketTester(bench, at[0]!) })
    case 'rotation':
      return shown({ is: 'rotation', rotation: readRotation(bench, [at[0]!, at[1]!, at[2]!]) })
  }
}

const shown = (display: Display, trips: readonly string[] = []): Taken => ({ display, trips })
function showsLamp(bench: Bench, probes: Probes): Taken {
  const volt = readIndicator(bench, probes)
  return shown({ is: 'lamp', volt, hazards: volt === 0 ? [whyDark(bench, probes)] : [] })
}
const showsReading = (reading: Reading): Taken => shown({ is: 'reading', reading })
