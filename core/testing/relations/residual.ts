import { fault } from '../../findings/finding'
import { circuitsOf, numberAt, type Relation, type SheetRule } from './rule'

/** A higher multiple of IΔn never takes longer; ms of the display apart. */
const SAME_S = 0.003

export const residualTimes: SheetRule = (sheet) =>
  circuitsOf(sheet).flatMap((circuit): Relation[] => {
    const keyOf = (kind: string) =>
      sheet.schedule.find((test) => test.circuit === circuit && test.kind === kind)?.key ?? ''
    const [once, five] = [keyOf('rcd'), keyOf('rcdFive')]
    const [at1, at5] = [numberAt(sheet, once), numberAt(sheet, five)]
    return at1 !== undefined && at5 !== undefined && at5 > at1 + SAME_S
      ? [{ finding: fault('residual.slower', { at1, at5 }), keys: [five, once] }]
      : []
  })
