import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { may, seesGroup } from './access'
import type { Context } from './context'
import { groupShown } from './exercises'
import { isMarkKept } from './marked'
import { keepBays } from './test-sheet'

/** A sheet is marked beside the others of its group: all that have the same exercise. */
export const besideOf = (
  { repos }: Pick<Context, 'repos'>,
  { exerciseId, cohort }: Attempt,
): readonly Attempt[] => repos.attempts.ofGroup(exerciseId, cohort)

/**
 * The bays beside which this sheet is marked are worked out before the use case that needs them, which itself waits for
 * nothing. Nothing is done where its marks are kept, nor at the design, where nothing is marked. For somebody who may not
 * see the sheet nothing is done either; the use case refuses in its own words.
 */
export async function readyBeside(context: Context, actor: Person, attemptId: number): Promise<void> {
  const attempt = context.repos.attempts.byId(attemptId)
  const isSeen = (of: Attempt) => may(actor, 'attempt.see') && seesGroup(actor, of.cohort)
  if (!attempt || !(attempt.personId === actor.id || isSeen(attempt))) return
  if (attempt.stage === 'design' || isMarkKept(context, attempt)) return
  await keepBays(context, besideOf(context, attempt))
}

/** The same for a whole group of an exercise. */
export async function readyGroup(
  context: Context,
  actor: Person,
  exerciseId: number,
  wanted: string | null,
): Promise<void> {
  if (!may(actor, 'attempt.see')) return
  const { cohort } = groupShown(context, actor, exerciseId, wanted)
  await keepBays(context, context.repos.attempts.ofGroup(exerciseId, cohort))
}
