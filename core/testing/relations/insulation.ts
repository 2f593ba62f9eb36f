import { fault } from '../../findings/finding'
import { MINIMUM_INSULATION_OHM } from '../expected/circuit'
import { atLeast, circuitsOf, numberAt, type Relation, type SheetRule } from './rule'

/** A tenth of the rest is out of the family; common practice, no source. */
const FAMILY = 10

/** A reading far under the rest of its circuit, though above the minimum, is a finding and not a pass. */
export const insulationFamily: SheetRule = (sheet) =>
  circuitsOf(sheet).flatMap((circuit): Relation[] => {
    const keys = sheet.schedule
      .filter((test) => test.circuit === circuit && test.kind.startsWith('ir'))
      .map(({ key }) => key)
    return keys.flatMap((key): Relation[] => {
      const value = numberAt(sheet, key)
      if (value === undefined || value < MINIMUM_INSULATION_OHM) return []
      const rest = keys.filter((other) => other !== key).map((other) => atLeast(sheet, other))
      if (rest.length === 0 || rest.some((one) => one === undefined)) return []
      const lowest = Math.min(...(rest as number[]))
      return value < lowest / FAMILY
        ? [{ finding: fault('across.insulationLow', { value, lowest }), keys: [key] }]
        : []
    })
  })
