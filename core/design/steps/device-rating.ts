import { RATINGS_A } from '../../regulations/breakers'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { accepted, refused, stopped, worked, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** In = the smallest standard rating not below Ib, A. One size larger is a defensible choice; the cable must follow. */
export const deviceRating: Step = {
  key: 'in',
  ...STEP_KINDS.in,
  kind: 'chosen',
  needs: ['ib'],
  derive: (_task, { ib }) => {
    const rating = RATINGS_A.find((candidate) => candidate >= ib!)
    if (rating === undefined) return stopped('rating', { ib: ib!, largest: RATINGS_A.at(-1)! })
    return worked(rating, 'In ≥ Ib, next standard rating', `${rating} ≥ ${formatNumber(ib!, 'current')}`, SOURCES.deviceRating)
  },
  neighbours: () => [],
  accept: (_task, { ib }, answer) => {
    if (!RATINGS_A.includes(answer)) return refused('notARating', { answer })
    if (answer < ib!) return refused('ratingBelowLoad', { answer, ib: ib! })
    const smallest = RATINGS_A.findIndex((candidate) => candidate >= ib!)
    if (RATINGS_A.indexOf(answer) === smallest + 1) return accepted('oneSizeUp')
    return refused('ratingTooLarge', { answer, ib: ib! })
  },
}
