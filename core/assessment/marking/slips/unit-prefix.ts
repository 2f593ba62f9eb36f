import { fault } from '../../../findings/finding'
import type { SlipRule } from './slip'

/** The digits are right, the prefix is not: mA for A, Ω for mΩ, kW for W. */
export const unitPrefix: SlipRule = ({ expected }) =>
  [1e3, 1e-3, 1e6, 1e-6].map((factor) => ({
    value: expected * factor,
    finding: fault('slip.unit', {
      times: Math.round(Math.max(factor, 1 / factor)),
      direction: factor > 1 ? 'large' : 'small',
    }),
  }))
