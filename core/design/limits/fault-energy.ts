import type { Task } from '../model/task'
import { MAGNETIC_BAND } from '../../regulations/devices'
import { breakerEnergyA2s } from '../../regulations/let-through'
import { rcdTimeS } from '../../regulations/rcd'
import { INSTANTANEOUS_S, openingTimeS } from '../../regulations/time-current'

export interface FaultEnergy {
  /** Time in which the fault is cleared, s. */
  readonly timeS: number
  /** What the cpc must stand, A²s. */
  readonly energyA2s: number
  /** True where the breaker lets less through than I²t says. */
  readonly isLimited: boolean
  /** Smallest cpc for a material's k, mm²: S = √(I²t) ÷ k. */
  readonly areaMm2: (k: number) => number
}

/** Is an RCD delayed here? In front of others it must be, so that the one behind opens first. */
export const isRcdDelayed = (task: Pick<Task, 'use'>): boolean => task.use === 'distribution'

/** How long an earth fault of this size lasts, and the heat it leaves; whichever device opens first ends it. */
export function faultEnergy(task: Task, ratingA: number, residualA: number, faultA: number): FaultEnergy {
  const byCurrent = openingTimeS(task.device, ratingA, faultA)
  const byResidual = residualA > 0 ? rcdTimeS(residualA, isRcdDelayed(task), faultA) : undefined
  // A magnetic trip is not waited for by an RCD that may take as long.
  const timeS = byCurrent <= INSTANTANEOUS_S ? byCurrent : Math.min(byCurrent, byResidual ?? byCurrent)
  const { curve } = task.device
  const isMagnetic = curve !== null && faultA >= MAGNETIC_BAND[curve][1] * ratingA * 0.995
  const whole = faultA ** 2 * timeS
  const energyA2s = isMagnetic ? breakerEnergyA2s(curve, ratingA, faultA) : whole
  return { timeS, energyA2s, isLimited: energyA2s < whole, areaMm2: (k) => Math.sqrt(energyA2s) / k }
}
