import starter from '../../frameworks/workshop-unit.json'
import type { Framework } from '#core/assessment/outcomes/framework'
import type { SetUpBody } from '#schemas/requests'
import type { Person } from '../repos/people'
import type { Context } from './context'
import { hashPassword, isPassword } from './passwords'
import { isWeakPassword } from './weak'
import { Problem } from './problem'

/** What the sealed cookie holds. A changed password raises the epoch and ends every older session. */
export interface SessionClaim {
  readonly personId: number
  readonly epoch: number
}

// Compared against when the number is unknown, so that both refusals take the same time.
const NOBODY = 'scrypt$AAAAAAAAAAAAAAAAAAAAAA==$AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA='

/** Creates the first administrator, only on an empty database, and lays the starter framework ready. */
export async function setUp({ repos, now }: Context, body: SetUpBody): Promise<SessionClaim> {
  // What cannot succeed is not hashed: a set-up centre is no use for keeping the server busy.
  if (!repos.people.isEmpty()) throw new Problem('alreadySetUp')
  if (isWeakPassword(body.password, body)) throw new Problem('passwordWeak')
  const hash = await hashPassword(body.password)
  return repos.transaction(() => {
    if (!repos.people.isEmpty()) throw new Problem('alreadySetUp')
    const id = repos.people.insert(
      { number: body.number, name: body.name.trim(), role: 'administrator', cohort: '' },
      hash,
      false,
      now,
    )
    if (!repos.centre.framework()) repos.centre.putFramework(starter as Framework)
    repos.audit.add(now, id, 'setUp', `person ${id}`)
    return { personId: id, epoch: 1 }
  })
}

export async function signIn(
  { repos, now }: Context,
  number: string,
  password: string,
): Promise<SessionClaim> {
  const person = repos.people.byNumber(number.trim())
  const fits = await isPassword(password, person?.passwordHash ?? NOBODY)
  if (!person || !fits || person.isDisabled) {
    repos.audit.add(
      now,
      person?.id ?? null,
      'signInRefused',
      person ? `person ${person.id}` : 'unknown number',
    )
    throw new Problem('signInWrong')
  }
  repos.audit.add(now, person.id, 'signIn', `person ${person.id}`)
  return { personId: person.id, epoch: person.sessionEpoch }
}

/** Somebody whom the college has signed in: known here by that number, or refused. Their one-time password is theirs to change. */
export function signInByCollege({ repos, now }: Context, number: string): SessionClaim {
  const person = repos.people.byNumber(number.trim())
  if (!person || person.isDisabled) {
    repos.audit.add(
      now,
      person?.id ?? null,
      'signInRefused',
      person ? `person ${person.id}` : 'by the college',
    )
    throw new Problem('collegeUnknown')
  }
  repos.audit.add(now, person.id, 'signInByCollege', `person ${person.id}`)
  return { personId: person.id, epoch: person.sessionEpoch }
}

/** The person behind a session, or undefined when it has ended. Never carries the password hash. */
export function personOf({ repos }: Context, claim: Partial<SessionClaim>): Person | undefined {
  if (claim.personId === undefined) return undefined
  const stored = repos.people.byId(claim.personId)
  if (!stored || stored.isDisabled || stored.sessionEpoch !== claim.epoch) return undefined
  const { passwordHash: _hash, sessionEpoch: _epoch, ...person } = stored
  return person
}

export async function changePassword(
  { repos, now }: Context,
  actor: Person,
  current: string,
  password: string,
): Promise<SessionClaim> {
  const stored = repos.people.byId(actor.id)!
  if (!(await isPassword(current, stored.passwordHash)))
    throw new Problem('signInWrong', {
      fields: [{ field: 'current', message: 'is not your present password.' }],
    })
  if (current === password) throw new Problem('passwordSame')
  if (isWeakPassword(password, actor)) throw new Problem('passwordWeak')
  const hash = await hashPassword(password)
  return repos.transaction(() => {
    // Somebody who changed or reset it meanwhile was first: the password that was proved is no longer the
    // present one.
    if (repos.people.byId(actor.id)!.passwordHash !== stored.passwordHash) throw new Problem('signInWrong')
    repos.people.setPassword(actor.id, hash, false)
    repos.audit.add(now, actor.id, 'passwordChanged', `person ${actor.id}`)
    return { personId: actor.id, epoch: repos.people.byId(actor.id)!.sessionEpoch }
  })
}
