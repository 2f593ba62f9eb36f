import { fault, note } from '../../findings/finding'
import { U0_V } from '../../regulations/supply'
import { pfc } from '../kinds/pfc'
import { r1r2 } from '../kinds/r1r2'
import { ze } from '../kinds/ze'
import { expectedAt, numberAt, type Sheet } from './sheet'
import type { ScheduleTest } from '../plan/schedule'
import { takingPart, testAt, type Relation, type SheetRule } from './relation'

/**
 * Loop tester and ohmmeter may disagree by this much before a sum is questioned: 5 % and 5 digits of the loop
 * tester, at Ze and at Zs, and 2 % of the ohmmeter; common practice, no source.
 */
const SUM = { relative: 0.1, ohm: 0.1 } as const
const ZE_OHM = 0.08
/** And of an electrode of many ohms as a share: 1 Ω in 70 is nothing. */
const ZE_SHARE = 0.05
/** Fault current and Ze, both with the loop tester's error. */
const PRODUCT = 0.25

/** Zs is Ze and R1 + R2 together at the same point, and never clearly below Ze. */
export const loopSums: SheetRule = (sheet) => {
  const external = numberAt(sheet, ze.key)
  if (external === undefined) return []
  return takingPart(sheet, 'loopSum')
    .filter(({ isDead, point }) => !isDead && point !== null)
    .flatMap((test) => loopSum(sheet, test, external))
}

function loopSum(sheet: Sheet, { key, circuit, point }: ScheduleTest, external: number): Relation[] {
  const zs = numberAt(sheet, key)
  if (zs === undefined) return []
  if (zs < external - ZE_OHM - ZE_SHARE * external)
    return [{ finding: note('across.zsBelowZe', { zs, ze: external }), keys: [key, ze.key] }]
  const dead = testAt(sheet, circuit, r1r2.key, point)?.key
  const measured = dead && numberAt(sheet, dead)
  if (!dead || measured === undefined || !isSumHere(sheet, key, dead)) return []
  const sum = external + Number(measured)
  if (Math.abs(zs - sum) <= SUM.relative * sum + SUM.ohm) return []
  const expected = sheet.expected.get(key)
  // When Zs fits the bay the dead reading is the odd one, and has been named there.
  if (expected && zs >= expected.low && zs <= (expected.high ?? Infinity))
    return [{ finding: note('across.zsFits', { sum }), keys: [key, dead] }]
  const code = zs < sum ? 'across.zsBelowSum' : 'across.zsAboveSum'
  return [{ finding: fault(code, { zs, sum }), keys: [key, dead, ze.key] }]
}

/** Behind an electrode of its own the sum is another one. */
function isSumHere(sheet: Sheet, key: string, dead: string): boolean {
  const [zs, external, r1AndR2] = [key, ze.key, dead].map((entry) => expectedAt(sheet, entry))
  if (zs === undefined || external === undefined || r1AndR2 === undefined) return false
  return Math.abs(zs - external - r1AndR2) <= SUM.ohm
}

/**
 * Fault current times Ze gives the voltage: at least, where line to neutral may be the stronger; about, where
 * both are one conductor outside.
 */
export const faultCurrentFits: SheetRule = (sheet) => {
  const [external, current] = [numberAt(sheet, ze.key), numberAt(sheet, pfc.key)]
  const [expectedZe, expectedCurrent] = [expectedAt(sheet, ze.key), expectedAt(sheet, pfc.key)]
  if (external === undefined || current === undefined || !expectedZe || !expectedCurrent) return []
  // What belongs together at this bay, by the same two tests.
  const share = (current * external) / (expectedZe * expectedCurrent)
  const isHighWrong = sheet.arrangement === 'TN-C-S'
  const isOff = share < 1 - PRODUCT || (isHighWrong && share > 1 + PRODUCT)
  const finding = fault('loop.faultCurrent', { pfc: current, ze: external, volt: U0_V })
  return isOff ? [{ finding, keys: [pfc.key, ze.key] }] : []
}
