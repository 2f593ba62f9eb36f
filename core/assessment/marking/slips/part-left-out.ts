import { dropShare, loopMetres, sizeFor } from '../../../design/limits/limits'
import { fault } from '../../../findings/finding'
import { nominalV } from '../../../regulations/supply'
import { forCircuits, type Slip } from './slip'

/** Something that belongs in the sum is missing, or the value of another step was put in its place. */
export const partLeftOut = forCircuits(({ step, task, values }) => {
  const { zeOhm } = task.supply
  const v = values as Required<typeof values>
  const size = sizeFor(task, v.csa)
  const metres = loopMetres(task)
  const lineOnly = (scale: number, offset = 0): Slip[] =>
    size ? [{ value: offset + size.r1OhmPerM * scale, finding: fault('slip.lineOnly') }] : []
  const hot = size?.hotMultiplier ?? 1
  switch (step.key) {
    case 'itMin':
      return [{ value: v.ib / (v.ca * v.cg * v.ci * v.cf), finding: fault('slip.loadForRating') }]
    case 'voltDrop':
      return [
        {
          value: v.voltDropPerAm * v.in * task.lengthM * dropShare(task),
          finding: fault('slip.ratingForLoad'),
        },
      ]
    case 'voltDropTotal':
      return task.dropAbove > 0
        ? [
            {
              value: v.voltDrop / nominalV(task.phases),
              finding: fault('slip.dropAboveForgotten', { above: task.dropAbove }),
            },
          ]
        : []
    case 'ohmPerM':
      return lineOnly(1)
    case 'r1r2':
      return [
        ...lineOnly(metres),
        { value: (v.ohmPerM ?? 0) * metres * hot, finding: fault('slip.hotForCold') },
      ]
    case 'r1r2Hot':
      return [
        { value: v.r1r2, finding: fault('slip.coldForHot') },
        { value: v.r1r2 / hot, finding: fault('slip.invertedFactor', { symbol: hot.toFixed(2) }) },
      ]
    case 'zs':
      return [
        { value: v.r1r2Hot, finding: fault('slip.externalForgotten', { zeOhm }) },
        { value: zeOhm + v.r1r2, finding: fault('slip.coldForHot') },
        ...lineOnly(metres * hot, zeOhm),
      ]
    case 'cpcMin':
      return size
        ? [{ value: (v.faultCurrent ** 2 * v.time) / size.k, finding: fault('slip.rootForgotten') }]
        : []
    default:
      return []
  }
})
