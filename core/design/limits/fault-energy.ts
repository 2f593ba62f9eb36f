import type { Task } from '../model/task'
import { MAGNETIC_BAND } from '../../regulations/devices'
import { breakerEnergyA2s } from '../../regulations/book/let-through'
import { makerEnergyA2s, makerTimeS } from '../../regulations/maker-data'
import { rcdTimeS } from '../../regulations/rcd'
import { INSTANTANEOUS_S, openingTimeS } from '../../regulations/time-current'

export interface FaultEnergy {
  /** Time in which the fault is cleared, s. */
  readonly timeS: number
  /** What the cpc must stand, A²s. */
  readonly energyA2s: number
  /** Where the energy comes from: I² times the time, the energy limiting class, or the maker's data. */
  readonly by: 'time' | 'class' | 'maker'
  /** The time is the maker's, not the standard's. */
  readonly isMakersTime: boolean
  /** Smallest cpc for a material's k, mm²: S = √(I²t) ÷ k. */
  readonly areaMm2: (k: number) => number
}

/** Is an RCD delayed here? In front of others it must be, so that the one behind opens first. */
export const isRcdDelayed = (task: Pick<Task, 'use'>): boolean => task.use === 'distribution'

/** How long an earth fault of this size lasts, and the heat it leaves; whichever device opens first ends it. */
export function faultEnergy(task: Task, ratingA: number, residualA: number, faultA: number): FaultEnergy {
  const makersTimeS = task.maker && makerTimeS(task.maker, ratingA, faultA)
  const byCurrent = makersTimeS ?? openingTimeS(task.device, ratingA, faultA)
  const byResidual = residualA > 0 ? rcdTimeS(residualA, isRcdDelayed(task), faultA) : undefined
  // A magnetic trip is not waited for by an RCD that may take as long.
  const timeS = byCurrent <= INSTANTANEOUS_S ? byCurrent : Math.min(byCurrent, byResidual ?? byCurrent)
  const heat = energyOf(task, ratingA, faultA, timeS)
  return {
    timeS,
    ...heat,
    isMakersTime: timeS === makersTimeS,
    areaMm2: (k) => Math.sqrt(heat.energyA2s) / k,
  }
}

/** The heat of a fault that lasts this long, as far as the device lets it through. */
function energyOf(
  task: Task,
  ratingA: number,
  faultA: number,
  timeS: number,
): Pick<FaultEnergy, 'energyA2s' | 'by'> {
  const makers = task.maker && makerEnergyA2s(task.maker, ratingA, faultA)
  if (makers !== undefined) return { energyA2s: makers, by: 'maker' }
  const whole = faultA ** 2 * timeS
  const { curve } = task.device
  const isMagnetic = curve !== null && faultA >= MAGNETIC_BAND[curve][1] * ratingA * 0.995
  const energyA2s = isMagnetic ? Math.min(whole, breakerEnergyA2s(task.book, curve, ratingA, faultA)) : whole
  return { energyA2s, by: energyA2s < whole ? 'class' : 'time' }
}
