import { add, magnitude, ZERO, type Complex } from '../network/complex'
import type { Answers } from '../network/answers'
import type { Solved } from '../network/solve'
import type { DevicePart, Part, Rig } from '../model/rig'
import { returnOf } from './load-elements'
import type { BayState } from './state'

/** A load works down to this share of its voltage, and is harmed above that; common practice, no source. */
const WORKS_FROM = 0.3
const HARMED_FROM = 1.15
/**
 * A conductor is spoken of as live above this, V; BS 7671 upper limit of extra-low voltage to earth as touch
 * limit.
 */
export const LIVE_V = 50

export interface LoadReading {
  readonly part: string
  /** Largest over its lines, V and A. */
  readonly volt: number
  readonly ampere: number
  readonly isWorking: boolean
  readonly isHarmed: boolean
}

export interface DeviceReading {
  readonly part: string
  /** Largest over its poles, A. */
  readonly ampere: number
  /** Sum over all poles, A. */
  readonly residualA: number
  /** Power flows from out to in. */
  readonly isReversed: boolean
}

/** What the loads of a bay do in this solution. */
export function watchLoads(rig: Rig, state: BayState, solved: Solved, ratedV: number): LoadReading[] {
  return rig.parts.flatMap((part): LoadReading[] => {
    const lines = loadLines(part)
    if (!lines) return []
    const readings = lines.map(({ element, from, to }) => {
      const [a, b] = [solved.volt(from), solved.volt(to)]
      return { volt: Math.hypot(a.re - b.re, a.im - b.im), ampere: magnitude(solved.ampere(element)) }
    })
    const volt = Math.max(...readings.map((reading) => reading.volt))
    const isOn = state.inUse[part.id] ?? false
    return [
      {
        part: part.id,
        volt,
        ampere: Math.max(...readings.map((reading) => reading.ampere)),
        isWorking: isOn && volt > WORKS_FROM * ratedV,
        isHarmed: isOn && volt > HARMED_FROM * ratedV,
      },
    ]
  })
}

/** Where a load's own elements lie; undefined for parts that are none. */
export function loadLines(
  part: Part,
): { readonly element: string; readonly from: string; readonly to: string }[] | undefined {
  if (part.kind === 'lampholder' || (part.kind === 'socket' && part.load))
    return [{ element: `${part.id}:load`, from: `${part.id}.L`, to: `${part.id}.N` }]
  if (part.kind !== 'appliance') return undefined
  const lines = part.poles.filter((pole) => pole !== 'N' && pole !== '−')
  const back = returnOf(part)
  return lines.map((line) => ({
    element: lines.length === 1 ? `${part.id}:load` : `${part.id}:load ${line}`,
    from: `${part.id}.${line}`,
    to: back,
  }))
}

/** What a device carries, and what its RCD sees. */
export function watchDevice(device: DevicePart, solved: Answers): DeviceReading {
  const currents = device.poles.map((pole) => solved.ampere(`${device.id}:${pole}`))
  const sum: Complex = currents.reduce(add, ZERO)
  const line = device.poles[0]!
  const volt = solved.volt(`${device.id}.${line} in`)
  const current = currents[0]!
  const power = volt.re * current.re + volt.im * current.im
  const flow = device.marking === 'dc' ? Math.min(...currents.map(({ re }) => re)) : power
  return {
    part: device.id,
    ampere: Math.max(...currents.map(magnitude)),
    residualA: device.poles.length > 1 ? magnitude(sum) : 0,
    isReversed: flow < -1e-6,
  }
}
