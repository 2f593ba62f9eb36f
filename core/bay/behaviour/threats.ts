import { DEVICES, MAGNETIC_BAND } from '../../regulations/devices'
import { magnitude } from '../network/complex'
import type { Solved } from '../network/solve'
import { openingBand, plugFuseBand, type TimeBand } from '../protection/band'
import { USUAL_THRESHOLD, arcTimeS, rcdBand } from '../protection/rcd'
import type { DevicePart, Rig } from '../model/rig'
import type { TripCause } from './happenings'
import { watchDevice } from './watch'

export interface Specimens {
  /** Share of IΔn at which RCDs trip, 0.5 to 1. */
  readonly rcdShare: number
  /** Where in their time band overcurrent devices stand. */
  readonly overcurrent: keyof TimeBand
}

export const USUAL_SPECIMENS: Specimens = { rcdShare: USUAL_THRESHOLD, overcurrent: 'usualS' }

/** One reason why a device may open, and when it would if nothing changed. */
export interface Threat {
  readonly cause: TripCause
  readonly opensS: number
  readonly ampere: number
  /** What flows in each of its poles, A. */
  readonly poles: Readonly<Record<string, number>>
}

export const CAUSES: readonly TripCause[] = ['short', 'residual', 'arc', 'overload', 'fuse', 'plugFuse']

/** Everything that this device would open for as things are. */
export function threatsTo(rig: Rig, device: DevicePart, solved: Solved, specimens: Specimens): Threat[] {
  const { ampere, residualA } = watchDevice(device, solved)
  const found = [
    residualThreat(device, residualA, specimens),
    overcurrentThreat(device, ampere, specimens),
    plugFuseThreat(device, ampere, specimens),
    arcThreat(rig, device, ampere, solved),
  ].filter((threat) => threat !== undefined)
  const poles = Object.fromEntries(
    device.poles.map((pole) => [pole, magnitude(solved.ampere(`${device.id}:${pole}`))]),
  )
  return found.map((threat) => ({ ...threat, poles }))
}

type One = Omit<Threat, 'poles'> | undefined

function residualThreat({ residual }: DevicePart, residualA: number, { rcdShare }: Specimens): One {
  const band = residual ? rcdBand(residual, residualA, rcdShare) : undefined
  return band && { cause: 'residual', opensS: band.usualS, ampere: residualA }
}

function overcurrentThreat(
  { overcurrent: device, ratingA }: DevicePart,
  ampere: number,
  { overcurrent }: Specimens,
): One {
  if (!device) return undefined
  const opensS = openingBand(device, ratingA, ampere)[overcurrent]
  if (opensS === Infinity) return undefined
  if (DEVICES[device.family].fuse !== null) return { cause: 'fuse', opensS, ampere }
  const [least, most] = MAGNETIC_BAND[device.curve!]
  const isMagnetic = ampere >= Math.sqrt(least * most) * ratingA
  return { cause: isMagnetic ? 'short' : 'overload', opensS, ampere }
}

function plugFuseThreat({ plugFuseA }: DevicePart, ampere: number, { overcurrent }: Specimens): One {
  if (plugFuseA === null) return undefined
  const opensS = plugFuseBand(plugFuseA, ampere)[overcurrent]
  return opensS < Infinity ? { cause: 'plugFuse', opensS, ampere } : undefined
}

/**
 * Stated simplification: an arc is declared in the rig, and every arc of a bay is this device's if it carries
 * the current.
 */
function arcThreat(rig: Rig, { detectsArcs }: DevicePart, ampere: number, solved: Solved): One {
  if (!detectsArcs) return undefined
  const arcs = rig.wires.filter(({ isArcing }) => isArcing).map(({ id }) => magnitude(solved.ampere(id)))
  const arc = Math.max(0, ...arcs)
  const opensS = arc <= ampere + 1e-9 ? arcTimeS(arc) : undefined
  return opensS === undefined ? undefined : { cause: 'arc', opensS, ampere: arc }
}
