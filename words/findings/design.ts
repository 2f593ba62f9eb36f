import type { AdviceParams, AnswerParams, RefusalParams } from '#core/findings/codes'
import { formatQuantity } from '#core/units/format'
import { amps, ohms, volts, type SentencesOf } from './sentence'
import { INFEED_NAME, STANDBY_NAME } from '../names'
import type { Standby } from '#core/installation/installation'
import type { Infeed } from '#core/regulations/infeed'

const standbyName = (source: string): string => STANDBY_NAME[source as Standby['source']]
const kilowatts = (watt: number): string => `${(watt / 1e3).toFixed(1)} kW`

/** Sources by their names in a sentence. */
const infeedNames = (infeeds: string): string =>
  infeeds
    .split(' ')
    .map((infeed) => INFEED_NAME[infeed as Infeed])
    .join(' and ')

/** Why another choice than the reference does not hold. */
export const REFUSAL_SENTENCES: SentencesOf<RefusalParams> = {
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
    `A fault could overheat the cpc: ${formatQuantity(p.cpcMm2, 'area')}, where ${formatQuantity(p.cpcMinMm2, 'area')} are needed.`,
  notTheExisting: (p) => `The cable that is there is ${p.existing} mm².`,
  ratingTripsAtStart: (p) =>
    `The starting current of ${amps(p.start)} may trip it: its magnetic part can act from ${amps(p.low)}.`,
  ringRating: () => 'A ring is protected by 30 or 32 A.',
  typeWithoutDevice: () => 'Without an RCD there is no type.',
  typeBlind: (p) =>
    `Type ${p.answer} may not see this load’s fault current; type ${p.needed} or better is needed.`,
  delayMissing: () => 'Other RCDs are downstream of this one: it must be time-delayed, or both open.',
  delayNotHere: () => 'A final circuit’s RCD must not be time-delayed.',
  selectivityWrong: (p) => `${capital(p.why)}.`,
  afddWrong: (p) => `${capital(p.why)}.`,
  directionWrong: (p) =>
    `${capital(p.why)}. A unidirectional device may then fail to break, or burn its trip coil.`,
  spdWrong: (p) => `${capital(p.why)}.`,
  switchTooSmall: (p) =>
    `The main switch must carry the demand of ${amps(p.demand)} and what the ${p.above} A device in front lets through.`,
  busbarTooSmall: (p) =>
    `The main switch lets ${p.switchA} A through; a busbar of ${p.answer} A is not protected.`,
  earthingTooSmall: (p) => `At least ${p.least} mm² by Table 54.7.`,
  bondingTooSmall: (p) => `At least ${p.least} mm² is required here.`,
  notHere: () => 'Not a size on offer for this way of laying.',
  containmentFull: (p) =>
    `The cables’ terms of ${Math.round(p.terms)} do not fit ${p.size}, which takes ${Math.round(p.factor)}.`,
  notAResidualRating: () => 'Not a rated residual current in use: 30, 100 or 300 mA, or none.',
  residualMissing: (p) =>
    `An RCD of at most ${p.needed * 1e3} mA is required here (${p.regulation}). Without it the design cannot be met.`,
  residualTooLarge: (p) => `At most ${p.needed * 1e3} mA is allowed here (${p.regulation}).`,
  notACapacity: () => 'Not a short-circuit capacity that this kind of device has.',
  capacityTooSmall: (p) =>
    `The device can break ${p.answer / 1e3} kA, the fault current is ${p.ipfA / 1e3} kA.`,
}

