import { fault } from '../../../findings/finding'
import type { SlipRule } from './slip'

/** The value stands in the right table, in another row or column. */
export const neighbouringRow: SlipRule = ({ step, task, values }) =>
  (step.neighbours?.(task, values) ?? []).map(({ value, table, entry }) => ({
    value,
    finding: fault('slip.neighbour', { table, entry }),
  }))
