import { GROUPING_FACTOR } from '../../regulations/rating-factors'
import { SOURCES } from '../../regulations/source'
import { stopped, worked, type Neighbour, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** Cg from the number of circuits that run together. */
export const groupingFactor: Step = {
  key: 'cg',
  ...STEP_KINDS.cg,
  kind: 'looked-up',
  needs: [],
  derive: ({ grouping }) => {
    const factor = GROUPING_FACTOR[grouping.arrangement][grouping.circuits - 1]
    if (factor === undefined) return stopped('grouping', { circuits: grouping.circuits })
    return worked(factor, 'Cg from the circuits grouped', `${grouping.circuits} → ${factor}`, SOURCES.groupingFactor)
  },
  neighbours: ({ grouping }) => {
    const own = GROUPING_FACTOR[grouping.arrangement]
    const rows: Neighbour[] = own
      .map((value, i) => ({ value, table: 'Table 4C1', entry: `${i + 1} ${i === 0 ? 'circuit' : 'circuits'}`, circuits: i + 1 }))
      .filter((row) => row.circuits !== grouping.circuits)
    const other = grouping.arrangement === 'bunched' ? 'single-layer' : 'bunched'
    const across = GROUPING_FACTOR[other][grouping.circuits - 1]
    if (across !== undefined && across !== own[grouping.circuits - 1]) {
      rows.push({ value: across, table: 'Table 4C1', entry: other === 'bunched' ? 'bunched' : 'single layer' })
    }
    return rows
  },
}
