import {
  CLAIM_KINDS,
  accountProblems,
  claimsOf,
  headOfAccount,
  type Claim,
} from '#core/assessment/portfolio/account'
import { criteriaOf, type Criterion } from '#core/assessment/outcomes/framework'
import type { AccountBody, ClaimDecisionBody, DiscussionBody } from '#schemas/evidence-requests'
import type { AccountItem, AccountView } from '#schemas/evidence-views'
import { accountProblemSays } from '#words/evidence/account'
import type { HandIn, StoredAccount } from '../repos/accounts'
import type { Person } from '../repos/people'
import { allow, found, openOf, seesGroup } from './access'
import type { Context } from './context'
import { frameworkInForce } from './evidence'
import { Problem } from './problem'
import { needProof } from './proof'
import { saveIfCurrent } from './save-current'

type Repos = Pick<Context, 'repos'>

/** Accounts of the person as they are written, or those of the actor's groups as they were handed in. */
export function listAccounts({ repos }: Context, actor: Person): AccountItem[] {
  allow(actor, 'account.see')
  const isWriter = actor.role === 'apprentice'
  const list = isWriter
    ? repos.accounts.ofPerson(actor.id)
    : repos.accounts.handedIn().filter(({ cohort }) => seesGroup(actor, cohort))
  const ids = list.map(({ id }) => id)
  const handIns = new Map(repos.accounts.lastHandIns(ids).map((last) => [last.accountId, last]))
  const isMet = new Map(
    repos.accounts.lastDecisions(ids).map(({ handInId, claim, met }) => [claim, { handInId, met }]),
  )
  return list.map((account) => itemOf(account, handIns.get(account.id), isMet, isWriter))
}

function itemOf(
  { id, person, cohort, fields }: StoredAccount,
  last: HandIn | undefined,
  decided: ReadonlyMap<string, { readonly handInId: number; readonly met: boolean }>,
  isWriter: boolean,
): AccountItem {
  const { title, job } = headOfAccount(isWriter ? fields : (last?.fields ?? {}))
  const claims = last ? claimsOf(last.fields) : []
  const standing = claims.map(({ token }) => decided.get(token))
  return {
    id,
    person,
    cohort,
    title,
    job,
    claims: isWriter ? claimsOf(fields).length : claims.length,
    // What was accepted stays so; what was refused waits again once it is handed in anew.
    waiting: standing.filter((one) => !one?.met && one?.handInId !== last?.id).length,
    refused: standing.filter((one) => one?.met === false && one.handInId === last?.id).length,
    handedInAt: last?.at ?? null,
  }
}

export function startAccount({ repos, now }: Context, actor: Person): { readonly id: number } {
  allow(actor, 'account.write')
  return { id: repos.accounts.insert(actor.id, {}, now) }
}

const openAccount = ({ repos }: Repos, actor: Person, id: number): StoredAccount =>
  openOf(actor, 'account.open', repos.accounts.byId(id))

export const showAccount = (context: Context, actor: Person, id: number): AccountView =>
  viewOf(context, actor, openAccount(context, actor, id))

function viewOf(context: Context, actor: Person, account: StoredAccount): AccountView {
  const { repos } = context
  const framework = frameworkInForce(context)
  const criteria = claimable(criteriaOf(framework))
  const isOwn = account.personId === actor.id
  const { id, person, fields, version, savedAt } = account
  return {
    id,
    person,
    isOwn,
    // What is being written is its writer's; others read what was handed in.
    fields: isOwn ? fields : {},
    version,
    savedAt,
    handIns: repos.accounts
      .handIns(id)
      .map(({ id: handInId, at, fields: sent }) => ({ id: handInId, at, fields: sent })),
    decisions: repos.accounts.decisions(id),
    discussions: repos.discussions.ofAccount(id),
    witnesses: repos.accounts
      .witnesses(id)
      .map(({ name, role, contact, askedAt, statement, statedAt }) => ({
        name,
        role,
        contact,
        askedAt,
        statement,
        statedAt,
      })),
    criteria,
    domestic: framework.domestic,
  }
}

