import { note } from '../../findings/finding'
import { circuitsOf, numberAt, type Relation, type SheetRule } from './rule'

/** Two readings of one ohmmeter may disagree by this before their order is questioned, Ω. */
const ORDER_OHM = 0.05

/** Along a radial each point reads at least what the one before it reads, if it was meant to. */
export const radialGrows: SheetRule = (sheet) =>
  circuitsOf(sheet).flatMap((circuit): Relation[] => {
    if (sheet.schedule.some(({ key }) => key === `${circuit}.r1`)) return []
    const points = sheet.schedule
      .filter((test) => test.circuit === circuit && test.kind === 'r1r2')
      .flatMap(({ key }) => {
        const [value, told] = [numberAt(sheet, key), sheet.expected.get(key)?.value]
        return value === undefined || told === undefined ? [] : [{ key, value, told }]
      })
    return points.flatMap((point, i): Relation[] => {
      const before = points[i - 1]
      return before && point.told > before.told && point.value < before.value - ORDER_OHM
        ? [
            {
              finding: note('radial.shrinks', { value: point.value, before: before.value }),
              keys: [point.key, before.key],
            },
          ]
        : []
    })
  })
