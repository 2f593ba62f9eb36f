import { fault } from '../../findings/finding'
import { circuitsOf, numberAt, type Relation, type Sheet, type SheetRule } from './rule'

/** Ends of the same conductor size are as long as each other: within this, Ω. Guidance Note 3, from memory. */
const SAME_OHM = 0.05
/** Ohmmeter and cut lengths, as a share. */
const RATIO_SLACK = 0.15
const QUARTER_SLACK = { relative: 0.15, ohm: 0.06 } as const

/** r1 and rn agree, r2 follows from the areas, and no socket reads above a quarter of both ends unless it is on a spur. */
export const ringRelations: SheetRule = (sheet) =>
  circuitsOf(sheet).flatMap((circuit): Relation[] => {
    const [r1, rn, r2] = ['r1', 'rn', 'r2'].map((kind) => numberAt(sheet, `${circuit}.${kind}`))
    if (r1 === undefined) return []
    const found: Relation[] = []
    if (rn !== undefined && Math.abs(r1 - rn) > SAME_OHM + RATIO_SLACK * 0.3 * Math.max(r1, rn))
      found.push({
        finding: fault('ring.endsDiffer', { r1, rn }),
        keys: [`${circuit}.${rn > r1 ? 'rn' : 'r1'}`, `${circuit}.r1`, `${circuit}.rn`],
      })
    const [told1, told2] = ['r1', 'r2'].map((kind) => sheet.expected.get(`${circuit}.${kind}`)?.value)
    if (r2 !== undefined && told1 && told2) {
      const [ratio, told] = [r2 / r1, told2 / told1]
      if (Math.abs(ratio / told - 1) > RATIO_SLACK + SAME_OHM / Math.max(r1, SAME_OHM))
        found.push({
          finding: fault('ring.ratio', { ratio, told }),
          keys: [`${circuit}.r2`, `${circuit}.r1`],
        })
    }
    return r2 === undefined ? found : [...found, ...quarters(sheet, circuit, (r1 + r2) / 4)]
  })

function quarters(sheet: Sheet, circuit: string, quarter: number): Relation[] {
  const points = sheet.schedule.filter((test) => test.circuit === circuit && test.kind === 'r1r2')
  return points.flatMap(({ key }): Relation[] => {
    const [value, expected] = [numberAt(sheet, key), sheet.expected.get(key)?.value]
    // A point that lies on a spur by design may read more.
    if (
      value === undefined ||
      value <= Math.max(quarter, expected ?? 0) * (1 + QUARTER_SLACK.relative) + QUARTER_SLACK.ohm
    )
      return []
    return [
      {
        finding: fault('ring.aboveQuarter', { value, quarter }),
        keys: [key, `${circuit}.r1`, `${circuit}.r2`],
      },
    ]
  })
}
