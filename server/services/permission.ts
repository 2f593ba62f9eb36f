import { energiseGate } from '#core/testing/judge/gate'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import { readingMarks } from './test-sheet'
import type { Context } from './context'
import { Problem } from './problem'
import { nextStage } from './stages'

/** Gives or refuses permission to energise, by name and time. Never gives it past a shut gate. */
export function decidePermission(
  { repos, now }: Context,
  actor: Person,
  id: number,
  granted: boolean,
  reason: string,
): void {
  allow(actor, 'energise.permit')
  repos.transaction(() => {
    const attempt = found(repos.attempts.byId(id))
    const stage = nextStage(attempt, granted ? 'permit' : 'refuse')
    if (granted && !energiseGate(readingMarks({ repos }, attempt)).open) throw new Problem('gateShut')
    if (!granted && reason.trim() === '')
      throw new Problem('reasonNeeded', { fields: [{ field: 'reason', message: 'is empty.' }] })
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, granted ? 'permit' : 'refuse', actor.id, now, reason.trim())
    repos.audit.add(now, actor.id, granted ? 'permitted' : 'permissionRefused', `attempt ${id}`)
  })
}

/** STOP: takes the permission back at once, of one bay or of every bay that is live. Returns how many were live. */
export function withdrawPermission(
  { repos, now }: Context,
  actor: Person,
  id: number | null,
  reason: string,
): { readonly stopped: number } {
  allow(actor, 'energise.permit')
  return repos.transaction(() => {
    const live = (id === null ? repos.attempts.all() : [found(repos.attempts.byId(id))]).filter(
      ({ stage }) => stage === 'live',
    )
    for (const attempt of live) {
      repos.attempts.setStage(attempt.id, nextStage(attempt, 'withdraw'))
      repos.attempts.addEvent(
        attempt.id,
        'withdraw',
        actor.id,
        now,
        reason.trim() || 'Stop. Stand back, isolate, wait for your assessor.',
      )
    }
    repos.audit.add(
      now,
      actor.id,
      id === null ? 'stoppedAll' : 'stopped',
      id === null ? `${live.length} bays` : `attempt ${id}`,
    )
    return { stopped: live.length }
  })
}
