import { fault } from '../../findings/finding'
import type { Slip, SlipRule } from './slip'

/** Multiplied by a factor that divides, one left out, or one written upside down. A factor of 1 can do no harm. */
export const invertedFactor: SlipRule = ({ step, expected, values }) => {
  if (step.key === 'itMin') {
    const { in: rating, ca, cg } = values as Required<typeof values>
    const slips: Slip[] = []
    if (ca * cg !== 1) slips.push({ value: rating * ca * cg, finding: fault('slip.multipliedFactors') })
    if (cg !== 1) slips.push({ value: rating / ca, finding: fault('slip.factorForgotten', { symbol: 'Cg' }) })
    if (ca !== 1) slips.push({ value: rating / cg, finding: fault('slip.factorForgotten', { symbol: 'Ca' }) })
    return slips
  }
  if (step.quantity !== 'factor' || expected === 1) return []
  return [{ value: 1 / expected, finding: fault('slip.invertedFactor', { symbol: step.symbol }) }]
}
