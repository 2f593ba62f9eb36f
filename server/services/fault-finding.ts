import { AIM_NAME, PRACTICE_BAY_TEXT } from '#words/practice'
import { AIMS, faultsFor } from '#core/testing/fault-finding/aims'
import { stateAfter, type FaultFindingStep } from '#core/testing/fault-finding/steps'
import { isAnswer, judgeFaultFinding } from '#core/testing/fault-finding/judge'
import { PRACTICE_BAYS } from '#core/bay/practice/bays'
import { isDead } from '#core/testing/kinds/kinds'
import { TESTER, showTest } from '#core/testing/tester'
import type {
  FaultFindingHome,
  FaultFindingListItem,
  FaultFindingStepBody,
  FaultFindingView,
} from '#schemas/fault-finding-views'
import type { FaultFinding } from '../repos/fault-findings'
import type { Person } from '../repos/people'
import { allow, may, mayWith, open } from './access'
import { groupOf, seenPeople } from './groups'
import { saveIfCurrent } from './save-current'
import type { Context } from './context'
import { Problem } from './problem'

import { FAULT_FINDING_BAYS, faultFindingRig, testAt } from './fault-finding-bays'
import { bayAsBuilt, faultFindingView } from './fault-finding-view'

export function faultFindingHome({ repos }: Context, actor: Person): FaultFindingHome {
  allow(actor, 'faultFinding.practise')
  const seen = seenPeople(repos, actor)
  return {
    aims: AIMS.map(({ code }) => ({ code, name: AIM_NAME[code] })),
    bays: PRACTICE_BAYS.filter(({ code }) => FAULT_FINDING_BAYS.includes(code)).map(({ code }) => ({
      code,
      title: PRACTICE_BAY_TEXT[code].title,
      aims: aimsAt(code),
    })),
    own: repos.faultFindings.byPerson(actor.id).map(listed),
    set: may(actor, 'faultFinding.set')
      ? repos.faultFindings
          .allSet()
          .filter(({ personId }) => seen(personId))
          .map(listed)
      : [],
  }
}

/** What can be looked for in a bay: a ring fault needs a ring. The bays never change. */
const AIMS_AT = new Map<string, readonly string[]>()
function aimsAt(bay: string): readonly string[] {
  const known = AIMS_AT.get(bay)
  if (known) return known
  const rig = faultFindingRig(bay)
  const aims = AIMS.filter((aim) => faultsFor(rig, aim).length > 0).map(({ code }) => code)
  AIMS_AT.set(bay, aims)
  return aims
}

const listed = (search: FaultFinding): FaultFindingListItem => ({
  id: search.id,
  title: search.title,
  name: search.personName,
  setBy: search.setBy,
  place: search.place,
  bay: search.bay,
  isDone: search.endedAt !== null,
  madeAt: search.madeAt,
  met: search.verdict?.met ?? null,
})

const ownFaultFinding = ({ repos }: Pick<Context, 'repos'>, actor: Person, id: number): FaultFinding =>
  open(actor, 'faultFinding.open', repos.faultFindings.byId(id), ({ personId }) => ({
    ownerId: personId,
    cohort: groupOf(repos, personId),
  }))

export const showFaultFinding = (context: Context, actor: Person, id: number): FaultFindingView =>
  faultFindingView(ownFaultFinding(context, actor, id), actor)

/**
 * One step of the search. In the virtual bay the reading is computed here, so that the fault never leaves the
 * server.
 */
export function stepFaultFinding(
  context: Context,
  actor: Person,
  id: number,
  { version, step }: FaultFindingStepBody,
): FaultFindingView {
  saveIfCurrent(context, {
    sent: version,
    read: () => ownFaultFinding(context, actor, id),
    check: (search) => refuseStep(actor, search, step),
    write: (search) =>
      context.repos.faultFindings.saveLog(id, version, [...search.log, madeStep(context, search, step)]),
    theirs: (search) => faultFindingView(search, actor),
  })
  return showFaultFinding(context, actor, id)
}

function refuseStep(actor: Person, search: FaultFinding, step: FaultFindingStepBody['step']): void {
  if (!mayWith(actor, 'faultFinding.step', { ownerId: search.personId })) throw new Problem('notAllowed')
  if (search.endedAt !== null) throw new Problem('huntOver')
  if (step.do === 'test' && !testAt(search.rig, step.test)) throw new Problem('moveNotHere')
}

function madeStep(
  { now }: Context,
  search: FaultFinding,
  step: FaultFindingStepBody['step'],
): FaultFindingStep {
  const atS = Math.max(0, Math.round((Date.parse(now) - Date.parse(search.madeAt)) / 1e3))
  if (step.do !== 'test') return { ...step, atS }
  return { ...step, read: search.place === 'virtual' ? readAt(search, step.test) : step.read, atS }
}

export function endFaultFinding(context: Context, actor: Person, id: number): FaultFindingView {
  const search = ownFaultFinding(context, actor, id)
  if (!mayWith(actor, 'faultFinding.step', { ownerId: search.personId })) throw new Problem('notAllowed')
  context.repos.faultFindings.end(id, context.now, judgeFaultFinding(search.rig, search.faults, search.log))
  return showFaultFinding(context, actor, id)
}

/** What the tester shows: as the bay is, or as it is after a repair that hit the fault. */
function readAt(search: FaultFinding, key: string): string {
  const test = testAt(search.rig, key)
  if (!test) throw new Problem('moveNotHere')
  const { isIsolated, isRepaired, conclusion } = stateAfter(search.log)
  if (isDead(key) && !isIsolated) return 'refused: live'
  if (!isDead(key) && isIsolated) return 'no supply'
  const isRight = conclusion !== null && isAnswer(search.rig, search.faults, conclusion)
  const built = isRepaired && isRight ? search.rig : bayAsBuilt(search)
  const error = ((search.log.length * 37) % 13) / 13 - 0.5
  return showTest(built, test, { ...TESTER, conductorC: 20, error }) ?? 'no reading'
}
