import { fault, note } from '../../findings/finding'
import { U0_V } from '../../regulations/supply'
import { numberAt, type Relation, type SheetRule } from './rule'

/** Loop tester and ohmmeter may disagree by this much before a sum is questioned. */
const SUM = { relative: 0.1, ohm: 0.1 } as const
const ZE_OHM = 0.08
/** Fault current and Ze, both with the loop tester's error. */
const PRODUCT = 0.25

/** Zs is Ze and R1 + R2 together at the same point, and never clearly below Ze. */
export const loopSums: SheetRule = (sheet) => {
  const ze = numberAt(sheet, 'ze')
  if (ze === undefined) return []
  return sheet.schedule
    .filter(({ kind }) => kind === 'zs')
    .flatMap(({ key, circuit, point }): Relation[] => {
      const zs = numberAt(sheet, key)
      if (zs === undefined) return []
      if (zs < ze - ZE_OHM) return [{ finding: fault('across.zsBelowZe', { zs, ze }), keys: [key, 'ze'] }]
      const dead = `${circuit}.r1r2@${point}`
      const r1r2 = numberAt(sheet, dead)
      if (r1r2 === undefined) return []
      // Behind an electrode of its own the sum is another one.
      const [toldZs, toldZe, toldDead] = [key, 'ze', dead].map((one) => sheet.expected.get(one)?.value)
      if (
        toldZs === undefined ||
        toldZe === undefined ||
        toldDead === undefined ||
        Math.abs(toldZs - toldZe - toldDead) > SUM.ohm
      )
        return []
      const sum = ze + r1r2
      if (Math.abs(zs - sum) <= SUM.relative * sum + SUM.ohm) return []
      const told = sheet.expected.get(key)
      // When Zs fits the bay the dead reading is the odd one, and has been named there.
      if (told && zs >= told.low && zs <= (told.high ?? Infinity))
        return [{ finding: note('across.zsFits', { sum }), keys: [key, dead] }]
      return [
        {
          finding: fault(zs < sum ? 'across.zsBelowSum' : 'across.zsAboveSum', { zs, sum }),
          keys: [key, dead, 'ze'],
        },
      ]
    })
}

/** Fault current times Ze gives the voltage: at least, where line to neutral may be the stronger; about, where both are one conductor outside. */
export const faultCurrentFits: SheetRule = (sheet) => {
  const [ze, pfc] = [numberAt(sheet, 'ze'), numberAt(sheet, 'pfc')]
  const told = [sheet.expected.get('ze')?.value, sheet.expected.get('pfc')?.value]
  if (ze === undefined || pfc === undefined || !told[0] || !told[1]) return []
  // What belongs together at this bay, by the same two tests.
  const share = (pfc * ze) / (told[0] * told[1])
  const isHighWrong = sheet.arrangement === 'TN-C-S'
  return share < 1 - PRODUCT || (isHighWrong && share > 1 + PRODUCT)
    ? [{ finding: fault('loop.faultCurrent', { pfc, ze, volt: U0_V }), keys: ['pfc', 'ze'] }]
    : []
}
