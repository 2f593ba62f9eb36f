import { fault, note } from '../../../findings/finding'
import type { ExpectedReading } from '../../expected/circuit'
import { numberOf, type ReadingRule } from './rule'

/** Loop tester and ohmmeter may disagree by this much before the sum is questioned. */
const SUM_RELATIVE = 0.07
const SUM_OHM = 0.08

/** Zs can never be below Ze, and should be Ze + (R1 + R2) as both were measured. */
export const sumOfLoop: ReadingRule = (context) => {
  const { key, all } = context
  if (key !== 'zs') return undefined
  const ze = numberOf(all.ze)
  const r1r2 = numberOf(all.r1r2)
  const zs = numberOf(all.zs)
  if (ze === undefined || zs === undefined) return undefined
  if (zs < ze - SUM_OHM) return fault('across.zsBelowZe', { zs, ze })
  if (r1r2 === undefined) return undefined
  const sum = ze + r1r2
  const slack = SUM_RELATIVE * sum + SUM_OHM
  if (Math.abs(zs - sum) <= slack) return undefined
  // When Zs fits the bay and the dead reading does not, the dead one is off and has been named there.
  if (
    isInBand(zs, context.expected) &&
    !isInBand(
      r1r2,
      context.expectations.find((e) => e.key === 'r1r2')!,
    )
  )
    return note('across.zsFits', { sum })
  if (zs < sum) return fault('across.zsBelowSum', { zs, sum })
  return fault('across.zsAboveSum', { zs, sum })
}

const isInBand = (value: number, { low, high }: ExpectedReading): boolean =>
  value >= low && (high === undefined || value <= high)

/** One insulation reading far under the others is a finding, though it is above the minimum. */
export const insulationOutOfFamily: ReadingRule = ({ key, all, expected }) => {
  if (key !== 'irLN' && key !== 'irLE' && key !== 'irNE') return undefined
  const own = numberOf(all[key])
  // Below the band it has been named already.
  if (own === undefined || own < expected.low) return undefined
  const rest = (['irLN', 'irLE', 'irNE'] as const)
    .filter((other) => other !== key)
    .map((other) => all[other])
    .map((reading) => (reading?.form === 'over' ? reading.value : numberOf(reading)))
  if (rest.some((value) => value === undefined)) return undefined
  const lowest = Math.min(...(rest as number[]))
  return own < lowest / 10 ? fault('across.insulationLow', { value: own, lowest }) : undefined
}

/** Nobody measures the calculated value to the last digit three times: worth a question at the bay. */
export const tooExact: ReadingRule = ({ key, reading, expected }) => {
  if (reading.form !== 'value' || expected.value === undefined || key === 'ze' || reading.significant < 3)
    return undefined
  const isExact =
    Math.abs(reading.value - expected.value) <= 0.5 * 10 ** -reading.decimals * 1.001 && reading.decimals >= 3
  return isExact ? note('across.tooExact', { value: reading.value }) : undefined
}
