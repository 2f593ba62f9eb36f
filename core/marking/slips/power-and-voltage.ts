import { fault } from '../../findings/finding'
import { U0_V } from '../../regulations/supply'
import type { Slip, SlipRule } from './slip'

const LINE_VOLTAGE_V = 400

/** Ib worked without the power factor, with it on the wrong side, or with 400 V in a single-phase circuit. */
export const powerAndVoltage: SlipRule = ({ step, task }) => {
  if (step.key !== 'ib' || task.load.basis !== 'power') return []
  const { powerW, powerFactor } = task.load
  const at400 = powerW / LINE_VOLTAGE_V
  const slips: Slip[] = [at400, at400 / powerFactor, at400 / Math.sqrt(3), at400 / Math.sqrt(3) / powerFactor]
    .map((value) => ({ value, finding: fault('slip.lineVoltage') }))
  if (powerFactor !== 1) {
    slips.push({ value: powerW / U0_V, finding: fault('slip.powerFactorForgotten', { powerFactor }) })
    slips.push({ value: (powerW * powerFactor) / U0_V, finding: fault('slip.powerFactorMultiplied', { powerFactor }) })
  }
  return slips
}
