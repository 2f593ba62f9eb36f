import type { IsolationPolicy } from '#core/policies/isolation'
import type { TrustPolicy } from '#core/policies/trust'
import type { Policy } from '#core/policies/policy'
import type { CentreView } from '#schemas/views'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { refuseUnseen, seenOf } from './seen'

export function showCentre({ repos }: Context, actor: Person): CentreView {
  allow(actor, 'centre.see')
  const chosen = chosenNow(repos)
  return { ...chosen, changes: repos.centre.policyChanges(), seen: seenOf(chosen) }
}

const chosenNow = (repos: Context['repos']) => ({
  policies: repos.centre.policies(),
  isolation: repos.centre.isolation(),
  trust: repos.centre.trust(),
  framework: repos.centre.framework() ?? null,
})

/** Whoever chooses has the centre as it is before them; otherwise it is shown as it is now. */
function refuseChanged(context: Context, actor: Person, seen: string | undefined): void {
  refuseUnseen(seen, seenOf(chosenNow(context.repos)), () => showCentre(context, actor))
}

/** Puts a policy in force; only what changed is written down. */
export function setPolicy(context: Context, actor: Person, policy: Policy, seen?: string): void {
  allow(actor, 'centre.change')
  const { repos, now } = context
  repos.transaction(() => {
    refuseChanged(context, actor, seen)
    const before = repos.centre.policies()
    for (const key of Object.keys(policy) as (keyof Policy)[]) {
      if (policy[key] === before[key]) continue
      repos.centre.setPolicy(key, String(policy[key]), actor.id, now)
      repos.audit.add(now, actor.id, 'policySet', `${key} = ${policy[key]}`)
    }
  })
}

/** Puts the choices about safe isolation in force; an observation keeps what held when it began. */
export function setIsolationPolicy(
  context: Context,
  actor: Person,
  policy: IsolationPolicy,
  seen?: string,
): void {
  allow(actor, 'centre.change')
  const { repos, now } = context
  repos.transaction(() => {
    refuseChanged(context, actor, seen)
    const before = repos.centre.isolation()
    for (const key of Object.keys(policy) as (keyof IsolationPolicy)[]) {
      if (policy[key] === before[key]) continue
      repos.centre.setIsolation(key, policy[key], actor.id, now)
      repos.audit.add(now, actor.id, 'policySet', `isolation.${key} = ${policy[key]}`)
    }
  })
}

/** Puts in force how the centre guards and keeps things. */
export function setTrust(context: Context, actor: Person, policy: TrustPolicy, seen?: string): void {
  allow(actor, 'centre.change')
  const { repos, now } = context
  repos.transaction(() => {
    refuseChanged(context, actor, seen)
    const before = repos.centre.trust()
    for (const key of Object.keys(policy) as (keyof TrustPolicy)[]) {
      if (policy[key] === before[key]) continue
      repos.centre.setTrust(key, String(policy[key]), actor.id, now)
      repos.audit.add(now, actor.id, 'policySet', `trust.${key} = ${policy[key]}`)
    }
  })
}
