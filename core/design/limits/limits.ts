import type { Task } from '../model/task'
import { deviceZsOhm, disconnectionS, rcdZsOhm, sizesIn, voltDropShare } from '../../regulations/book/book'
import { pairOhmPerM, type CableSize } from '../../regulations/cables/sizes'
import { U0_V, nominalV } from '../../regulations/supply'
import { dropFactor, type SizeNeeds } from './counted-drop'
import { faultEnergy } from './fault-energy'
import { neededRcdA } from './rcd-needs'

/** The rows that the task's cable offers. */
export const sizesFor = (task: Task): readonly CableSize[] =>
  sizesIn(task.book, task.cable.kind, task.cable.method, task.phases)

/** The row of one line area, if the cable is made in it. */
export const sizeFor = (task: Task, lineMm2: number): CableSize | undefined =>
  sizesFor(task).find((size) => size.lineMm2 === lineMm2)

/** A ring in mineral-insulated cable may be of this size, mm². */
const MINERAL_RING_MM2 = 1.5

/**
 * Smallest line conductor, mm²: BS 7671 Table 52.3 (lighting 1.0, power 1.5), and 433.1.204 for rings (2.5,
 * mineral 1.5); from memory.
 */
export function minimumAreaMm2(task: Task): number {
  const { ringLeastMm2, lightingLeastMm2, powerLeastMm2 } = task.book.values.parameters
  if (task.topology === 'ring') return task.cable.kind === 'mineral' ? MINERAL_RING_MM2 : ringLeastMm2
  return task.use === 'lighting' ? lightingLeastMm2 : powerLeastMm2
}

/** Allowed voltage drop of this circuit, V: what the run to its board has left. */
export const voltDropLimitV = (task: Task): number =>
  Math.max(0, voltDropShare(task.book, task.use) - task.dropAbove) * nominalV(task.phases)

/**
 * How much of current times length counts for the drop: equal loads at equal distances count (n + 1) ÷ 2n, and the two
 * halves of a ring share the current over half the way each.
 */
export function dropShare(task: Task): number {
  const isRing = task.topology === 'ring'
  const whenSpread = isRing ? 0.5 : (task.points + 1) / (2 * task.points)
  const spread = task.isSpread ? whenSpread : 1
  return isRing ? spread / 4 : spread
}

/**
 * Voltage drop at the furthest point, V: at the conductor's full temperature, or at the one that it has, as
 * the centre counts it.
 */
export const voltDropV = (task: Task, size: CableSize, needs: SizeNeeds): number =>
  size.voltDropVPerAm * needs.ib * task.lengthM * dropShare(task) * dropFactor(task, size, needs)

/**
 * Metres of line and cpc in series that a fault at the furthest point meets: of a ring a quarter of its
 * length, and the spur.
 */
export const loopMetres = (task: Task): number =>
  task.topology === 'ring' ? task.lengthM / 4 + task.spurM : task.lengthM

/** Zs at the furthest point with the conductors at their operating temperature, Ω. */
export const hotZsOhm = (task: Task, size: CableSize): number =>
  task.supply.zeOhm + pairOhmPerM(size) * loopMetres(task) * size.hotMultiplier

/**
 * Does the RCD, not the overcurrent device, clear an earth fault here? In TT it does; in TN the overcurrent
 * device alone must.
 */
export const faultClearedByRcd = (task: Task): boolean => task.supply.arrangement === 'TT'

export const timeLimitS = (task: Task, ratingA: number): number =>
  disconnectionS(task.book, task.supply.arrangement, task.use, ratingA)

/** The limit that Zs must not pass, Ω: by residual current in TT, by the overcurrent device in TN. */
export function maximumZsOhm(task: Task, ratingA: number, residualA: number): number {
  if (faultClearedByRcd(task) && residualA > 0) return rcdZsOhm(task.book, residualA)
  return deviceZsOhm(task.book, task.device, ratingA, timeLimitS(task, ratingA)) ?? 0
}

/** Earth fault current at the furthest point, A. */
export const faultCurrentA = (zsOhm: number): number => U0_V / zsOhm

export type SizeFailure = 'area' | 'capacity' | 'voltDrop' | 'loop' | 'adiabatic'

/** What one cable size fails first, or nothing: capacity, voltage drop, the fault loop, the cpc's own heat. */
export function sizeFails(task: Task, size: CableSize, needs: SizeNeeds): SizeFailure | undefined {
  if (size.lineMm2 < minimumAreaMm2(task)) return 'area'
  if (size.ratingA < needs.itMin * (1 - 1e-9)) return 'capacity'
  if (voltDropV(task, size, needs) > voltDropLimitV(task)) return 'voltDrop'
  const residualA = neededRcdA(task, needs.in)
  const zs = hotZsOhm(task, size)
  if (zs > maximumZsOhm(task, needs.in, residualA)) return 'loop'
  if (faultEnergy(task, needs.in, residualA, faultCurrentA(zs)).areaMm2(size.k) > size.cpcMm2)
    return 'adiabatic'
  return undefined
}

/** The smallest size that satisfies everything, and what ruled out the size below it. */
export function smallestSize(task: Task, needs: SizeNeeds): { size?: CableSize; ruledOutBy?: SizeFailure } {
  let ruledOutBy: SizeFailure | undefined
  for (const size of sizesFor(task)) {
    const fails = sizeFails(task, size, needs)
    if (!fails) return { size, ruledOutBy }
    ruledOutBy = fails
  }
  return { ruledOutBy }
}
