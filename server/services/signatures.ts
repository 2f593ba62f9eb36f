import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { hashPassword, isPassword } from './passwords'
import { Problem } from './problem'
import { isWeakPin } from './weak'

const plain = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ')

/** A signature: the person's name as typed, and their own PIN. */
export async function checkSignature(
  context: Context,
  personId: number,
  typedName: string,
  pin: string,
): Promise<void> {
  const prove = () => proveSignature(context, personId, typedName, pin)
  // The limit follows the person whose PIN it is, over all documents.
  await (context.tries ? context.tries(`pin ${personId}`, prove) : prove())
}

async function proveSignature(
  { repos, now }: Context,
  personId: number,
  typedName: string,
  pin: string,
): Promise<void> {
  const hash = repos.locks.pinHash(personId)
  if (!hash) throw new Problem('pinMissing')
  const isRight =
    (await isPassword(pin, hash)) && plain(repos.people.byId(personId)!.name) === plain(typedName)
  if (isRight) return
  repos.audit.add(now, personId, 'signatureRefused', `person ${personId}`)
  throw new Problem('pinWrong')
}

/** Chooses one's own PIN, with the password that one signed in with. */
export async function choosePin(
  { repos, now }: Context,
  actor: Person,
  current: string,
  pin: string,
): Promise<void> {
  allow(actor, 'pin.choose')
  if (isWeakPin(pin, actor)) throw new Problem('pinWeak')
  const proved = repos.people.byId(actor.id)!.passwordHash
  if (!(await isPassword(current, proved)))
    throw new Problem('signInWrong', {
      fields: [{ field: 'current', message: 'is not your present password.' }],
    })
  const hash = await hashPassword(pin)
  repos.transaction(() => {
    // A password that was reset meanwhile no longer says who this is.
    if (repos.people.byId(actor.id)!.passwordHash !== proved) throw new Problem('signInWrong')
    repos.locks.setPin(actor.id, hash, now)
    repos.audit.add(now, actor.id, 'pinChosen', `person ${actor.id}`)
  })
}
