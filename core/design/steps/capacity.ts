import type { Task } from '../model/task'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { accepted, atLeast, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import { carriedA } from '../limits/counted-drop'
import type { CircuitStep } from './step-context'

const carriedSymbol = (task: Task): string => (task.topology === 'ring' ? '20 A' : 'In')
const carriedSource = (task: Task, usual: (typeof SOURCES)[keyof typeof SOURCES]) =>
  task.topology === 'ring' ? SOURCES.ringRating : usual

/** It ≥ In ÷ (Ca × Cg × Ci × Cf), A: the rating that the table must offer before the factors take their share. */
export const minimumTabulatedCurrent: CircuitStep = {
  key: 'itMin',
  ...STEP_KINDS.itMin,
  kind: 'calculated',
  needs: ['in', 'ca', 'cg', 'ci', 'cf'],
  derive: (task, values) => {
    const { in: rating, ca, cg, ci, cf } = values as Required<typeof values>
    const carried = carriedA(task, rating)
    return worked(
      carried / (ca * cg * ci * cf),
      `It ≥ ${carriedSymbol(task)} ÷ (Ca × Cg × Ci × Cf)`,
      `${formatNumber(carried, 'rating')} ÷ (${[ca, cg, ci, cf].map((factor) => formatNumber(factor, 'factor')).join(' × ')})`,
      carriedSource(task, SOURCES.minimumTabulatedCurrent),
    )
  },
}

/** An answer with the overload factor in it is recognised within this share. */
const FACTOR_SLACK = 0.005

/**
 * Iz = It × Ca × Cg × Ci, A: what the cable carries where it lies; the other way round to the same choice. A
 * rewirable fuse and a cable in the ground lower what In may be of it, not the capacity itself.
 */
export const effectiveRating: CircuitStep = {
  key: 'iz',
  ...STEP_KINDS.iz,
  kind: 'calculated',
  needs: ['it', 'ca', 'cg', 'ci', 'cf', 'in'],
  derive: (task, values) => {
    const { it, ca, cg, ci, cf, in: rating } = values as Required<typeof values>
    const iz = it * ca * cg * ci
    return worked(
      iz,
      cf === 1
        ? `Iz = It × Ca × Cg × Ci ≥ ${carriedSymbol(task)}`
        : `Iz = It × Ca × Cg × Ci ≥ ${carriedSymbol(task)} ÷ Cf`,
      [it, ca, cg, ci].map((value, i) => formatNumber(value, i === 0 ? 'current' : 'factor')).join(' × '),
      carriedSource(task, cf === 1 ? SOURCES.effectiveRating : SOURCES.overloadFactor),
      atLeast(iz, carriedA(task, rating) / cf),
    )
  },
  accept: (_task, { it, ca, cg, ci, cf }, answer) =>
    cf !== 1 && Math.abs(answer / (it! * ca! * cg! * ci! * cf!) - 1) <= FACTOR_SLACK
      ? accepted('overloadFactorInside')
      : undefined,
}
