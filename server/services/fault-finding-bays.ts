import { practiceBay } from '#core/bay/practice/bays'
import type { Rig } from '#core/bay/model/rig'
import { scheduleOf, type ScheduleTest } from '#core/testing/plan/schedule'
import { Problem } from './problem'

/** Practice bays with circuits enough to search in. */
export const FAULT_FINDING_BAYS = ['ring', 'heaters', 'split']
export const FAULT_FINDING_RULES = { edition: '18-A2', rcdTests: 'edition' } as const

/** The sound bay of this code, or a refusal where faults are not searched there. */
export function faultFindingRig(code: string): Rig {
  if (!FAULT_FINDING_BAYS.includes(code)) throw new Problem('notFound')
  return practiceBay(code)!.rig()
}

/** The test of this key at the bay; undefined where it has none. */
export const testAt = (rig: Rig, key: string): ScheduleTest | undefined =>
  scheduleOf(rig, FAULT_FINDING_RULES).find((test) => test.key === key)
