import type { Person } from '../repos/people'
import type { Context } from './context'
import { isPassword } from './passwords'
import { Problem } from './problem'

const MINUTE_MS = 60_000

/**
 * Who permits, decides or issues has proved lately who they are: a tablet that was handed on does not sign for the
 * one before. Nothing is asked where no session stands behind the act (files, tests). STOP never asks.
 */
export function needProof({ repos, now, session }: Context): void {
  if (!session) return
  const ageMs = Date.parse(now) - Date.parse(session.provedAt || '1970-01-01T00:00:00Z')
  if (ageMs > repos.centre.trust().proofMinutes * MINUTE_MS) throw new Problem('proofNeeded')
}

/** Proves again who sits here, by PIN or password, and opens a locked session. Throws proofWrong. */
export async function proveAgain(context: Context, actor: Person, secret: string): Promise<void> {
  const check = async (): Promise<void> => {
    const { repos, now } = context
    const pin = /^\d{4,8}$/.test(secret) ? repos.locks.pinHash(actor.id) : undefined
    const hash = pin ?? repos.people.byId(actor.id)!.passwordHash
    if (await isPassword(secret, hash)) return
    repos.audit.add(now, actor.id, 'proofRefused', `person ${actor.id}`)
    throw new Problem('proofWrong')
  }
  await (context.tries ? context.tries(`proof ${actor.id}`, check) : check())
  proved(context)
}

/** Puts down that whoever sits here has just proved it. */
export function proved({ repos, now, session }: Context): void {
  if (session) repos.sessions.prove(session.id, now)
}

/** Locks the session: until the next proof it opens nothing but STOP. */
export function lockSession({ repos, now, session }: Context, actor: Person): void {
  if (session && repos.sessions.lock(session.id, now))
    repos.audit.add(now, actor.id, 'sessionLocked', `person ${actor.id}`)
}
