import { buildRig } from '#core/bay/build/build'
import { designOf } from '#core/exercise/assignment'
import { concludeInspection, type Conclusion } from '#core/inspection/conclude'
import { inspectionItems, type InspectionItem } from '#core/inspection/items'
import { workMarks, type WorkMark } from '#core/inspection/work-mark'
import type { Attempt } from '../repos/attempts'
import type { StoredInspection } from '../repos/inspections'
import { may } from './access'
import { assignmentFor } from './assignment'
import type { Context } from './context'

export function itemsFor(context: Pick<Context, 'repos'>, attempt: Attempt): InspectionItem[] {
  const assignment = assignmentFor(context, attempt)
  const rig = buildRig(assignment.installation, designOf(assignment), `Bay ${attempt.bay}`)
  return rig ? inspectionItems(rig, assignment.policy) : []
}

/** Marks of an inspection that an assessor has gone over last, with its version; none before that. */
export function workOf(
  context: Pick<Context, 'repos'>,
  attempt: Attempt,
  stored = context.repos.inspections.byAttempt(attempt.id),
): readonly WorkMark[] {
  if (!stored || !isAssessors(context, stored)) return []
  const items = itemsFor(context, attempt)
  return workMarks(items, concludeInspection(items, stored.fields))
}

export const isAssessors = ({ repos }: Pick<Context, 'repos'>, { savedBy }: StoredInspection): boolean =>
  savedBy !== null && may(repos.people.byId(savedBy)!, 'attempt.mark')

/** What an inspection says so far; undefined where nobody has begun. */
export function inspectionOf(context: Pick<Context, 'repos'>, attempt: Attempt): Conclusion | undefined {
  const stored = context.repos.inspections.byAttempt(attempt.id)
  return stored && concludeInspection(itemsFor(context, attempt), stored.fields)
}
