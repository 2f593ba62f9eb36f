import type { TrustPolicy } from '#core/policies/trust'
import type { RetentionItem } from '#schemas/trust-views'
import type { Person } from '../repos/people'
import { KEPT_KINDS, type KeptKind } from '../repos/retention'
import { allow } from './access'
import type { Context } from './context'
import { Problem } from './problem'

const YEARS_OF: Readonly<Record<KeptKind, keyof TrustPolicy>> = {
  practice: 'keepPracticeYears',
  photographs: 'keepPhotographYears',
  leavers: 'keepLeaverYears',
}

/** What is older than this goes; null where the kind is kept for ever. */
function limitOf({ repos, now }: Context, kind: KeptKind): string | null {
  const years = Number(repos.centre.trust()[YEARS_OF[kind]])
  if (years === 0) return null
  const limit = new Date(now)
  limit.setUTCFullYear(limit.getUTCFullYear() - years)
  return limit.toISOString()
}

/** What is kept for longer than the centre wants, kind by kind. */
export function listRetention(context: Context, actor: Person): RetentionItem[] {
  allow(actor, 'backups.keep')
  return KEPT_KINDS.map((kind) => {
    const before = limitOf(context, kind)
    return { kind, before, count: before === null ? 0 : context.repos.retention.count(kind, before) }
  })
}

/** Removes it. The count that stood on the screen confirms it: more than was seen never goes. */
export function removeOld(
  context: Context,
  actor: Person,
  kind: KeptKind,
  seenCount: number,
): RetentionItem[] {
  allow(actor, 'backups.keep')
  const { repos, now } = context
  repos.transaction(() => {
    const before = limitOf(context, kind)
    if (before === null) throw new Problem('keptForEver')
    const count = repos.retention.count(kind, before)
    if (count !== seenCount)
      throw new Problem('changedSince', { extra: { theirs: listRetention(context, actor) } })
    if (kind === 'practice') repos.retention.removePractice(before)
    if (kind === 'photographs') repos.retention.removePhotographs(before)
    if (kind === 'leavers') for (const id of repos.retention.leavers(before)) repos.people.erase(id, now)
    repos.audit.add(now, actor.id, 'oldRemoved', `${count} of ${kind} before ${before.slice(0, 10)}`)
  })
  return listRetention(context, actor)
}
