import { SOURCES } from '../../regulations/source'
import { U0_V } from '../../regulations/supply'
import { formatNumber } from '../../units/format'
import { stopped, worked, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** Ib = P ÷ (U0 × cos φ), or the load current as given, A. */
export const designCurrent: Step = {
  key: 'ib',
  ...STEP_KINDS.ib,
  kind: 'calculated',
  needs: [],
  derive: ({ load }) => {
    if (load.basis === 'current') {
      if (!(load.currentA > 0)) return stopped('load', { value: load.currentA })
      return worked(load.currentA, 'Ib = load current', `${formatNumber(load.currentA, 'current')} A`, SOURCES.designCurrent)
    }
    if (!(load.powerW > 0) || !(load.powerFactor > 0)) return stopped('load', { value: load.powerW })
    const ib = load.powerW / (U0_V * load.powerFactor)
    const unity = load.powerFactor === 1
    return worked(
      ib,
      unity ? 'Ib = P ÷ U0' : 'Ib = P ÷ (U0 × cos φ)',
      unity ? `${load.powerW} ÷ ${U0_V}` : `${load.powerW} ÷ (${U0_V} × ${load.powerFactor})`,
      SOURCES.designCurrent,
    )
  },
}
