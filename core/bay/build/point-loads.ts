import type { Circuit } from '../../installation/installation'
import { U0_V, U_V } from '../../regulations/supply'
import type { LoadKind } from '../model/loads'

/** Standing leakage of an electronic load's filter; common practice, no source. */
const FILTER_A = 0.5e-3
const DISCHARGE_POWER_FACTOR = 0.9
const MOTOR_START_S = 1.5
/** A source whose power nobody has said, W. */
const INFEED_W = 3000
/** What may be plugged into a socket-outlet of a bay, W. */
const PLUGGED_W = 2000

export const PLUGGED: LoadKind = { kind: 'resistive', watt: PLUGGED_W }

/** One lamp of a lighting circuit. */
export function lampLoad({ load }: Circuit): LoadKind {
  if (load.basis !== 'lamps') return { kind: 'filament', watt: 100 }
  return load.isDischarge
    ? { kind: 'electronic', watt: load.eachW, powerFactor: DISCHARGE_POWER_FACTOR, earthLeakA: FILTER_A }
    : { kind: 'filament', watt: load.eachW }
}

/** What a second source gives, W. */
function ratedW(load: Circuit['load'], phases: Circuit['phases']): number {
  const volt = phases === 3 ? Math.sqrt(3) * U_V : U0_V
  if (load.basis === 'current') return load.currentA * volt
  return 'powerW' in load ? load.powerW : INFEED_W
}

/** One appliance of a circuit, its power shared among its points. */
export function fixedLoad({ load, points, phases, dc, infeed }: Circuit): LoadKind {
  if (infeed) return { kind: 'infeed', watt: ratedW(load, phases) / points, source: infeed }
  const volt = phases === 3 ? Math.sqrt(3) * U_V : U0_V
  switch (load.basis) {
    case 'motor':
      return {
        kind: 'motor',
        watt: load.powerW / load.efficiency / points,
        powerFactor: load.powerFactor,
        startMultiple: load.startMultiple,
        startS: MOTOR_START_S,
      }
    case 'current':
      return { kind: 'resistive', watt: (load.currentA * volt) / points }
    case 'lamps':
      return { kind: 'filament', watt: load.eachW }
    case 'board':
      return { kind: 'resistive', watt: 1000 }
    default:
      return dc === 'none'
        ? { kind: 'resistive', watt: load.powerW / points }
        : {
            kind: 'electronic',
            watt: load.powerW / points,
            powerFactor: load.basis === 'power' ? load.powerFactor : 1,
            earthLeakA: FILTER_A,
          }
  }
}
