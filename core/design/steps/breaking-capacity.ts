import { BREAKING_CAPACITIES_A } from '../../regulations/breakers'
import { SOURCES } from '../../regulations/source'
import { accepted, refused, stopped, worked, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** Icn = the smallest rated short-circuit capacity not below the prospective fault current, A. */
export const breakingCapacity: Step = {
  key: 'breaking',
  ...STEP_KINDS.breaking,
  kind: 'chosen',
  needs: [],
  derive: ({ supply }) => {
    const capacity = BREAKING_CAPACITIES_A.find((candidate) => candidate >= supply.ipfA)
    if (capacity === undefined) return stopped('breaking', { ipfA: supply.ipfA, largestA: BREAKING_CAPACITIES_A.at(-1)! })
    return worked(capacity, 'Icn ≥ Ipf', `${capacity / 1e3} kA ≥ ${supply.ipfA / 1e3} kA`, SOURCES.breakingCapacity)
  },
  accept: ({ supply }, _values, answer) => {
    if (!BREAKING_CAPACITIES_A.includes(answer)) return refused('notACapacity', { answer })
    if (answer < supply.ipfA) return refused('capacityTooSmall', { answer, ipfA: supply.ipfA })
    return accepted('moreThanAsked')
  },
}
