import type { MeasuredZsPolicy } from '#core/exercise/task'
import { criteriaOf, type Framework } from '#core/outcomes/framework'
import type { CentreView } from '#schemas/views'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { Problem } from './problem'

export function showCentre({ repos }: Context, actor: Person): CentreView {
  allow(actor, 'centre.see')
  return { policies: repos.centre.policies(), changes: repos.centre.policyChanges(), framework: repos.centre.framework() ?? null }
}

export function setPolicy({ repos, now }: Context, actor: Person, measuredZs: MeasuredZsPolicy): void {
  allow(actor, 'centre.change')
  repos.centre.setPolicy('measuredZs', measuredZs, actor.id, now)
}

/** Loads the unit framework. Criteria that the record already speaks of must stay. */
export function loadFramework({ repos, now }: Context, actor: Person, document: Framework): Framework {
  allow(actor, 'centre.change')
  repos.transaction(() => {
    const old = repos.centre.framework()
    const kept = new Set(criteriaOf(document).map((criterion) => criterion.code))
    const lost = old ? criteriaOf(old).filter((criterion) => !kept.has(criterion.code)).map((criterion) => criterion.code) : []
    if (lost.length > 0) throw new Problem('frameworkNotRight', { fields: [{ field: 'units', message: `these criteria are in use and must stay: ${lost.join(', ')}` }] })
    repos.centre.putFramework(document)
    repos.audit.add(now, actor.id, 'frameworkLoaded', document.code)
  })
  return document
}
