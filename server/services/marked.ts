import { LRUCache } from 'lru-cache'
import { markDesign } from '#core/assessment/marking/mark-design'
import type { Marked } from '#core/assessment/marking/proposal'
import type { OtherBay } from '#core/testing/relations/sheet'
import { circuitOfKey } from '#core/testing/kinds/kinds'
import type { ScopeNames } from '#words/findings/findings'
import type { Attempt } from '../repos/attempts'
import type { Context } from './context'
import { assignmentFor } from './assignment'
import { workOf } from './inspections'
import { bayOf, readingMarks } from './test-sheet'

/**
 * Marks by attempt and versions of its sheet and inspection: a pile is looked at far more often than its
 * sheets change. By a repository that stays the same from one request to the next.
 */
const MARKED = new WeakMap<
  Context['repos']['attempts'],
  LRUCache<number, { readonly version: string; readonly marked: Marked }>
>()
const MOST = 2000

/** The attempt as it is marked without any assessor's word. */
export function markedOf(context: Pick<Context, 'repos'>, attempt: Attempt): Marked {
  const known = MARKED.get(context.repos.attempts) ?? new LRUCache({ max: MOST })
  MARKED.set(context.repos.attempts, known)
  const version = `${attempt.version} ${attempt.stage} ${context.repos.inspections.byAttempt(attempt.id)?.version ?? 0}`
  const before = known.get(attempt.id)
  if (before?.version === version) return before.marked
  const marked: Marked = {
    design: markDesign(assignmentFor(context, attempt), attempt.answers),
    readings: readingMarks(context, attempt, otherBays(context, attempt)),
    work: workOf(context, attempt),
  }
  known.set(attempt.id, { version, marked })
  return marked
}

/** What every other bay of the group should show, to recognise a figure that was copied. */
function otherBays(context: Pick<Context, 'repos'>, attempt: Attempt): OtherBay[] {
  return context.repos.attempts
    .byExercise(attempt.exerciseId)
    .filter((other) => other.id !== attempt.id)
    .flatMap((other) => {
      const bay = bayOf(context, other)
      return bay ? [{ bay: other.bay, expected: bay.expected }] : []
    })
}

/** Names of the circuits and boards on a sheet. */
export function scopeNames({ installation }: Pick<Attempt, 'installation'>, marked: Marked): ScopeNames {
  const used = new Set([
    ...marked.design.map(({ scope }) => scope),
    ...marked.readings.flatMap(({ reading }) => circuitOfKey(reading) ?? []),
  ])
  return Object.fromEntries(
    [...installation.circuits, ...installation.boards]
      .filter(({ id }) => used.has(id))
      .map(({ id, name }) => [id, name]),
  )
}