/** What is said beside an accepted answer, or where no slip explains one. */
export const ANSWER_SENTENCES: SentencesOf<AnswerParams> = {
  oneSizeUp: () => 'One size larger than the smallest that will do. It holds.',
  moreThanAsked: () => 'More than the rules ask for. It holds.',
  adiabaticByTime: () =>
    'Worked with the time read off the characteristic: right for that premise. By its energy ' +
    'limiting class the breaker lets less through.',
  adiabaticByLetThrough: () =>
    'Worked with the let-through of the energy limiting class: right for that premise, for a breaker of that class.',
  adiabaticByMaker: () => 'Worked with the let-through of the maker’s data: right for that device.',
  makersFigure: () =>
    'Taken from a maker’s sheet: it lies within what the energy limiting class allows. Have the sheet shown.',
  loopByMaker: () =>
    'Worked with the current that opens the maker’s device in time: right for that device, ' +
    'not for another of its kind.',
  overloadFactorInside: () =>
    'The factor for a rewirable fuse or for the ground is in it already. By definition ' +
    'Iz is without it, and In is compared with that share of Iz: the outcome is the same.',
  wholeLoadAtFurthest: () =>
    'Right with the whole load at the furthest point. Spread along the run the drop is less: the worked figure counts it so.',
  diversityOverAll: () =>
    'Right with the table applied once to all lines together. Line by line the largest ' +
    'on each line counts in full: the worked figure counts it so.',
  soundNotEconomical: () => 'Sound, not economical: a smaller one satisfies every rule.',
  doesNotFollow: () =>
    'The value is right but does not follow from the figures above it. Ask how it was found.',
  notExplained: (p) => `No usual slip explains this value of ${p.symbol}. Work it again step by step.`,
}

export const ADVICE_SENTENCES: SentencesOf<AdviceParams> = {
  'advice.zeAboveDeclared': (p) =>
    `Ze of ${ohms(p.zeOhm)} is above the ${ohms(p.declared)} that is typically declared for ${p.arrangement}.`,
  'advice.electrodeUnstable': (p) =>
    `An electrode above ${p.stable} Ω is likely to be unstable (Table 41.5, note 2).`,
  'advice.faultCurrent': (p) =>
    `In TN-C-S neutral and earth are one conductor outside, so Ipf would be about ${formatQuantity(p.fits, 'faultCurrent')} with this Ze.`,
  'advice.smallForSockets': (p) =>
    `A ${p.ratingA} A device feeds this load, but one 13 A plug and a kettle beside it would trip it: many give socket radials 20 A.`,
  'advice.fewSpareWays': (p) => `${p.used} of ${p.ways} ways are used; many leave a fifth spare.`,
  'advice.drawPoints': (p) =>
    `${p.bends} right-angle bends between draw points: more than two are hard to pull through.`,
  'advice.ownCircuit': () => 'A fixed load above 2 kW is usually given its own circuit, not a ring.',
  'advice.unequalLines': (p) =>
    `After diversity L1 carries ${amps(p.l1)}, L2 ${amps(p.l2)}, L3 ${amps(p.l3)}: about ` +
    `${amps(p.neutralA)} in the neutral (phasor sum). Sharing the circuits out would lower ` +
    'it.',
  'advice.oneWay': (p) =>
    `This device is unidirectional, and ${infeedNames(p.infeeds)} feeds its load end. ` +
    'It may fail to break a fault. Choose a bidirectional one.',
  'advice.infeed': (p) =>
    `Fed from ${infeedNames(p.infeeds)} too: the load side may stay live after the device has opened. ` +
    'Isolate both supplies. Island mode and its earthing are not computed here: follow the maker and BS 7671.',
  'advice.infeedBoard': (p) =>
    `Two supplies, the grid and ${infeedNames(p.infeeds)}: devices between them must be bidirectional. ` +
    'Fix the multiple supplies notice at the main switch (514.15.1).',
  'advice.standby': (p) =>
    `With the ${standbyName(p.source)} in charge fault currents are small ` +
    'and the neutral is earthed at the source. ' +
    'Island mode and its earthing are not computed here: follow the maker and BS 7671 551.4. ' +
    'The change-over disconnects all live conductors, the neutral too; fix the multiple supplies notice (514.15.1).',
  'advice.standbyTooSmall': (p) =>
    `The demand is ${kilowatts(p.demandW)}, the ${standbyName(p.source)} gives ${kilowatts(p.powerW)}: ` +
    'say which circuits it feeds, or take a larger one.',
  'advice.notSelective': (p) => `Not selective: ${p.why}.`,
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
