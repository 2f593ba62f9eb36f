import type { Finding } from '#core/findings/finding'
import type { Grade, InspectionItem, ItemGroup } from '#core/inspection/items'
import type { ItemKey } from '#core/assessment/outcomes/framework'
import { readingKind } from '#core/testing/readings'
import { formatQuantity } from '#core/units/format'
import { GRADE_NAME, GROUP_NAME, ITEM_TEXT } from './inspection'
import { STEP_TEXT, readingText } from './steps'
import { SCHEDULE_SENTENCES } from './schedule-findings'
import { scopeOf, stepOf } from '#core/design/step-keys'

type Params = Finding['params']
type Sentence = (params: Params) => string

const amps = (value: unknown) => formatQuantity(Number(value), 'current')
const ohms = (value: unknown) => formatQuantity(Number(value), 'resistance')
const volts = (value: unknown) => formatQuantity(Number(value), 'voltage')
const metres = (value: unknown) => formatQuantity(Number(value), 'length')
const reading = (p: Params, name: string) =>
  formatQuantity(Number(p[name]), readingKind(String(p.key)).quantity)

const SENTENCES: Readonly<Record<string, Sentence>> = {
  ...SCHEDULE_SENTENCES,
  'slip.unit': (p) =>
    `The digits are right, the unit is not: ${p.times} times too ${p.direction}. Look at milli and kilo.`,
  'slip.decimal': (p) => `The decimal point has moved: ${p.times} times too ${p.direction}.`,
  'slip.invertedFactor': (p) => `${p.symbol} is upside down: 1 divided by the right factor.`,
  'slip.multipliedFactors': () =>
    'The factors were multiplied in. They divide: the table must offer more than In, not less.',
  'slip.factorForgotten': (p) => `${p.symbol} was left out of the division.`,
  'slip.neighbour': (p) => `This value belongs to ${p.entry} in ${p.table}. Read the row and column again.`,
  'slip.lengthForgotten': (p) => `This is the value for one metre; the run is ${metres(p.lengthM)}.`,
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
    `The ${formatQuantity(Number(p.above), 'percent')} lost on the way to this board were left out.`,
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
  doesNotFollow: () =>
    'The value is right but does not follow from the figures above it. Ask how it was found.',
  oneSizeUp: () => 'One size larger than the smallest that will do. It holds.',
  moreThanAsked: () => 'More than the rules ask for. It holds.',
  notExplained: (p) => `No usual slip explains this value of ${p.symbol}. Work it again step by step.`,
  notARating: (p) => `${amps(p.answer)} is not a standard rating.`,
  ratingBelowLoad: (p) =>
    `The rating is smaller than the design current of ${amps(p.ib)}: it would trip in normal use.`,
  ratingTooLarge: (p) => `The rating is more than one size above the design current of ${amps(p.ib)}.`,
  notASize: (p) => `${p.answer} mm² is not a size of this cable.`,
  size_area: () => 'Smaller than the rules allow for this use.',
  size_capacity: (p) => `It carries ${amps(p.ratingA)}; ${amps(p.itMin)} are needed.`,
  size_voltDrop: (p) =>
    `The voltage drop would be ${volts(p.voltDropV)}; the limit is ${volts(p.voltDropLimitV)}.`,
  size_loop: (p) => `Zs would be ${ohms(p.zsOhm)}; the limit is ${ohms(p.zsMaxOhm)}.`,
  size_adiabatic: (p) =>
    `A fault could overheat the cpc: ${formatQuantity(Number(p.cpcMm2), 'area')}, where ${formatQuantity(Number(p.cpcMinMm2), 'area')} are needed.`,
  soundNotEconomical: () => 'Sound, not economical: a smaller one satisfies every rule.',
  notTheExisting: (p) => `The cable that is there is ${p.existing} mm².`,
  ratingTripsAtStart: (p) =>
    `The starting current of ${amps(p.start)} may trip it: its magnetic part can act from ${amps(p.low)}.`,
  ringRating: () => 'A ring is protected by 30 or 32 A.',
  typeWithoutDevice: () => 'Without a residual device there is no type.',
  typeBlind: (p) =>
    `Type ${p.answer} may not see this load’s fault current; type ${p.needed} or better is needed.`,
  delayMissing: () => 'Other residual devices stand behind this one: it must be delayed, or both open.',
  delayNotHere: () => 'A final circuit’s residual device must not be delayed.',
  selectivityWrong: (p) => `${capital(String(p.why))}.`,
  afddWrong: (p) => `${capital(String(p.why))}.`,
  spdWrong: (p) => `${capital(String(p.why))}.`,
  switchTooSmall: (p) =>
    `The main switch must carry the demand of ${amps(p.demand)} and what the ${p.above} A device in front lets through.`,
  busbarTooSmall: (p) =>
    `The main switch lets ${p.switchA} A through; a busbar of ${p.answer} A is not protected.`,
  earthingTooSmall: (p) => `At least ${p.least} mm² by Table 54.7.`,
  bondingTooSmall: (p) => `At least ${p.least} mm² is required here.`,
  notHere: () => 'Not a size on offer for this way of laying.',
  containmentFull: (p) =>
    `The cables’ terms of ${Math.round(Number(p.terms))} do not fit ${p.size}, which takes ${Math.round(Number(p.factor))}.`,
  notAResidualRating: () => 'Not a rated residual current in use: 30, 100 or 300 mA, or none.',
  residualMissing: (p) =>
    `A residual device of at most ${Number(p.needed) * 1e3} mA is required here (${p.regulation}). Without it the design cannot be met.`,
  residualTooLarge: (p) => `At most ${Number(p.needed) * 1e3} mA is allowed here (${p.regulation}).`,
  notACapacity: () => 'Not a short-circuit capacity that this kind of device has.',
  capacityTooSmall: (p) =>
    `The device can break ${Number(p.answer) / 1e3} kA, the fault current is ${Number(p.ipfA) / 1e3} kA.`,
  'unreadable.notANumber': () => 'This could not be read as a number.',
  'unreadable.otherUnit': () => 'The unit belongs to another quantity.',
  'unreadable.negative': () => 'A negative value has no meaning here.',
  'form.tickWanted': () => 'Polarity is a tick or a cross, never a number.',
  'form.numberWanted': () => 'Here the measured number is wanted, not a tick.',
  'form.overNotHere': () => '“>” is for an insulation tester at the end of its range.',
  'form.notARangeEnd': () => '“>” is written only at the end of the range, such as >999 MΩ.',
  'limit.polarity': () => 'Polarity is not right. Put it right before anything is energised.',
  'limit.passed': (p) =>
    `${reading(p, 'value')} is ${p.kind === 'maximum' ? 'above' : 'below'} the limit of ${reading(p, 'limit')}.`,
  'band.outside': (p) =>
    `${reading(p, 'value')} does not belong to this bay: ${p.high ? `${reading(p, 'low')} to ${reading(p, 'high')}` : `${reading(p, 'low')} or more`} was expected. ${bandCause(p)}`,
  'across.zsBelowZe': (p) =>
    `Zs of ${ohms(p.zs)} is below Ze of ${ohms(p.ze)}, which cannot be: measure both again.`,
  'across.zsFits': () =>
    'Zs fits this bay, though it does not fit the R1 + R2 written down: the dead reading is the odd one.',
  'across.zsBelowSum': (p) =>
    `Zs is clearly below Ze + (R1 + R2) = ${ohms(p.sum)}: a parallel earth path, or one of the readings is off.`,
  'across.zsAboveSum': (p) =>
    `Zs is clearly above Ze + (R1 + R2) = ${ohms(p.sum)}: look for a loose termination since the dead test.`,
  'across.insulationLow': (p) =>
    `${formatQuantity(Number(p.value), 'insulation')} is above the minimum but far under the others: a finding, not a pass.`,
  'advice.zeAboveDeclared': (p) =>
    `Ze of ${ohms(p.zeOhm)} is above the ${ohms(p.declared)} that is typically declared for ${p.arrangement}.`,
  'advice.electrodeUnstable': (p) =>
    `An electrode above ${p.stable} Ω is likely to be unstable (Table 41.5, note 2).`,
  'advice.faultCurrent': (p) =>
    `In TN-C-S neutral and earth are one conductor outside, so Ipf would be about ${formatQuantity(Number(p.fits), 'faultCurrent')} with this Ze.`,
  'advice.smallForSockets': (p) =>
    `A ${p.ratingA} A device feeds this load, but one 13 A plug and a kettle beside it would trip it: many give socket radials 20 A.`,
  'advice.fewSpareWays': (p) => `${p.used} of ${p.ways} ways are used; many leave a fifth spare.`,
  'advice.drawPoints': (p) =>
    `${p.bends} right-angle bends between draw points: more than two are hard to pull through.`,
  'advice.ownCircuit': () => 'A fixed load above 2 kW is usually given its own circuit, not a ring.',
  'advice.notSelective': (p) => `Not selective: ${p.why}.`,
  'work.seen': (p) =>
    `${ITEM_TEXT[p.what as InspectionItem['what']].name}, ${p.part}: ${p.remark ? `${String(p.remark).replace(/\.+$/, '')}, ` : ''}${GRADE_NAME[p.grade as Grade]}.`,
  'across.tooExact': () => 'Equal to the calculated value to the last digit. Ask to see it measured.',
}

