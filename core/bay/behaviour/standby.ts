import type { Element } from '../network/network'
import type { Changeover, Rig, StandbySource } from '../model/rig'
import { partIdOf } from '../model/terminals'
import { ZERO } from '../network/complex'
import type { Solved } from '../network/solve'
import type { BayState } from './state'
import type { LoadsAt } from './load-elements'
import { impedance, lineElements } from './supply-elements'

/** Where its own conductors join its terminals, Ω. */
const JOINT_OHM = 0.5e-3
/** Below this share of its voltage the grid counts as gone; common practice, no source. */
const GONE_BELOW = 0.5

/** Its lines while it runs, and its neutral, joined to its own earth terminal. */
export function standbyElements(part: StandbySource, { state, hertz }: LoadsAt): Element[] {
  const { id } = part
  return [
    ...lineElements(part, state.inUse[id] ?? false, hertz),
    impedance(`${id}:N`, `${id}:star`, `${id}.N`, JOINT_OHM),
    impedance(`${id}:bond`, `${id}:star`, `${id}.E`, JOINT_OHM),
  ]
}

/** The standby source that a change-over joins; its own isolator may stand between. */
export function standbyOf(rig: Rig, { id }: Changeover): StandbySource | undefined {
  const beside = (part: string, terminal = '') =>
    rig.wires.flatMap(({ from, to }) => {
      const isHere = (ref: string) => partIdOf(ref) === part && ref.endsWith(terminal)
      return [...(isHere(from) ? [partIdOf(to)] : []), ...(isHere(to) ? [partIdOf(from)] : [])]
    })
  const near = beside(id, ' standby')
  const reached = new Set([...near, ...near.flatMap((part) => beside(part))])
  return rig.parts.find((part): part is StandbySource => part.kind === 'standby' && reached.has(part.id))
}

/** Is the grid gone at this change-over? */
export function isGridGone({ id, poles }: Changeover, solved: Solved, ratedV: number): boolean {
  const at = (pole: string) => solved.volt(`${id}.${pole} grid`)
  const back = poles.includes('N') ? at('N') : ZERO
  return poles.some((pole) => {
    if (pole === 'N') return false
    const line = at(pole)
    return Math.hypot(line.re - back.re, line.im - back.im) < GONE_BELOW * ratedV
  })
}

/** A change-over that wants to go over, and to which side. */
export interface Overdue {
  readonly changeover: Changeover
  readonly toStandby: boolean
}

/**
 * Automatic change-overs that stand on the wrong side: on the grid though it is gone, once it had been
 * there, or on the standby source though the grid is back.
 */
export function overdueIn(rig: Rig, state: BayState, solved: Solved, ratedV: number): Overdue[] {
  return rig.parts.flatMap((part): Overdue[] => {
    if (part.kind !== 'changeover' || part.afterS === null) return []
    const isGone = isGridGone(part, solved, ratedV)
    const isOnStandby = state.thrown[part.id] ?? false
    if (isGone === isOnStandby || (isGone && !state.running[part.id])) return []
    return [{ changeover: part, toStandby: isGone }]
  })
}

/** The state once it has gone over: its source runs as long as it is wanted. */
export function goneOver(rig: Rig, state: BayState, { changeover, toStandby }: Overdue): BayState {
  const source = standbyOf(rig, changeover)
  return {
    ...state,
    thrown: { ...state.thrown, [changeover.id]: toStandby },
    inUse: source ? { ...state.inUse, [source.id]: toStandby } : state.inUse,
  }
}

/**
 * Change-overs that have had the grid, as running parts: they go over only when it has been there. With a
 * solution those that have it now are among them.
 */
export const gridRemembered = (
  rig: Rig,
  { running }: BayState,
  now?: { readonly solved: Solved; readonly ratedV: number },
): BayState['running'] =>
  Object.fromEntries(
    rig.parts.flatMap((part) => {
      if (part.kind !== 'changeover' || part.afterS === null) return []
      const hasIt = now !== undefined && !isGridGone(part, now.solved, now.ratedV)
      return running[part.id] || hasIt ? [[part.id, true]] : []
    }),
  )
