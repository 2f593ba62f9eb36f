import { fault } from '../../findings/finding'
import { sizeOf } from '../../regulations/cables'
import { COPPER_OHM_PER_M, HOT_MULTIPLIER } from '../../regulations/conductors'
import type { Slip, SlipRule } from './slip'

/** Something that belongs in the sum is missing, or the value of another step was put in its place. */
export const partLeftOut: SlipRule = ({ step, task, values }) => {
  const { zeOhm } = task.supply
  const v = values as Required<typeof values>
  const size = sizeOf(task.cable.kind, task.cable.method, v.csa)
  const lineOnly = (scale: number, offset = 0): Slip[] =>
    size ? [{ value: offset + COPPER_OHM_PER_M[size.lineMm2]! * scale, finding: fault('slip.lineOnly') }] : []
  switch (step.key) {
    case 'itMin':
      return [{ value: v.ib / (v.ca * v.cg), finding: fault('slip.loadForRating') }]
    case 'voltDrop':
      return [{ value: v.voltDropPerAm * v.in * task.lengthM, finding: fault('slip.ratingForLoad') }]
    case 'ohmPerM':
      return lineOnly(1)
    case 'r1r2':
      return [...lineOnly(task.lengthM), { value: v.ohmPerM * task.lengthM * HOT_MULTIPLIER, finding: fault('slip.hotForCold') }]
    case 'r1r2Hot':
      return [
        { value: v.r1r2, finding: fault('slip.coldForHot') },
        { value: v.r1r2 / HOT_MULTIPLIER, finding: fault('slip.invertedFactor', { symbol: String(HOT_MULTIPLIER) }) },
      ]
    case 'zs':
      return [
        { value: v.r1r2Hot, finding: fault('slip.externalForgotten', { zeOhm }) },
        { value: zeOhm + v.r1r2, finding: fault('slip.coldForHot') },
        ...lineOnly(task.lengthM * HOT_MULTIPLIER, zeOhm),
      ]
    default:
      return []
  }
}
