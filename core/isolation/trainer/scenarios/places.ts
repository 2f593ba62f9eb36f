import { workingState } from '../../../bay/behaviour/state'
import {
  lights,
  lathe as latheCircuit,
  THREE_LINES,
  practiceInstallation,
  practiceRig,
  sockets,
} from '../../../bay/practice/installations'
import type { DevicePart, Rig } from '../../../bay/model/rig'
import type { World } from '../world'

/** Same numbers, same choice; 0 ≤ value < 1. */
export type Random = () => number
export const pick = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)]!

/** The workshop's board: two socket circuits and the pit lighting behind two RCDs. */
export const workshop = (): Rig =>
  practiceRig(
    'Workshop board',
    practiceInstallation(
      [
        sockets({ name: 'Bench sockets' }),
        lights({ name: 'Pit lighting' }),
        sockets({ id: 'c3', name: 'Store sockets', way: 3 }),
      ],
      { board: { name: 'Workshop board' } },
    ),
  )

/** A three-phase motor behind its breaker. */
export const lathe = (): Rig =>
  practiceRig(
    'Lathe board',
    practiceInstallation([latheCircuit()], {
      intake: THREE_LINES,
      board: { phases: 3, name: 'Lathe board' },
    }),
  )

/** An older board without RCDs: two lighting circuits. */
export const olderBoard = (): Rig =>
  practiceRig(
    'Stair board',
    practiceInstallation(
      [
        lights({ id: 'c1', name: 'Pit lighting', way: 1, points: 1, residualA: null }),
        lights({ id: 'c2', name: 'Stair lighting', way: 2, points: 1, residualA: null }),
      ],
      { board: { name: 'Stair board' } },
    ),
  )

/** What stands at every device, truly. */
export function trueChart(rig: Rig): Record<string, string> {
  const devices = rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.board !== null,
  )
  const runs = new Map(rig.runs.map(({ id, name }) => [id.replace(/run$/, ''), name]))
  return Object.fromEntries(
    devices
      .filter(({ role }) => role === 'way')
      .map((device) => [device.id, runs.get(device.circuit ?? '') ?? device.name]),
  )
}

/** A world with everything usual filled in: energised, lights on, single phase, no permit. */
export function worldOf(parts: Pick<World, 'rig' | 'point'> & Partial<World>): Omit<World, 'level'> {
  const state = workingState(parts.rig)
  return {
    state,
    phases: 1,
    needsPermit: false,
    workers: 1,
    chart: trueChart(parts.rig),
    surprises: [],
    ...parts,
  }
}
