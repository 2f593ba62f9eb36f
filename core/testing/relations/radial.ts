import { note } from '../../findings/finding'
import { r1 } from '../kinds/ring-end-to-end'
import { circuitsOn, expectedAt, numberAt } from './sheet'
import { takingPart, testAt, type Relation, type SheetRule } from './relation'

/** Two readings of one ohmmeter may disagree by this before their order is questioned, Ω. */
const ORDER_OHM = 0.05

/** Along a radial each point reads at least what the one before it reads, if it was meant to. */
export const radialGrows: SheetRule = (sheet) => {
  const tests = takingPart(sheet, 'radial')
  return circuitsOn(sheet).flatMap((circuit): Relation[] => {
    if (testAt(sheet, circuit, r1.key)) return []
    const points = tests
      .filter((test) => test.circuit === circuit)
      .flatMap(({ key }) => {
        const [value, expected] = [numberAt(sheet, key), expectedAt(sheet, key)]
        return value === undefined || expected === undefined ? [] : [{ key, value, expected }]
      })
    return points.flatMap((point, i): Relation[] => {
      const before = points[i - 1]
      if (!before || point.expected <= before.expected || point.value >= before.value - ORDER_OHM) return []
      const finding = note('radial.shrinks', { value: point.value, before: before.value })
      return [{ finding, keys: [point.key, before.key] }]
    })
  })
}
