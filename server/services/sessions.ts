import { createHash, randomBytes } from 'node:crypto'
import type { Role } from '#core/exercise/roster'
import type { SessionItem } from '#schemas/trust-views'
import type { Origin } from '../repos/audit'
import type { Person } from '../repos/people'
import type { StoredSession } from '../repos/sessions'
import { allow, found } from './access'
import type { Context, SessionHere } from './context'
import { personOf, type SessionClaim } from './sign-in'

/** A session ends after so long whatever is done in it, and after so long without anything; minutes. */
export const SESSION_LIMITS = {
  absoluteMin: 12 * 60,
  idleMin: Number(process.env.NAKSHI_IDLE_MINUTES ?? 180),
} as const
const MINUTE_MS = 60_000
const before = (now: string, minutes: number): string =>
  new Date(Date.parse(now) - minutes * MINUTE_MS).toISOString()

/** What stands in the database never opens a session by itself. */
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Begins a session for somebody who has proved who they are; returns what their cookie carries. */
export function beginSession({ repos, now }: Context, claim: SessionClaim, origin: Origin): string {
  const token = randomBytes(32).toString('base64url')
  repos.sessions.insert(hashOf(token), claim.personId, claim.epoch, now, origin)
  return token
}

/**
 * When each session was seen last. Kept here and written now and then, since looking at a page writes nothing.
 */
const SEEN = new WeakMap<Context['repos']['sessions'], Map<number, string>>()
function seenIn({ repos: { sessions } }: Context): Map<number, string> {
  const known = SEEN.get(sessions) ?? new Map<number, string>()
  SEEN.set(sessions, known)
  return known
}

/** The session behind a cookie while it stands: not ended, not outlived, not idle for too long. */
function standing(context: Context, token: string | undefined): StoredSession | undefined {
  const { repos, now } = context
  if (!token) return undefined
  const session = repos.sessions.byToken(hashOf(token))
  if (!session || session.endedAt !== null) return undefined
  const lastSeen = seenIn(context).get(session.id) ?? session.seenAt
  const isOver =
    session.startedAt < before(now, SESSION_LIMITS.absoluteMin) ||
    lastSeen < before(now, SESSION_LIMITS.idleMin)
  return isOver ? undefined : session
}

/** Who sits behind a cookie, and their session. */
export interface Sitting {
  readonly person: Person
  readonly session: SessionHere
}

/** The person behind a cookie; undefined when there is no session or it has ended. */
export function sittingBehind(context: Context, token: string | undefined): Sitting | undefined {
  const session = standing(context, token)
  const person = session && personOf(context, session)
  if (!person) return undefined
  seenIn(context).set(session.id, context.now)
  const { id, provedAt, lockedAt } = session
  return {
    person: { ...person, groups: groupsOf(context, person) },
    session: { id, provedAt, isLocked: lockedAt !== null },
  }
}

const LIMITED: readonly Role[] = ['instructor', 'assessor', 'verifier']
/** The groups whose work they see; null where it is everybody's. */
const groupsOf = ({ repos }: Context, { id, role }: Person): readonly string[] | null =>
  LIMITED.includes(role) && repos.centre.trust().staffGroups === 'own' ? repos.people.groupsOf(id) : null

export const personBehind = (context: Context, token: string | undefined): Person | undefined =>
  sittingBehind(context, token)?.person

/** Writes down when sessions were seen, and forgets those of long ago. */
export function keepSessions(context: Context): void {
  const { repos, now } = context
  const seen = seenIn(context)
  if (seen.size === 0) return
  repos.transaction(() => {
    for (const [id, at] of seen) repos.sessions.see(id, at)
    repos.sessions.forgetBefore(before(now, 30 * 24 * 60))
  })
  seen.clear()
}

/** Signing out ends the session at the server too: the cookie, copied or not, opens nothing any more. */
export function signOut(context: Context, token: string | undefined): void {
  const session = standing(context, token)
  if (!session) return
  context.repos.sessions.end(session.id, context.now)
  context.repos.audit.add(context.now, session.personId, 'signOut', `person ${session.personId}`)
}

export function listSessions(context: Context, actor: Person): SessionItem[] {
  allow(actor, 'sessions.keep')
  const { repos, now } = context
  const seen = seenIn(context)
  return repos.sessions
    .open(before(now, SESSION_LIMITS.absoluteMin))
    .map((item) => ({ ...item, seenAt: seen.get(item.id) ?? item.seenAt }))
    .filter(({ seenAt }) => seenAt >= before(now, SESSION_LIMITS.idleMin))
}

/** Ends somebody's session from outside: a tablet that was left behind, a person who has gone. */
export function endSession({ repos, now }: Context, actor: Person, id: number): void {
  allow(actor, 'sessions.keep')
  const session = found(repos.sessions.byId(id))
  if (repos.sessions.end(id, now))
    repos.audit.add(now, actor.id, 'sessionEnded', `session ${id} of person ${session.personId}`)
}
