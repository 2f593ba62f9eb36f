import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, attemptSeen, found } from './access'
import { deadSheet } from './floor'
import type { Context } from './context'
import { Problem } from './problem'
import { needProof } from './proof'
import { refuseUnseen } from './seen'
import { nextStage } from './stages'

/** What an assessor decides; without a hash nothing stood on a screen. */
export interface PermissionBody {
  readonly granted: boolean
  readonly reason: string
  readonly seen?: string | null
}

/** Gives or refuses permission to energise, by name and time. Never gives it past a shut gate. */
export function decidePermission(
  context: Context,
  actor: Person,
  id: number,
  { granted, reason, seen }: PermissionBody,
): void {
  allow(actor, 'energise.permit')
  if (granted) needProof(context)
  const { repos, now } = context
  repos.transaction(() => {
    const attempt = attemptSeen(actor, repos.attempts.byId(id))
    const stage = nextStage(attempt, granted ? 'permit' : 'refuse')
    if (granted) refuseUnlooked(context, attempt, seen)
    if (!granted && reason.trim() === '')
      throw new Problem('reasonNeeded', { fields: [{ field: 'reason', message: 'is empty.' }] })
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, granted ? 'permit' : 'refuse', actor.id, now, reason.trim())
    repos.audit.add(now, actor.id, granted ? 'permitted' : 'permissionRefused', `attempt ${id}`)
  })
}

/** Permission is given on an open gate, and on the very sheet that stood on the screen. */
function refuseUnlooked(context: Context, attempt: Attempt, seen: string | null | undefined): void {
  const sheet = deadSheet(context, attempt)
  if (!sheet.gate.open) throw new Problem('gateShut')
  refuseUnseen(seen ?? undefined, sheet.seen, () => sheet)
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
    const asked = id === null ? repos.attempts.live() : [found(repos.attempts.byId(id))]
    const live = asked.filter(({ stage }) => stage === 'live')
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
