import type { SlipParams } from '#core/findings/codes'
import { formatQuantity } from '#core/units/format'
import { ohms, type SentencesOf } from './sentence'

/** The likely slip behind a wrong answer. */
export const SLIP_SENTENCES: SentencesOf<SlipParams> = {
  'slip.unit': (p) =>
    `The digits are right, the unit is not: ${p.times} times too ${p.direction}. Look at milli and kilo.`,
  'slip.decimal': (p) => `The decimal point has moved: ${p.times} times too ${p.direction}.`,
  'slip.invertedFactor': (p) => `${p.symbol} is upside down: 1 divided by the right factor.`,
  'slip.multipliedFactors': () =>
    'The factors were multiplied in. They divide: the table must offer more than In, not less.',
  'slip.factorForgotten': (p) => `${p.symbol} was left out of the division.`,
  'slip.neighbour': (p) => `This value belongs to ${p.entry} in ${p.table}. Read the row and column again.`,
  'slip.lengthForgotten': (p) =>
    `This is the value for one metre; the run is ${formatQuantity(p.lengthM, 'length')}.`,
  'slip.currentForgotten': () => 'This is the drop for one ampere; multiply by the design current.',
  'slip.powerFactorForgotten': (p) => `The power factor of ${p.powerFactor} was left out.`,
  'slip.powerFactorMultiplied': (p) =>
    `The power factor of ${p.powerFactor} divides; here it was multiplied.`,
  'slip.dividedFactors': () =>
    'The factors were divided out. Iz is what is left of It once they have taken their share: multiply.',
  'slip.rootThreeForgotten': () => 'The √3 was left out: three phases carry P ÷ (√3 × 400 V).',
  'slip.phaseVoltage': () => 'This was worked with 230 V. The circuit is three phase: √3 × 400 V.',
  'slip.efficiencyForgotten': (p) =>
    `The efficiency of ${p.efficiency} was left out: the motor takes more than it gives.`,
  'slip.ringAsRadial': () =>
    'A ring has two legs: half the current over half the way, a quarter of the end-to-end resistance.',
  'slip.ringCarriesAll': () => 'In a ring each leg need carry 20 A (433.1.204), not the whole rating.',
  'slip.dropAboveForgotten': (p) =>
    `The ${formatQuantity(p.above, 'percent')} lost on the way to this board were left out.`,
  'slip.rootForgotten': () => 'The square root was left out: S = √(I²t) ÷ k.',
  'slip.withoutDiversity': () =>
    'This is the plain sum. Not everything runs at once: use the diversity of each kind, line by line.',
  'slip.lineVoltage': () => 'This was worked with 400 V. The circuit is single phase: 230 V.',
  'slip.loadForRating': () => 'This starts from Ib. The cable is protected by the device, so start from In.',
  'slip.ratingForLoad': () => 'This uses In. Voltage drop is worked with the design current Ib.',
  'slip.lineOnly': () => 'The cpc was left out: the fault path is line and cpc.',
  'slip.hotForCold': () => 'This is the hot value; here the value at 20 °C is asked.',
  'slip.coldForHot': () => 'This is the cold value. A fault finds the conductors hot: multiply by 1.20.',
  'slip.externalForgotten': (p) =>
    `Ze of ${ohms(p.zeOhm)} was left out: the path goes through the supply too.`,
}
