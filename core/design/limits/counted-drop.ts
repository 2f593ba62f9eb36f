import { CABLES, type CableSize } from '../../regulations/cables/sizes'
import type { Task } from '../model/task'
import type { StepValues } from '../model/step'

/** What the cable must carry once the factors have taken their share, A: In, or 20 A in each leg of a ring. */
export const carriedA = (task: Task, ratingA: number): number =>
  task.topology === 'ring' ? task.book.values.parameters.ringCableA : ratingA

/** Ambient temperature that the rating tables are made for, °C. */
export const TABLE_AMBIENT_C = 30
/** Temperature below zero at which copper's resistance would vanish on the straight line, °C. */
export const COPPER_ORIGIN_C = 230

/** What a leg of a ring carries of the load, or a radial of all of it, A. */
export const carriedLoadA = (task: Task, ib: number, ratingA: number): number =>
  task.topology === 'ring' ? ib * (carriedA(task, ratingA) / ratingA) : ib

/** Ct of a conductor that this load does not bring to its full temperature, at most 1; BS 7671 Appendix 4, 6.1. */
export function temperatureFactor(
  task: Task,
  { ib, in: ratingA, it, ca, cg }: Required<Pick<StepValues, 'ib' | 'in' | 'it' | 'ca' | 'cg'>>,
): number {
  const tp = CABLES[task.cable.kind].conductorC
  const share = ca ** 2 * cg ** 2 - (carriedLoadA(task, ib, ratingA) / it) ** 2
  const whole = COPPER_ORIGIN_C + tp
  return Math.min(1, (whole - share * (tp - TABLE_AMBIENT_C)) / whole)
}

/**
 * What a conductor is chosen by. The factors count where the centre corrects the voltage drop for its
 * temperature.
 */
export interface SizeNeeds {
  readonly itMin: number
  readonly ib: number
  readonly in: number
  readonly ca: number
  readonly cg: number
}

export const sizeNeeds = (values: StepValues): SizeNeeds => ({
  itMin: values.itMin!,
  ib: values.ib!,
  in: values.in!,
  ca: values.ca ?? 1,
  cg: values.cg ?? 1,
})

/** By what the tabulated drop of this size is multiplied under the centre's policy. */
export const dropFactor = (task: Task, size: CableSize, needs: SizeNeeds): number =>
  task.warmDrop === 'corrected' ? temperatureFactor(task, { ...needs, it: size.ratingA }) : 1
