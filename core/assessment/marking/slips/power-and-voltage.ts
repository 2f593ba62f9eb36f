import { fault } from '../../../findings/finding'
import { U0_V, U_V } from '../../../regulations/supply'
import { forCircuits, type Slip } from './slip'

const ROOT_3 = Math.sqrt(3)

/**
 * Ib worked without the power factor or efficiency, with one on the wrong side, without √3, or with the other
 * voltage.
 */
export const powerAndVoltage = forCircuits(({ step, task: { load, phases } }) => {
  if (step.key !== 'ib' || (load.basis !== 'power' && load.basis !== 'motor')) return []
  const efficiency = load.basis === 'motor' ? load.efficiency : 1
  const { powerW, powerFactor } = load
  const currentA = phases === 3 ? powerW / (ROOT_3 * U_V) : powerW / U0_V
  const others =
    phases === 3
      ? ([
          [powerW / U_V, 'slip.rootThreeForgotten'],
          [powerW / U0_V, 'slip.phaseVoltage'],
          [powerW / (ROOT_3 * U0_V), 'slip.phaseVoltage'],
        ] as const)
      : ([
          [powerW / U_V, 'slip.lineVoltage'],
          [powerW / (ROOT_3 * U_V), 'slip.lineVoltage'],
        ] as const)
  const divided = [1, powerFactor, efficiency, powerFactor * efficiency]
  const slips: Slip[] = others.flatMap(([current, code]) =>
    divided.map((factor) => ({ value: current / factor, finding: fault(code) })),
  )
  if (powerFactor !== 1) {
    slips.push({ value: currentA / efficiency, finding: fault('slip.powerFactorForgotten', { powerFactor }) })
    slips.push({
      value: (currentA * powerFactor) / efficiency,
      finding: fault('slip.powerFactorMultiplied', { powerFactor }),
    })
  }
  if (efficiency !== 1)
    slips.push({ value: currentA / powerFactor, finding: fault('slip.efficiencyForgotten', { efficiency }) })
  return slips
})