function bandCause(p: Params): string {
  switch (p.cause) {
    case 'decimal':
      return 'A moved decimal point explains it.'
    case 'othersBay':
      return `It fits bay ${p.bay}, not this one.`
    case 'oneConductor':
      return 'It fits one conductor alone: check the link at the board and both clips.'
    case 'otherSize':
      return `It fits ${p.areaMm2} mm² over this length: check the cable that was drawn in.`
    case 'leadsOrLoose':
      return 'Leads not nulled, or a loose termination: null the leads and measure again.'
    case 'lowInsulation':
      return 'Something is still connected, damp or damaged: loads and electronics out, then split the circuit and measure each part.'
    case 'highExternal':
      return 'Check the clips and the supply’s earth terminal; tell your assessor before going on.'
    case 'lowExternal':
      return 'A parallel path: disconnect the earthing conductor from the bonding first.'
    case 'underLoad':
      return 'Not everything of the circuit was running, or a load differs from the task.'
    case 'tooFast':
      return 'Quicker than a device can be: the instrument saw something else. Measure again.'
    case 'high':
      return 'Longer than planned, a loose termination, or leads not nulled.'
    default:
      return 'A parallel path, a shorter run, or the wrong pair.'
  }
}

/** The finding as one or two plain sentences. Throws for a code without a sentence: a rule and its words belong together. */
export function findingSentence(finding: Pick<Finding, 'code' | 'params'>): string {
  const sentence = SENTENCES[finding.code]
  if (!sentence) throw new Error(`No sentence for finding ${finding.code}`)
  return sentence(finding.params).trim()
}

/** Names of circuits and boards by id. */
export type ScopeNames = Readonly<Record<string, string>>

/** What an item of a sheet is called; with its circuit or board where there are several. */
export function itemName(key: ItemKey, scopes: ScopeNames = {}): string {
  const item = key.slice(key.indexOf('.') + 1)
  if (key.startsWith('work.')) return `${GROUP_NAME[item as ItemGroup]}, as inspected`
  if (key.startsWith('reading.')) return readingName(item, scopes)
  const { name } = STEP_TEXT[stepOf(item)]
  return Object.keys(scopes).length > 1 ? `${name} (${scopes[scopeOf(item)]})` : name
}

/** A reading with its circuit and point, as in `Loop at the far point, Sockets, point 4`. */
function readingName(item: string, scopes: ScopeNames): string {
  const { name } = readingText(item)
  const circuit = /^([a-z0-9]+)\./.exec(item)?.[1]
  const point = /p(\d+)$/.exec(item)?.[1]
  return [
    name,
    ...(circuit ? [scopes[circuit] ?? circuit] : []),
    ...(circuit && point ? [`point ${point}`] : []),
  ].join(', ')
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
