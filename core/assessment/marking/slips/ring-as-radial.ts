import { sizeFor } from '../../../design/limits/limits'
import { pairOhmPerM } from '../../../regulations/cables/sizes'
import { fault } from '../../../findings/finding'
import { forCircuits } from './slip'

/** A ring worked as if all its current went all the way round, or its two legs were one. */
export const ringAsRadial = forCircuits(({ step, task, values }) => {
  if (task.topology !== 'ring') return []
  const finding = fault('slip.ringAsRadial')
  switch (step.key) {
    case 'voltDrop':
      return [1, 0.5].map((share) => ({
        value: values.voltDropPerAm! * values.ib! * task.lengthM * share,
        finding,
      }))
    case 'r1r2': {
      const size = sizeFor(task, values.csa!)
      return size
        ? [1, 0.5].map((share) => ({ value: pairOhmPerM(size) * task.lengthM * share, finding }))
        : []
    }
    case 'itMin':
      return [
        {
          value: values.in! / (values.ca! * values.cg! * values.ci! * values.cf!),
          finding: fault('slip.ringCarriesAll'),
        },
      ]
    default:
      return []
  }
})
