import { LRUCache } from 'lru-cache'
import { markDesign } from '#core/assessment/marking/mark-design'
import type { Marked } from '#core/assessment/marking/proposal'
import type { OtherBay } from '#core/testing/relations/sheet'
import { circuitOfKey } from '#core/testing/kinds/kinds'
import type { ScopeNames } from '#words/findings/findings'
import type { Attempt } from '../repos/attempts'
import type { StoredInspection } from '../repos/inspections'
import type { Context } from './context'
import { assignmentFor } from './assignment'
import { workOf } from './inspection-work'
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

/** What is read beside sheets that are marked together: their group, and what was inspected. */
export interface Beside {
  readonly group: readonly Attempt[]
  readonly inspections: ReadonlyMap<number, StoredInspection>
}
export const besideAll = ({ repos }: Pick<Context, 'repos'>, group: readonly Attempt[]): Beside => ({
  group,
  inspections: repos.inspections.ofAttempts(group.map(({ id }) => id)),
})

/** What marks belong to: the sheet and what was inspected of it. */
const versionOf = ({ version, stage }: Attempt, inspection: StoredInspection | undefined): string =>
  `${version} ${stage} ${inspection?.version ?? 0}`

/** Are the marks of this attempt kept as it stands? */
export const isMarkKept = ({ repos }: Pick<Context, 'repos'>, attempt: Attempt): boolean =>
  MARKED.get(repos.attempts)?.get(attempt.id)?.version ===
  versionOf(attempt, repos.inspections.byAttempt(attempt.id))

/** The attempt as it is marked without any assessor's word; `beside` where a group is marked at once. */
export function markedOf(context: Pick<Context, 'repos'>, attempt: Attempt, beside?: Beside): Marked {
  const { repos } = context
  const known = MARKED.get(repos.attempts) ?? new LRUCache({ max: MOST })
  MARKED.set(repos.attempts, known)
  const inspection = beside ? beside.inspections.get(attempt.id) : repos.inspections.byAttempt(attempt.id)
  const version = versionOf(attempt, inspection)
  const before = known.get(attempt.id)
  if (before?.version === version) return before.marked
  const group = beside?.group ?? repos.attempts.ofGroup(attempt.exerciseId, attempt.cohort)
  const marked: Marked = {
    design: markDesign(assignmentFor(context, attempt), attempt.answers),
    readings: readingMarks(context, attempt, otherBays(context, attempt, group)),
    work: workOf(context, attempt, inspection),
  }
  known.set(attempt.id, { version, marked })
  return marked
}

/** What every other bay of the group should show, to recognise a figure that was copied. */
function otherBays(context: Pick<Context, 'repos'>, attempt: Attempt, group: readonly Attempt[]): OtherBay[] {
  return group
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
