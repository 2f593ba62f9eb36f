import { fault } from '../../findings/finding'
import { MINIMUM_INSULATION_OHM } from '../kinds/insulation'
import { atLeastAt, circuitsOn, numberAt } from './sheet'
import { takingPart, type Relation, type SheetRule } from './relation'

/** A tenth of the rest is out of the family; common practice, no source. */
const FAMILY = 10

/** A reading far under the rest of its circuit, though above the minimum, is a finding and not a pass. */
export const insulationFamily: SheetRule = (sheet) => {
  const tests = takingPart(sheet, 'insulationFamily')
  return circuitsOn(sheet).flatMap((circuit): Relation[] => {
    const keys = tests.filter((test) => test.circuit === circuit).map(({ key }) => key)
    return keys.flatMap((key): Relation[] => {
      const value = numberAt(sheet, key)
      if (value === undefined || value < MINIMUM_INSULATION_OHM) return []
      const rest = keys.filter((other) => other !== key).flatMap((other) => atLeastAt(sheet, other) ?? [])
      if (rest.length === 0 || rest.length < keys.length - 1) return []
      const lowest = Math.min(...rest)
      return value < lowest / FAMILY
        ? [{ finding: fault('across.insulationLow', { value, lowest }), keys: [key] }]
        : []
    })
  })
}
