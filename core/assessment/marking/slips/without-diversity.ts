import { fault } from '../../../findings/finding'
import type { SlipRule } from './slip'

/** The demand as the plain sum of all circuits, or of all lines together. */
export const withoutDiversity: SlipRule = ({ step, task }) => {
  if (step.key !== 'demand' || !('contributions' in task)) return []
  return [
    {
      value: task.contributions.reduce((sum, { currentA }) => sum + currentA, 0),
      finding: fault('slip.withoutDiversity'),
    },
  ]
}
