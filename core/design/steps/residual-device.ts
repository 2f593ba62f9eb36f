import { RESIDUAL_RATINGS_A } from '../../regulations/breakers'
import { residualNeeds } from '../residual-needs'
import { SOURCES } from '../../regulations/source'
import { neededResidualA } from '../limits'
import { accepted, refused, stopped, worked, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** IΔn = the largest rated residual current that every rule allows, A; 0 where no rule asks for one. */
export const residualDevice: Step = {
  key: 'residual',
  ...STEP_KINDS.residual,
  kind: 'chosen',
  needs: ['in'],
  derive: (task, values) => {
    const needed = neededResidualA(task, values.in!)
    const needs = residualNeeds(task, values.in!)
    if (needed > 0 && (task.residualA === null || task.residualA > needed)) {
      return stopped('residual', { needed, fitted: task.residualA ?? 0, regulation: needs.find((n) => n.maximumA === needed)!.regulation })
    }
    const reasons = needs.map((need) => need.regulation).join(', ')
    return worked(
      needed,
      'IΔn from the rules that apply',
      needed === 0 ? 'no rule asks for one here' : `≤ ${needed * 1e3} mA by ${reasons}`,
      needs.every((need) => need.code === 'faultProtection') && needs.length > 0 ? SOURCES.residualLoopImpedance : SOURCES.additionalProtection,
    )
  },
  accept: (task, values, answer) => {
    if (answer !== 0 && !RESIDUAL_RATINGS_A.includes(answer)) return refused('notAResidualRating', { answer })
    const needed = neededResidualA(task, values.in!)
    const regulation = residualNeeds(task, values.in!)[0]?.regulation ?? ''
    if (needed > 0 && answer === 0) return refused('residualMissing', { needed, regulation })
    if (needed > 0 && answer > needed) return refused('residualTooLarge', { needed, answer, regulation })
    return accepted('moreThanAsked')
  },
}
