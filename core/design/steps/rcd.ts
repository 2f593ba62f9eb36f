import { RCD_RATINGS_A, RCD_TYPES, neededRcdType } from '../../regulations/rcd'
import type { Task } from '../model/task'
import { SOURCES } from '../../regulations/source'
import { isRcdDelayed } from '../limits/fault-energy'
import { neededRcdA, rcdNeeds } from '../limits/rcd-needs'
import { accepted, refused, stopped, worked, type StepValues } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

/** IΔn = the largest rated residual current that every rule allows, A; 0 where no rule asks for one. */
export const rcdDevice: CircuitStep = {
  key: 'residual',
  ...STEP_KINDS.residual,
  kind: 'chosen',
  needs: ['in'],
  derive: (task, values) => {
    const needed = neededRcdA(task, values.in!)
    const needs = rcdNeeds(task, values.in!)
    // An alteration has to provide what is missing; a new circuit finds it at the bay.
    if (!task.existing && needed > 0 && (task.residualA === null || task.residualA > needed)) {
      return stopped('residual', {
        needed,
        fitted: task.residualA ?? 0,
        regulation: needs.find((n) => n.maximumA === needed)!.regulation,
      })
    }
    const reasons = needs.map((need) => need.regulation).join(', ')
    return worked(
      needed,
      'IΔn from the rules that apply',
      needed === 0 ? 'no rule asks for one here' : `≤ ${needed * 1e3} mA by ${reasons}`,
      needs.every((need) => need.code === 'faultProtection') && needs.length > 0
        ? SOURCES.residualLoopImpedance
        : SOURCES.additionalProtection,
    )
  },
  accept: (task, values, answer) => {
    if (answer !== 0 && !RCD_RATINGS_A.includes(answer)) return refused('notAResidualRating', { answer })
    const needed = neededRcdA(task, values.in!)
    const regulation = rcdNeeds(task, values.in!)[0]?.regulation ?? ''
    if (needed > 0 && answer === 0) return refused('residualMissing', { needed, regulation })
    if (needed > 0 && answer > needed) return refused('residualTooLarge', { needed, answer, regulation })
    return accepted('moreThanAsked')
  },
}

const NO_TYPE = 0
/** A load that is fixed and known, so that its fault current is known too. */
const isKnownLoad = ({ use }: Task): boolean => use !== 'sockets' && use !== 'distribution'
const typeNumber = (task: Task, { residual }: StepValues): number =>
  residual === 0 ? NO_TYPE : RCD_TYPES.indexOf(neededRcdType(task.dc, task.edition, isKnownLoad(task))) + 1

/** The least type of RCD that sees this load's fault current. */
export const rcdTypeStep: CircuitStep = {
  key: 'residualType',
  ...STEP_KINDS.residualType,
  kind: 'chosen',
  needs: ['residual'],
  derive: (task, values) => {
    const type = typeNumber(task, values)
    if (type === NO_TYPE) return worked(NO_TYPE, 'type by the load', 'no RCD, no type', SOURCES.residualType)
    return worked(
      type,
      'type by the load’s direct current',
      `${task.dc === 'none' ? 'no electronics known' : `${task.dc} direct current`} → type ${RCD_TYPES[type - 1]}`,
      SOURCES.residualType,
    )
  },
  accept: (task, values, answer) => {
    const needed = typeNumber(task, values)
    if (needed === NO_TYPE) return refused('typeWithoutDevice')
    if (answer < needed)
      return refused('typeBlind', {
        answer: answer === NO_TYPE ? 'none' : RCD_TYPES[answer - 1]!,
        needed: RCD_TYPES[needed - 1]!,
      })
    return accepted('moreThanAsked')
  },
}

/** In front of other RCDs one is time-delayed; a final circuit's never is. */
export const residualDelay: CircuitStep = {
  key: 'residualDelay',
  ...STEP_KINDS.residualDelay,
  kind: 'chosen',
  needs: ['residual'],
  derive: (task, { residual }) => {
    const isDelayed = residual !== 0 && isRcdDelayed(task)
    const behind = isDelayed ? 'other RCDs behind → delayed' : 'final circuit → general'
    const why = residual === 0 ? 'no RCD' : behind
    return worked(isDelayed ? 1 : 0, 'delay by what stands behind', why, SOURCES.residualDelay)
  },
  accept: (task, { residual }) =>
    residual === 0 ? accepted() : refused(isRcdDelayed(task) ? 'delayMissing' : 'delayNotHere'),
}
