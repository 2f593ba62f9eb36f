import type { StageEvent } from '#schemas/marking-views'
import { permissionUntil } from '#core/exercise/attempt/permission'
import { after, type Act, type Stage } from '#core/exercise/attempt/stages'
import type { Attempt } from '../repos/attempts'
import type { Context } from './context'
import { Problem } from './problem'

const RUN_OUT = 'The permission has run out. Ask again before anything is measured live.'

/** Is the permission of a live attempt over? */
function isRunOut({ repos, now }: Pick<Context, 'repos' | 'now'>, attempt: Attempt): boolean {
  if (attempt.stage !== 'live') return false
  const until = permissionUntil(repos.attempts.events(attempt.id))
  return until === null || until <= now
}

/** The attempt as it stands now, looked at only: a permission that has run out is one no longer. */
export const inForce = (context: Context, attempt: Attempt): Attempt =>
  isRunOut(context, attempt) ? { ...attempt, stage: nextStage(attempt, 'expire') } : attempt

/**
 * The same before something is done: that the permission has run out is written down. The caller holds a
 * transaction.
 */
export function settled(context: Context, attempt: Attempt): Attempt {
  if (!isRunOut(context, attempt)) return attempt
  const { repos, now } = context
  repos.attempts.expire(attempt.id, nextStage(attempt, 'expire'))
  repos.attempts.addEvent(attempt.id, 'expire', attempt.personId, now, RUN_OUT)
  return repos.attempts.byId(attempt.id)!
}

/** Events as they are told: that a permission has run out also before anybody has written it down. */
export function eventsOf(context: Context, attempt: Attempt): readonly StageEvent[] {
  const events = context.repos.attempts.events(attempt.id)
  const isUnwritten = attempt.stage === 'dead' && permissionUntil(events) !== null
  const at = permissionUntil(events)
  return isUnwritten && at ? [...events, ranOut(attempt.personName, at)] : events
}

/** That a permission has run out, as it is told before anybody has written it down. */
export const ranOut = (by: string, at: string): StageEvent => ({ act: 'expire', by, at, note: RUN_OUT })

/** The stage that follows, or the refusal. */
export function nextStage(attempt: Attempt, what: Act): Stage {
  const stage = after(attempt.stage, what)
  if (!stage) throw new Problem('wrongStage')
  return stage
}
