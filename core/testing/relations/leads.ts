import { fault } from '../../findings/finding'
import { expectedAt, numberAt } from './sheet'
import { takingPart, type SheetRule } from './relation'

/** Leads that were not nulled add about this much to every continuity reading, Ω; common practice, no source. */
export const LEADS_OHM = { least: 0.05, most: 0.35 } as const
/** So many readings, and so many of them, must agree. */
const LEAST_READINGS = 4
const AGREE = 0.75
/** Ohmmeter, its digits and the lengths together: share and Ω. */
const SCATTER = { relative: 0.04, ohm: 0.035 } as const

/** The same resistance too much in nearly every continuity reading, the short ones too. */
export const leadsNotNulled: SheetRule = (sheet) => {
  const readings = takingPart(sheet, 'leads').flatMap(({ key }) => {
    const [value, expected] = [numberAt(sheet, key), expectedAt(sheet, key)]
    return value === undefined || expected === undefined ? [] : [{ key, expected, extra: value - expected }]
  })
  if (readings.length < LEAST_READINGS) return []
  const extras = readings.map(({ extra }) => extra).sort((a, b) => a - b)
  const ohm = extras[Math.floor(extras.length / 2)]!
  if (ohm < LEADS_OHM.least || ohm > LEADS_OHM.most) return []
  // A longer run scales its readings; leads do not care how long it is.
  const agreeing = readings.filter(
    ({ extra, expected }) => Math.abs(extra - ohm) <= SCATTER.ohm + SCATTER.relative * expected,
  )
  if (agreeing.length / readings.length < AGREE) return []
  const finding = fault('leads.notNulled', { ohm, count: agreeing.length, of: readings.length })
  return [{ finding, keys: agreeing.map(({ key }) => key), isEverywhere: true }]
}
