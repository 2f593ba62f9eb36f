import { fault, type Finding } from '../../../findings/finding'
import { forCircuits } from './slip'

/**
 * A value per metre or per ampere that was not multiplied by what it needs; written in the small unit or the
 * large one.
 */
export const perMetre = forCircuits(({ step, task, values }) => {
  const lengthForgotten = fault('slip.lengthForgotten', { lengthM: task.lengthM })
  const eitherUnit = (value: number, finding: Finding) => [
    { value, finding },
    { value: value * 1e3, finding },
  ]
  if (step.key === 'r1r2' && values.ohmPerM !== undefined) return eitherUnit(values.ohmPerM, lengthForgotten)
  if (step.key !== 'voltDrop') return []
  const { voltDropPerAm, ib } = values as Required<typeof values>
  return [
    ...eitherUnit(voltDropPerAm * ib, lengthForgotten),
    ...eitherUnit(voltDropPerAm * task.lengthM, fault('slip.currentForgotten')),
  ]
})
