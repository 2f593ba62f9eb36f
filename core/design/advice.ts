import type { Task } from '../exercise/task'
import { note, type Finding } from '../findings/finding'
import { DECLARED_ZE_OHM, STABLE_ELECTRODE_OHM, U0_V } from '../regulations/supply'

/** A 13 A socket radial is usually given more than this, so that one large plug does not trip it; common practice, no source. */
const SMALL_FOR_SOCKETS_A = 16
/** How far Ipf × Ze may lie from U0 where neutral and earth are one conductor. */
const FAULT_CURRENT_SLACK = 0.3

/** What an instructor may want to look at again though the task has a solution. Nothing here prevents anything. */
export function taskAdvice(task: Task, ratingA: number): Finding[] {
  const { arrangement, zeOhm, ipfA } = task.supply
  const advice: Finding[] = []
  const declared = DECLARED_ZE_OHM[arrangement]
  if (declared !== undefined && zeOhm > declared) advice.push(note('advice.zeAboveDeclared', { zeOhm, declared, arrangement }))
  if (arrangement === 'TT' && zeOhm > STABLE_ELECTRODE_OHM) advice.push(note('advice.electrodeUnstable', { zeOhm, stable: STABLE_ELECTRODE_OHM }))
  if (arrangement === 'TN-C-S' && Math.abs((ipfA * zeOhm) / U0_V - 1) > FAULT_CURRENT_SLACK) advice.push(note('advice.faultCurrent', { fits: U0_V / zeOhm }))
  if (task.use === 'sockets' && ratingA <= SMALL_FOR_SOCKETS_A) advice.push(note('advice.smallForSockets', { ratingA }))
  return advice
}
