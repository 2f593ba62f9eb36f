import { faultClearedByRcd, maximumZsOhm, sizeFor } from './limits/limits'
import type { CircuitDesign } from './reference'
import type { Task } from './model/task'

/**
 * Rule of thumb for a cold measurement; common practice (On-Site Guide Appendix B values are about 0.8 of
 * Table 41.3).
 */
const COLD_FRACTION = 0.8

/**
 * How the limit of a measured Zs comes about: by the RCD, by four fifths of the table, or by correcting the
 * conductors.
 */
export type ZsLimitRule = 'rcd' | 'eightyPercent' | 'corrected'

export function zsLimitRule(task: Task): ZsLimitRule {
  if (faultClearedByRcd(task)) return 'rcd'
  return task.measuredZs === 'eighty-percent' ? 'eightyPercent' : 'corrected'
}

/**
 * What a measured Zs is compared with, Ω, by the policy of the centre; undefined for a circuit without a
 * design. An RCD's limit needs no cold correction.
 */
export function measuredZsLimitOhm({ task, values }: CircuitDesign): number | undefined {
  const { in: ratingA, csa, residual = 0 } = values
  if (ratingA === undefined || csa === undefined) return undefined
  const limit = maximumZsOhm(task, ratingA, residual)
  if (faultClearedByRcd(task) && residual > 0) return limit
  if (task.measuredZs === 'eighty-percent') return COLD_FRACTION * limit
  // Own correction: only the installation's conductors warm up, the supply's share does not.
  return task.supply.zeOhm + (limit - task.supply.zeOhm) / sizeFor(task, csa)!.hotMultiplier
}
