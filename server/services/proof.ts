import type { Person } from '../repos/people'
import type { Context } from './context'
import { isPassword } from './passwords'
import { Problem } from './problem'
import { personOf } from './sign-in'

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

/** What proves somebody by this secret: their PIN where it could be one and they have one, else their password. */
const hashFor = ({ repos }: Context, { id }: Person, secret: string): string =>
  (/^\d{4,8}$/.test(secret) ? repos.locks.pinHash(id) : undefined) ?? repos.people.byId(id)!.passwordHash

/** Proves again who sits here, by PIN or password, and opens a locked session. Throws proofWrong. */
export async function proveAgain(context: Context, actor: Person, secret: string): Promise<void> {
  const check = async (): Promise<void> => {
    const { repos, now } = context
    const hash = hashFor(context, actor, secret)
    // One that was changed while it was checked no longer says who this is.
    if ((await isPassword(secret, hash)) && hashFor(context, actor, secret) === hash) return
    repos.audit.add(now, actor.id, 'proofRefused', `person ${actor.id}`)
    throw new Problem('proofWrong')
  }
  await (context.tries ? context.tries(`proof ${actor.id}`, check) : check())
  proved(context)
}

/**
 * What took a while to check counts only while the session stands in which it was asked: ended meanwhile, or the
 * person's password reset, it does not. Throws signInNeeded.
 */
export function stillHere(context: Context): void {
  const here = context.session && context.repos.sessions.byId(context.session.id)
  if (here && (here.endedAt !== null || !personOf(context, here))) throw new Problem('signInNeeded')
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
