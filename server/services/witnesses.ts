import { createHash, randomInt } from 'node:crypto'
import { headOfAccount } from '#core/assessment/portfolio/account'
import type { WitnessBody, WitnessStatementBody } from '#schemas/evidence-requests'
import type { WitnessAsked } from '#schemas/evidence-views'
import type { StoredWitness } from '../repos/accounts'
import type { Person } from '../repos/people'
import { found, openOf } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** Read aloud and typed without doubt: no I, L, O, U, 0 or 1. */
const LETTERS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789'
const LENGTH = 12
const newCode = (): string =>
  Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('')
const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '')
const hashOf = (code: string): string =>
  createHash('sha256')
    .update(`witness ${plainCode(code)}`)
    .digest('hex')

/** Asks somebody who saw the work: a code to print, shown once and kept nowhere. */
export function askWitness(
  context: Context,
  actor: Person,
  accountId: number,
  body: WitnessBody,
): { readonly code: string } {
  const { repos, now } = context
  const code = newCode()
  repos.transaction(() => {
    const account = openOf(actor, 'account.change', repos.accounts.byId(accountId))
    repos.accounts.askWitness(
      {
        accountId: account.id,
        name: body.name.trim(),
        role: body.role.trim(),
        contact: body.contact.trim(),
        askedAt: now,
      },
      hashOf(code),
    )
    repos.audit.add(now, actor.id, 'witnessAsked', `account ${accountId}`)
  })
  return { code: code.replace(/(.{4})(?=.)/g, '$1-') }
}

function witnessOf({ repos }: Context, code: string): StoredWitness {
  const witness = repos.accounts.witnessByCode(hashOf(code))
  if (!witness || witness.statedAt !== null) throw new Problem('witnessCodeWrong')
  return witness
}

/** What a witness is asked about, by the code that they hold; nothing of the account itself. */
export const showWitness = (context: Context, code: string, from: string): Promise<WitnessAsked> =>
  guarded(context, from, () => {
    const { accountId, name, role } = witnessOf(context, code)
    const account = found(context.repos.accounts.byId(accountId))
    const { job, day } = headOfAccount(account.fields)
    return { name, role, person: account.person, job, day }
  })

/** What the witness says that they saw; the code works once. */
export const stateWitness = (
  context: Context,
  { code, statement }: WitnessStatementBody,
  from: string,
): Promise<{ readonly ok: true }> =>
  guarded(context, from, () => {
    const { repos, now } = context
    repos.transaction(() => {
      const { id, accountId } = witnessOf(context, code)
      if (!repos.accounts.state(id, statement.trim(), now)) throw new Problem('witnessCodeWrong')
      repos.audit.add(now, null, 'witnessStated', `account ${accountId}`)
    })
    return { ok: true }
  })

/** Nobody tries codes by the thousand. */
function guarded<T>({ tries }: Context, from: string, work: () => T): Promise<T> {
  const prove = () => Promise.resolve().then(work)
  return tries ? tries(`witness ${from}`, prove) : prove()
}
