import type { SlipParams } from '#core/findings/codes'
import type { BandCause } from '#core/findings/codes'
import { STEP_TEXT } from '../steps'

/** What went wrong in a sheet, as a heading: short, without figures. */
const SLIP_KIND: Readonly<Record<keyof SlipParams, string>> = {
  'slip.unit': 'Unit taken for another',
  'slip.decimal': 'Decimal point moved',
  'slip.invertedFactor': 'Factor upside down',
  'slip.multipliedFactors': 'Factors multiplied instead of divided',
  'slip.dividedFactors': 'Factors divided instead of multiplied',
  'slip.factorForgotten': 'Factor left out',
  'slip.neighbour': 'Neighbouring row of a table',
  'slip.lengthForgotten': 'Length left out',
  'slip.currentForgotten': 'Current left out',
  'slip.powerFactorForgotten': 'Power factor left out',
  'slip.powerFactorMultiplied': 'Power factor multiplied',
  'slip.rootThreeForgotten': '√3 left out',
  'slip.phaseVoltage': '230 V for 400 V',
  'slip.efficiencyForgotten': 'Efficiency left out',
  'slip.ringAsRadial': 'Ring worked as a radial',
  'slip.ringCarriesAll': 'Ring’s leg taken for the whole rating',
  'slip.dropAboveForgotten': 'Drop up to the board left out',
  'slip.rootForgotten': 'Square root left out',
  'slip.withoutDiversity': 'Without diversity',
  'slip.lineVoltage': '400 V for 230 V',
  'slip.loadForRating': 'Ib where In belongs',
  'slip.ratingForLoad': 'In where Ib belongs',
  'slip.lineOnly': 'cpc left out',
  'slip.hotForCold': 'Hot value for a cold one',
  'slip.coldForHot': 'Cold value for a hot one',
  'slip.externalForgotten': 'Ze left out',
}
const BAND_KIND: Readonly<Record<BandCause, string>> = {
  decimal: 'Reading with the decimal point moved',
  othersBay: 'Reading of another bay',
  oneConductor: 'Reading of one conductor alone',
  otherSize: 'Reading of another conductor size',
  leadsOrLoose: 'Leads not nulled, or a loose terminal',
  lowInsulation: 'Insulation too low',
  highExternal: 'Ze too high',
  lowExternal: 'Ze too low',
  underLoad: 'Measured under load',
  tooFast: 'Trip too fast to be one',
  high: 'Reading too high',
  low: 'Reading too low',
}
const OTHER_KIND: Readonly<Record<string, string>> = {
  'limit.passed': 'Limit passed and not noticed',
  'limit.polarity': 'Polarity',
  'limit.noTrip': 'RCD that does not trip in time',
  'leads.notNulled': 'Leads not nulled',
  'across.zsAboveSum': 'Zs above Ze and R1 + R2',
  'across.zsBelowSum': 'Zs below Ze and R1 + R2',
  'across.zsBelowZe': 'Zs below Ze',
  'ring.endsDiffer': 'Ring’s ends differ',
  'ring.legsJoined': 'Ring’s legs joined with themselves',
  'instrument.overdue': 'Instrument out of calibration',
  'instrument.none': 'Instrument not written down',
  'time.beforePermission': 'Live reading before the permission',
  missing: 'Left empty',
}

const STEPS: Readonly<Record<string, { readonly name: string } | undefined>> = STEP_TEXT
const stepName = (key: string): string => STEPS[key]?.name ?? key

/** What a kind is called. */
export function kindText(kind: string): string {
  if (kind in SLIP_KIND) return SLIP_KIND[kind as keyof SlipParams]
  const [head, ...rest] = kind.split('.')
  const tail = rest.join('.')
  if (head === 'band' && tail in BAND_KIND) return BAND_KIND[tail as BandCause]
  if (head === 'notExplained') return `${stepName(tail)}: wrong, cause not told`
  return (
    OTHER_KIND[kind] ?? kind.replaceAll('.', ': ').replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)
  )
}

/** Slips that a starter can be made for. */
export const isSlip = (kind: string): kind is keyof SlipParams => kind in SLIP_KIND
