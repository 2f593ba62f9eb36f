import type { LockBody, PermitBody } from '#schemas/isolation-requests'
import type { LockView, PermitView, RegisterView } from '#schemas/isolation-views'
import type { Person } from '../repos/people'
import { allow, found, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { checkSignature } from './signatures'

/** Who holds which lock on which bay, permits, and repeats that are booked. */
export function showRegister({ repos }: Context, actor: Person): RegisterView {
  allow(actor, 'register.see')
  return {
    locks: repos.locks.open(),
    permits: repos.locks.permits(),
    repeats: repos.observations.openRepeats(),
    hasPin: repos.locks.pinHash(actor.id) !== undefined,
    apprentices: repos.people
      .all()
      .filter(({ role, cohort }) => role === 'apprentice' && seesGroup(actor, cohort))
      .map(({ id, number, name, cohort }) => ({ id, number, name, cohort })),
  }
}

export function putLock({ repos, now }: Context, actor: Person, body: LockBody): LockView {
  allow(actor, 'register.keep')
  if (!repos.people.byId(body.personId)) throw new Problem('notFound')
  const id = repos.locks.put(body, actor.id, now)
  repos.audit.add(now, actor.id, 'lockOn', `lock ${id}`)
  return found(repos.locks.byId(id))
}

export function takeLockOff({ repos, now }: Context, actor: Person, id: number): void {
  allow(actor, 'register.keep')
  found(repos.locks.byId(id))
  if (repos.locks.takeOff(id, actor.id, now)) repos.audit.add(now, actor.id, 'lockOff', `lock ${id}`)
}

/** A permit is signed by the electrical side with a PIN and by the site with its name as typed. */
export async function issuePermit(context: Context, actor: Person, body: PermitBody): Promise<PermitView> {
  allow(actor, 'register.keep')
  const { repos, now } = context
  if (!repos.people.byId(body.holderId)) throw new Problem('notFound')
  if (!(Date.parse(body.untilAt) > Date.parse(body.fromAt)))
    throw new Problem('permitTimes', {
      fields: [{ field: 'untilAt', message: 'must be after the beginning.' }],
    })
  await checkSignature(context, actor.id, actor.name, body.pin)
  const { pin: _pin, ...permit } = body
  return repos.transaction(() => {
    const written = { ...permit, scope: body.scope.trim(), siteName: body.siteName.trim() }
    const id = repos.locks.issue(written, actor.id, now)
    repos.audit.add(now, actor.id, 'permitIssued', `permit ${id}`)
    return found(repos.locks.permit(id))
  })
}

/** Handed back: refused while the holder's lock is still on that bay. */
export async function returnPermit(
  context: Context,
  actor: Person,
  id: number,
  pin: string,
): Promise<PermitView> {
  allow(actor, 'register.keep')
  const { repos, now } = context
  found(repos.locks.permit(id))
  await checkSignature(context, actor.id, actor.name, pin)
  // A padlock may have been put on while the PIN was proved.
  return repos.transaction(() => {
    const permit = found(repos.locks.permit(id))
    if (repos.locks.openOf(permit.holderId).some(({ bay }) => bay === permit.bay))
      throw new Problem('locksOn')
    if (repos.locks.giveBack(id, actor.id, now))
      repos.audit.add(now, actor.id, 'permitReturned', `permit ${id}`)
    return found(repos.locks.permit(id))
  })
}

/** A session does not close while a padlock of this person hangs somewhere. */
export function mayLeave({ repos }: Context, actor: Person): void {
  const locks = actor.role === 'apprentice' ? repos.locks.openOf(actor.id) : []
  if (locks.length > 0)
    throw new Problem('locksOn', {
      sentence: `Your padlock ${locks.map(({ padlock, bay }) => `${padlock} on bay ${bay}`).join(', ')} is still in the register. Take it off, have it written off, then sign out.`,
    })
}
