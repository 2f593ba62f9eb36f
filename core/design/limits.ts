import type { Task } from '../exercise/task'
import { breakerMaximumZsOhm, residualMaximumZsOhm } from '../regulations/breakers'
import { sizesOf, type CableSize } from '../regulations/cables'
import { HOT_MULTIPLIER, pairOhmPerM } from '../regulations/conductors'
import { residualNeeds } from './residual-needs'
import { U0_V, voltDropFraction } from '../regulations/supply'

/** Smallest line conductor for the use, mm²; BS 7671 Table 52.3 (from memory): lighting 1.0, power 1.5. */
export const minimumAreaMm2 = (task: Task): number => (task.use === 'lighting' ? 1 : 1.5)

/** Allowed voltage drop, V. */
export const voltDropLimitV = (task: Task): number => voltDropFraction(task.use) * U0_V

/** Voltage drop at the far point, V, for the whole load there. */
export const voltDropV = (task: Task, size: CableSize, ib: number): number => size.voltDropVPerAm * ib * task.lengthM

/** Zs at the far point with the conductors at 70 °C, Ω. */
export function hotZsOhm(task: Task, size: CableSize): number {
  return task.supply.zeOhm + pairOhmPerM(size) * task.lengthM * HOT_MULTIPLIER
}

/** Does the RCD, not the breaker, clear an earth fault here? In TT it does; in TN the breaker alone must. */
export const faultClearedByResidual = (task: Task): boolean => task.supply.arrangement === 'TT'

/** The limit that Zs must not pass, Ω: by residual current in TT, by the magnetic trip in TN. */
export function maximumZsOhm(task: Task, ratingA: number, residualA: number): number {
  if (faultClearedByResidual(task) && residualA > 0) return residualMaximumZsOhm(residualA)
  return breakerMaximumZsOhm(task.device.curve, ratingA)
}

/** Largest rated residual current that all rules allow, A, or 0 where none is needed. */
export function neededResidualA(task: Task, ratingA: number): number {
  const needs = residualNeeds(task, ratingA)
  return needs.length === 0 ? 0 : Math.min(...needs.map((need) => need.maximumA))
}

/** What one cable size fails first, or nothing: capacity, then voltage drop, then the fault loop. */
export function sizeFails(task: Task, size: CableSize, needs: { itMin: number; ib: number; in: number }): 'area' | 'capacity' | 'voltDrop' | 'loop' | undefined {
  if (size.lineMm2 < minimumAreaMm2(task)) return 'area'
  if (size.ratingA < needs.itMin) return 'capacity'
  if (voltDropV(task, size, needs.ib) > voltDropLimitV(task)) return 'voltDrop'
  if (hotZsOhm(task, size) > maximumZsOhm(task, needs.in, neededResidualA(task, needs.in))) return 'loop'
  return undefined
}

/** The smallest size that satisfies everything, and what ruled out the size below it. */
export function smallestSize(task: Task, needs: { itMin: number; ib: number; in: number }): { size?: CableSize; ruledOutBy?: ReturnType<typeof sizeFails> } {
  let ruledOutBy: ReturnType<typeof sizeFails>
  for (const size of sizesOf(task.cable.kind, task.cable.method)) {
    const fails = sizeFails(task, size, needs)
    if (!fails) return { size, ruledOutBy }
    ruledOutBy = fails
  }
  return { ruledOutBy }
}
