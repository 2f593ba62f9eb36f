import { buildRig } from '../../bay/build/build'
import type { Rig } from '../../bay/model/rig'
import { designOf, type Assignment } from '../../exercise/assignment'
import { WHOLE_BOARD } from '../../exercise/exercise'
import { expectedReadings, type Expected } from '../expected/expected'
import { circuitSchedule, scheduleOf } from '../plan/schedule'
import type { JudgedBay } from './judge'

/** A bay as it is meant, with its schedule and what each test should show. */
export interface BayUnderTest extends JudgedBay {
  readonly rig: Rig
}

/** What a bay under test is made of. */
export type TestedAssignment = Pick<Assignment, 'edition' | 'policy' | 'book' | 'installation' | 'tests'>

/**
 * The bay of an assignment that is tested, whole or one circuit of it: built as designed, its schedule, and what each
 * test should show. Undefined where nothing is tested or a circuit has no design. Some milliseconds a circuit; a tenth
 * of it where what the tests should show has been worked out elsewhere, in `expected`.
 */
export function bayUnderTest(
  assignment: TestedAssignment,
  name: string,
  expected?: Expected,
): BayUnderTest | undefined {
  const { edition, policy, installation, tests } = assignment
  if (tests === null) return undefined
  const design = designOf(assignment)
  const rig = buildRig(installation, design, name)
  if (!rig) return undefined
  const rules = { edition, rcdTests: policy.residualTests ?? 'edition' }
  const schedule = tests === WHOLE_BOARD ? scheduleOf(rig, rules) : circuitSchedule(rig, rules, tests)
  const { arrangement } = installation.intake
  const shows = expected ?? expectedReadings(rig, design, schedule)
  return { rig, design, schedule, expected: shows, edition, arrangement }
}
