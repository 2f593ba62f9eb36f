import { fault } from '../../findings/finding'
import { numberAt, type SheetRule } from './rule'

/** Leads that were not nulled add about this much to every continuity reading, Ω; common practice, no source. */
const LEADS = { least: 0.05, most: 0.35 } as const
/** So many readings, and so many of them, must agree. */
const LEAST_READINGS = 4
const AGREE = 0.75
/** Ohmmeter, its digits and the lengths together: share and Ω. */
const SCATTER = { relative: 0.04, ohm: 0.035 } as const
const CONTINUITY = new Set(['bonding', 'r1', 'rn', 'r2', 'r1r2', 'r2Long'])

/** The same resistance too much in nearly every continuity reading, the short ones too. */
export const leadsNotNulled: SheetRule = (sheet) => {
  const readings = sheet.schedule
    .filter(({ kind }) => CONTINUITY.has(kind))
    .flatMap(({ key }) => {
      const [value, told] = [numberAt(sheet, key), sheet.expected.get(key)?.value]
      return value === undefined || told === undefined ? [] : [{ key, told, extra: value - told }]
    })
  if (readings.length < LEAST_READINGS) return []
  const extras = readings.map(({ extra }) => extra).sort((a, b) => a - b)
  const ohm = extras[Math.floor(extras.length / 2)]!
  if (ohm < LEADS.least || ohm > LEADS.most) return []
  const agreeing = readings.filter(
    ({ extra, told }) => Math.abs(extra - ohm) <= SCATTER.ohm + SCATTER.relative * told,
  )
  // A longer run scales its readings; leads do not care how long it is.
  return agreeing.length / readings.length >= AGREE
    ? [
        {
          finding: fault('leads.notNulled', { ohm, count: agreeing.length, of: readings.length }),
          keys: agreeing.map(({ key }) => key),
        },
      ]
    : []
}
