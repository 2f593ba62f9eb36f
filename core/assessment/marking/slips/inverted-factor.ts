import { carriedA } from '../../../design/limits/counted-drop'
import { fault } from '../../../findings/finding'
import { forCircuits, type Slip } from './slip'

const FACTORS = [
  ['ca', 'Ca'],
  ['cg', 'Cg'],
  ['ci', 'Ci'],
  ['cf', 'Cf'],
] as const

/** Multiplied by a factor that divides, one left out, or one written upside down. A factor of 1 can do no harm. */
export const invertedFactor = forCircuits(({ step, task, expected, values }) => {
  if (step.key === 'itMin' || step.key === 'iz') {
    // Iz is without Cf: that belongs to the comparison with In.
    const factors: readonly (readonly [(typeof FACTORS)[number][0], string])[] =
      step.key === 'iz' ? FACTORS.filter(([key]) => key !== 'cf') : FACTORS
    const all = factors.reduce((product, [key]) => product * values[key]!, 1)
    const carried = carriedA(task, values.in!)
    const [multiplied, divided] =
      step.key === 'itMin' ? [carried * all, carried / all] : [values.it! / all, values.it! * all]
    const slips: Slip[] =
      all === 1
        ? []
        : [
            {
              value: multiplied,
              finding: fault(step.key === 'itMin' ? 'slip.multipliedFactors' : 'slip.dividedFactors'),
            },
          ]
    for (const [key, symbol] of factors) {
      const factor = values[key]!
      if (factor !== 1)
        slips.push({
          value: step.key === 'itMin' ? divided * factor : divided / factor,
          finding: fault('slip.factorForgotten', { symbol }),
        })
    }
    return slips
  }
  if (step.quantity !== 'factor' || expected === 1) return []
  return [{ value: 1 / expected, finding: fault('slip.invertedFactor', { symbol: step.symbol }) }]
})
