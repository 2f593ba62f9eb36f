import { fault } from '../../../findings/finding'
import type { SlipRule } from './slip'

/** The decimal point has moved one or two places. */
export const decimalPoint: SlipRule = ({ expected }) =>
  [10, 0.1, 100, 0.01].map((factor) => ({
    value: expected * factor,
    finding: fault('slip.decimal', {
      times: Math.round(Math.max(factor, 1 / factor)),
      direction: factor > 1 ? 'large' : 'small',
    }),
  }))
