import { changePart } from '#core/bay/faults/edit'
import type { Rig, Socket } from '#core/bay/model/rig'

/** A heater of this power to plug in at a socket. */
export const withLoad = (rig: Rig, socket: string, watt: number): Rig =>
  changePart<Socket>(rig, socket, { load: { kind: 'resistive', watt } })

/** A charger whose filter leaks this much to earth. */
export const anElectronicLoad = (rig: Rig, socket: string, earthLeakA: number): Rig =>
  changePart<Socket>(rig, socket, { load: { kind: 'electronic', watt: 200, powerFactor: 0.95, earthLeakA } })
