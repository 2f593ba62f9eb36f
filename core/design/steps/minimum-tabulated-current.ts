import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { worked, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** It ≥ In ÷ (Ca × Cg), A: the rating that the table must offer before the factors take their share. */
export const minimumTabulatedCurrent: Step = {
  key: 'itMin',
  ...STEP_KINDS.itMin,
  kind: 'calculated',
  needs: ['in', 'ca', 'cg'],
  derive: (_task, values) => {
    const { in: rating, ca, cg } = values
    return worked(
      rating! / (ca! * cg!),
      'It ≥ In ÷ (Ca × Cg)',
      `${formatNumber(rating!, 'rating')} ÷ (${ca} × ${cg})`,
      SOURCES.minimumTabulatedCurrent,
    )
  },
}