/** Criteria that work elsewhere can evidence. */
const claimable = (criteria: readonly Criterion[]): Criterion[] =>
  criteria.filter(({ kinds }) => kinds.length === 0 || kinds.some((kind) => CLAIM_KINDS.includes(kind)))

export function saveAccount(context: Context, actor: Person, id: number, { version, fields }: AccountBody) {
  const { repos, now } = context
  return saveIfCurrent(context, {
    sent: version,
    read: () => openOf(actor, 'account.change', repos.accounts.byId(id)),
    write: () => repos.accounts.save(id, version, fields, now),
    theirs: (stored) => viewOf(context, actor, stored),
  })
}

/** Freezes the account as it stands: an assessor reads this, whatever is written afterwards. */
export function handInAccount(context: Context, actor: Person, id: number, version: number): AccountView {
  const { repos, now } = context
  repos.transaction(() => {
    const account = openOf(actor, 'account.change', repos.accounts.byId(id))
    if (account.version !== version)
      throw new Problem('stale', { extra: { theirs: viewOf(context, actor, account) } })
    const criteria = claimable(criteriaOf(frameworkInForce(context))).map(({ code }) => code)
    const problems = accountProblems(account.fields, new Set(criteria), now.slice(0, 10))
    if (problems.length > 0)
      throw new Problem('accountNotReady', {
        fields: problems.map((problem) => ({ field: problem.code, message: accountProblemSays(problem) })),
      })
    repos.accounts.handIn(id, account.fields, now)
    repos.audit.add(now, actor.id, 'accountHandedIn', `account ${id}`)
  })
  return showAccount(context, actor, id)
}

/** Accepts or refuses one claim of what was handed in last, with a reason; an earlier decision stays beside it. */
export function decideClaim(
  context: Context,
  actor: Person,
  id: number,
  body: ClaimDecisionBody,
): AccountView {
  allow(actor, 'attempt.mark')
  needProof(context)
  const { repos, now } = context
  repos.transaction(() => {
    const account = openAccount(context, actor, id)
    const last = found(repos.accounts.handIns(id).at(-1))
    if (last.id !== body.handInId)
      throw new Problem('claimGone', { extra: { theirs: viewOf(context, actor, account) } })
    const claim = found(claimIn(last, body.claim))
    if (!body.met && body.reason.trim() === '') throw new Problem('claimNeedsReason')
    if (body.met && claim.kind === 'witnessed' && !isWitnessed(context, id))
      throw new Problem('witnessMissing')
    repos.accounts.decide({
      handInId: last.id,
      claim: claim.token,
      personId: account.personId,
      criterion: claim.criterion,
      kind: claim.kind,
      met: body.met,
      reason: body.reason.trim(),
      byId: actor.id,
      at: now,
    })
    repos.audit.add(
      now,
      actor.id,
      body.met ? 'claimAccepted' : 'claimRefused',
      `${claim.criterion}, account ${id}`,
    )
  })
  return showAccount(context, actor, id)
}

/** Puts down a professional discussion of a claim, as it was held; it stands beside the claim from then on. */
export function discussClaim(context: Context, actor: Person, id: number, body: DiscussionBody): AccountView {
  allow(actor, 'attempt.mark')
  const { repos, now } = context
  repos.transaction(() => {
    const account = openAccount(context, actor, id)
    const claim = found(claimIn(found(repos.accounts.handIns(id).at(-1)), body.claim))
    const { asked, said, minutes } = body
    repos.discussions.add(
      account.id,
      { claim: claim.token, asked: asked.trim(), said: said.trim(), minutes, at: now },
      actor.id,
    )
    repos.audit.add(now, actor.id, 'claimDiscussed', `${claim.criterion}, account ${id}`)
  })
  return showAccount(context, actor, id)
}

const claimIn = ({ fields }: HandIn, token: string): Claim | undefined =>
  claimsOf(fields).find((claim) => claim.token === token)
const isWitnessed = ({ repos }: Repos, accountId: number): boolean =>
  repos.accounts.witnesses(accountId).some(({ statedAt }) => statedAt !== null)
