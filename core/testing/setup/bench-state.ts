import { deadState, workingState, type BayState } from '../../bay/behaviour/state'
import type { DevicePart, Part, Rig } from '../../bay/model/rig'
import { partIdOf } from '../../bay/model/terminals'
import { isPoint } from './circuit-ends'

/** A slip at the bench: lamps left in, a switch left open, each leg of a ring joined with itself. */
export interface PrepareOptions {
  readonly lampsIn?: boolean
  readonly switchesOn?: boolean
  readonly ownLegs?: boolean
}

const marks = (parts: readonly Part[], value = true): Readonly<Record<string, boolean>> =>
  Object.fromEntries(parts.map(({ id }) => [id, value]))

/** Every test of a bay asks how it stands; parts never change. */
const DEAD = new WeakMap<readonly Part[], Map<string, BayState>>()
const LIVE = new WeakMap<Rig, Map<string, BayState>>()
function keptFor<K extends object>(
  kept: WeakMap<K, Map<string, BayState>>,
  of: K,
  key: string,
  make: () => BayState,
): BayState {
  const known = kept.get(of) ?? new Map<string, BayState>()
  kept.set(of, known)
  const state = known.get(key) ?? make()
  known.set(key, state)
  return state
}

/** Supply off, ways open, lamps out, switches and isolators closed. */
export const deadBench = (rig: Rig, { lampsIn = false, switchesOn = true }: PrepareOptions = {}): BayState =>
  keptFor(DEAD, rig.parts, `${lampsIn} ${switchesOn}`, () => makeDead(rig, { lampsIn, switchesOn }))

function makeDead(rig: Rig, { lampsIn, switchesOn }: PrepareOptions): BayState {
  const local = rig.parts.filter(
    (part) => part.kind === 'device' && (part.role === 'isolator' || part.role === 'connection-unit'),
  )
  const switches = rig.parts.filter((part) => part.kind === 'switch' && part.action === 'one-way')
  return {
    ...deadState(rig),
    closed: marks(local),
    thrown: marks(switches, switchesOn),
    ...(lampsIn ? {} : { inUse: {} }),
  }
}

/** Supply on at the intake, every device open. */
export const intakeBench = (rig: Rig): BayState => ({ ...deadState(rig), isSupplyOn: true })

/** One circuit at a time: everything energised but the other ways, nothing in use. */
export const liveBench = (rig: Rig, way: string): BayState =>
  keptFor(LIVE, rig, way, () => makeLive(rig, way))

function makeLive(rig: Rig, way: string): BayState {
  const working = workingState(rig)
  const others = rig.parts.filter(
    (part) => part.kind === 'device' && part.role === 'way' && part.id !== way && !feeds(rig, part.id, way),
  )
  return { ...working, inUse: {}, closed: { ...working.closed, ...marks(others, false) } }
}

/** The same with everything of the circuit running. */
export function loadedBench(rig: Rig, way: string, circuit: string): BayState {
  const loads = marks(rig.parts.filter((part) => part.circuit === circuit && isPoint(part)))
  return { ...liveBench(rig, way), inUse: loads, running: loads }
}

/** A way that feeds the board in which the other one stands stays closed. */
function feeds(rig: Rig, upper: string, lower: string): boolean {
  const boardOf = (id: string) => rig.parts.find((part) => part.id === id)?.board
  const board = boardOf(lower)
  if (boardOf(upper) === board) return false
  const incoming = rig.parts.filter(
    (part): part is DevicePart =>
      part.kind === 'device' && part.role === 'main-switch' && part.board === board,
  )
  return rig.wires.some(({ from, to }) => {
    const ends = [partIdOf(from), partIdOf(to)]
    return ends.includes(upper) && incoming.some(({ id }) => ends.includes(id))
  })
}
