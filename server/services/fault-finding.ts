import { AIMS } from '#core/testing/fault-finding/aims'
import { stateAfter, type HuntStep } from '#core/testing/fault-finding/steps'
import { isAnswer, judgeHunt } from '#core/testing/fault-finding/judge'
import { PRACTICE_BAYS } from '#core/bay/practice/bays'
import { isDead } from '#core/testing/kinds/kinds'
import { TESTER, showTest } from '#core/testing/tester'
import type { HuntHome, HuntListItem, HuntStepBody, HuntView } from '#schemas/hunt-views'
import type { Hunt } from '../repos/hunts'
import type { Person } from '../repos/people'
import { allow, may, mayWith, openOf } from './access'
import { saveIfCurrent } from './save-current'
import type { Context } from './context'
import { Problem } from './problem'

import { FAULT_FINDING_BAYS, testAt } from './fault-finding-bays'
import { bayAsBuilt, huntView } from './fault-finding-view'

export function huntHome({ repos }: Context, actor: Person): HuntHome {
  allow(actor, 'hunt.practise')
  return {
    aims: AIMS.map(({ code, name }) => ({ code, name })),
    bays: PRACTICE_BAYS.filter(({ code }) => FAULT_FINDING_BAYS.includes(code)).map(({ code, title }) => ({
      code,
      title,
    })),
    own: repos.hunts.byPerson(actor.id).map(listed),
    set: may(actor, 'hunt.set') ? repos.hunts.allSet().map(listed) : [],
  }
}

const listed = (hunt: Hunt): HuntListItem => ({
  id: hunt.id,
  title: hunt.title,
  name: hunt.personName,
  setBy: hunt.setBy,
  place: hunt.place,
  bay: hunt.bay,
  isDone: hunt.endedAt !== null,
  madeAt: hunt.madeAt,
  met: hunt.verdict?.met ?? null,
})

const ownHunt = ({ repos }: Pick<Context, 'repos'>, actor: Person, id: number): Hunt =>
  openOf(actor, 'faultFinding.open', repos.hunts.byId(id))

export const showHunt = (context: Context, actor: Person, id: number): HuntView =>
  huntView(ownHunt(context, actor, id), actor)

/**
 * One step of the search. In the virtual bay the reading is computed here, so that the fault never leaves the
 * server.
 */
export function stepHunt(
  context: Context,
  actor: Person,
  id: number,
  { version, step }: HuntStepBody,
): HuntView {
  saveIfCurrent(context, {
    sent: version,
    read: () => ownHunt(context, actor, id),
    check: (hunt) => refuseStep(actor, hunt, step),
    write: (hunt) => context.repos.hunts.saveLog(id, version, [...hunt.log, madeStep(context, hunt, step)]),
    theirs: (hunt) => huntView(hunt, actor),
  })
  return showHunt(context, actor, id)
}

function refuseStep(actor: Person, hunt: Hunt, step: HuntStepBody['step']): void {
  if (!mayWith(actor, 'faultFinding.step', { ownerId: hunt.personId })) throw new Problem('notAllowed')
  if (hunt.endedAt !== null) throw new Problem('huntOver')
  if (step.do === 'test' && !testAt(hunt.rig, step.test)) throw new Problem('moveNotHere')
}

function madeStep({ now }: Context, hunt: Hunt, step: HuntStepBody['step']): HuntStep {
  const atS = Math.max(0, Math.round((Date.parse(now) - Date.parse(hunt.madeAt)) / 1e3))
  if (step.do !== 'test') return { ...step, atS }
  return { ...step, read: hunt.place === 'virtual' ? readAt(hunt, step.test) : step.read, atS }
}

export function endHunt(context: Context, actor: Person, id: number): HuntView {
  const hunt = ownHunt(context, actor, id)
  if (!mayWith(actor, 'faultFinding.step', { ownerId: hunt.personId })) throw new Problem('notAllowed')
  context.repos.hunts.end(id, context.now, judgeHunt(hunt.rig, hunt.faults, hunt.log))
  return showHunt(context, actor, id)
}

/** What the tester shows: as the bay is, or as it is after a repair that hit the fault. */
function readAt(hunt: Hunt, key: string): string {
  const test = testAt(hunt.rig, key)
  if (!test) throw new Problem('moveNotHere')
  const { isIsolated, isRepaired, conclusion } = stateAfter(hunt.log)
  if (isDead(key) && !isIsolated) return 'refused: live'
  if (!isDead(key) && isIsolated) return 'no supply'
  const isRight = conclusion !== null && isAnswer(hunt.rig, hunt.faults, conclusion)
  const built = isRepaired && isRight ? hunt.rig : bayAsBuilt(hunt)
  const error = ((hunt.log.length * 37) % 13) / 13 - 0.5
  return showTest(built, test, { ...TESTER, conductorC: 20, error }) ?? 'no reading'
}
