import { fault, note } from '../../findings/finding'
import { MINIMUM_INSULATION_OHM, irLE, irLN, irNE } from '../kinds/insulation'
import { irBoardE, irBoardLN } from '../kinds/insulation-board'
import { atLeastAt, circuitsOn, numberAt } from './sheet'
import { takingPart, type Relation, type SheetRule } from './relation'

/** A tenth of the rest is out of the family; common practice, no source. */
const FAMILY = 10

/** A reading far under the rest of its circuit passes above the minimum, and wants a reason. */
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
        ? [{ finding: note('across.insulationLow', { value, lowest }), keys: [key] }]
        : []
    })
  })
}

/** Which readings of circuits a reading of the whole board is the parallel of. */
const MEMBERS: Readonly<Record<string, readonly string[]>> = {
  [irBoardLN.key]: [irLN.key],
  [irBoardE.key]: [irLE.key, irNE.key],
}
/** Instruments and the weather between two readings, as a share of the higher. */
const PARALLEL = { above: 1.25, below: 0.33 } as const

/**
 * A reading of the whole board is never above that of one of its circuits, and not far below all of them in
 * parallel.
 */
export const boardInsulation: SheetRule = (sheet) => {
  const family = takingPart(sheet, 'insulationFamily')
  return takingPart(sheet, 'insulationBoard').flatMap(({ key, kind }): Relation[] => {
    const members = family.filter((test) => MEMBERS[kind]?.includes(test.kind)).map((test) => test.key)
    const read = members.flatMap((member) => atLeastAt(sheet, member) ?? [])
    const board = atLeastAt(sheet, key)
    if (board === undefined || read.length === 0) return []
    const lowest = Math.min(...read)
    const at = members.filter((member) => atLeastAt(sheet, member) === lowest)
    if (board > lowest * PARALLEL.above && numberAt(sheet, at[0]!) !== undefined)
      return [{ finding: fault('across.boardAboveMember', { value: board, lowest }), keys: [key, ...at] }]
    const together = 1 / read.reduce((sum, ohm) => sum + 1 / ohm, 0)
    if (read.length < members.length || board >= together * PARALLEL.below) return []
    return [{ finding: fault('across.boardBelowMembers', { value: board, together }), keys: [key] }]
  })
}
