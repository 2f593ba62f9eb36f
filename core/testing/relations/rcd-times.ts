import { fault } from '../../findings/finding'
import { rcd, rcdFive } from '../kinds/rcd-time'
import { circuitsOn, numberAt } from './sheet'
import { testAt, type Relation, type SheetRule } from './relation'

/** A higher multiple of IΔn never takes longer; ms of the display apart. */
const SAME_S = 0.003

export const rcdTimes: SheetRule = (sheet) =>
  circuitsOn(sheet).flatMap((circuit): Relation[] => {
    const [once, five] = [testAt(sheet, circuit, rcd.key), testAt(sheet, circuit, rcdFive.key)]
    if (!once || !five) return []
    const [at1, at5] = [numberAt(sheet, once.key), numberAt(sheet, five.key)]
    if (at1 === undefined || at5 === undefined || at5 <= at1 + SAME_S) return []
    return [{ finding: fault('residual.slower', { at1, at5 }), keys: [five.key, once.key] }]
  })
