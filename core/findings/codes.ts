/* What each finding carries. A code that is not here cannot be made, and one that has no sentence does not compile. */

type None = Readonly<Record<never, never>>
interface Shift {
  readonly times: number
  readonly direction: 'large' | 'small'
}

/** A box that does not hold what belongs there. */
export interface FormParams {
  'unreadable.notANumber': None
  'unreadable.otherUnit': None
  'unreadable.negative': None
  'form.tickWanted': None
  'form.numberWanted': None
  'form.overNotHere': None
  'form.notARangeEnd': { readonly value: number }
  'form.reasonNeeded': { readonly as: string }
}

/** A reading past its limit, or a thing that does not do what it must: nothing is energised on it. */
export interface LimitParams {
  'limit.polarity': None
  'limit.notWorking': None
  'limit.passed': {
    readonly key: string
    readonly value: number
    readonly limit: number
    readonly kind: 'maximum' | 'minimum'
  }
  'limit.open': None
  'limit.noTrip': { readonly key: string; readonly value: number; readonly limit: number }
  'limit.tripsAtHalf': { readonly value: number }
}

export type BandCause =
  | 'decimal'
  | 'othersBay'
  | 'oneConductor'
  | 'otherSize'
  | 'leadsOrLoose'
  | 'lowInsulation'
  | 'highExternal'
  | 'lowExternal'
  | 'underLoad'
  | 'tooFast'
  | 'high'
  | 'low'

/** A reading that does not belong to this bay, or was left out with a reason. */
export interface ReadingParams {
  'band.outside': {
    readonly key: string
    readonly value: number
    readonly low: number
    /** 0 where there is no upper end. */
    readonly high: number
    readonly expected: number
    readonly cause: BandCause
    readonly bay?: number
    readonly areaMm2?: number
    readonly extra?: number
  }
  'band.belowNewWork': { readonly key: string; readonly value: number; readonly low: number }
  'form.left': { readonly as: string; readonly why: string }
  'across.tooExact': { readonly value: number }
}

/** What readings say together. */
export interface RelationParams {
  'across.zsBelowZe': { readonly zs: number; readonly ze: number }
  'across.zsFits': { readonly sum: number }
  'across.zsBelowSum': { readonly zs: number; readonly sum: number }
  'across.zsAboveSum': { readonly zs: number; readonly sum: number }
  'across.insulationLow': { readonly value: number; readonly lowest: number }
  'across.boardAboveMember': { readonly value: number; readonly lowest: number }
  'across.boardBelowMembers': { readonly value: number; readonly together: number }
  'leads.notNulled': { readonly ohm: number; readonly count: number; readonly of: number }
  'ring.endsDiffer': { readonly r1: number; readonly rn: number }
  'ring.ratio': { readonly ratio: number; readonly told: number }
  'ring.aboveQuarter': { readonly value: number; readonly quarter: number }
  'ring.legsJoined': None
  'ring.open': { readonly step: 2 | 3 }
  'ring.bypassed': { readonly first: number; readonly last: number }
  'radial.shrinks': { readonly value: number; readonly before: number }
  'loop.faultCurrent': { readonly pfc: number; readonly ze: number; readonly volt: number }
  'residual.slower': { readonly at1: number; readonly at5: number }
}

/** How the tests were gone about. */
export interface ProcessParams {
  'time.beforePermission': { readonly at: string; readonly permitted: string }
  'time.insulationFirst': None
  'instrument.none': None
  'instrument.overdue': { readonly instrument: string; readonly due: string }
  'leads.notRecorded': None
  'insulation.lowVoltage': { readonly volt: number }
}

/** Questions about a group's sheets. */
export interface GroupParams {
  'group.alike': { readonly count: number; readonly of: number; readonly bay: number }
  'group.tooClose': { readonly of: number; readonly share: number }
  'group.fewFigures': { readonly count: number; readonly of: number; readonly figure: string }
}

/** The likely slip behind a wrong answer. */
export interface SlipParams {
  'slip.unit': Shift
  'slip.decimal': Shift
  'slip.invertedFactor': { readonly symbol: string }
  'slip.multipliedFactors': None
  'slip.dividedFactors': None
  'slip.factorForgotten': { readonly symbol: string }
  'slip.neighbour': { readonly table: string; readonly entry: string }
  'slip.lengthForgotten': { readonly lengthM: number }
  'slip.currentForgotten': None
  'slip.powerFactorForgotten': { readonly powerFactor: number }
  'slip.powerFactorMultiplied': { readonly powerFactor: number }
  'slip.rootThreeForgotten': None
  'slip.phaseVoltage': None
  'slip.efficiencyForgotten': { readonly efficiency: number }
  'slip.ringAsRadial': None
  'slip.ringCarriesAll': None
  'slip.dropAboveForgotten': { readonly above: number }
  'slip.rootForgotten': None
  'slip.withoutDiversity': None
  'slip.lineVoltage': None
  'slip.loadForRating': None
  'slip.ratingForLoad': None
  'slip.lineOnly': None
  'slip.hotForCold': None
  'slip.coldForHot': None
  'slip.externalForgotten': { readonly zeOhm: number }
}

interface Answer {
  readonly answer: number
}
interface Least extends Answer {
  readonly least: number
}

/** Why another choice than the reference is not accepted. */
export interface RefusalParams {
  notARating: Answer
  notASize: Answer
  notACapacity: Answer
  notAResidualRating: Answer
  notHere: None
  ringRating: Answer
  ratingBelowLoad: Answer & { readonly ib: number }
  ratingTooLarge: Answer & { readonly ib: number }
  ratingTripsAtStart: Answer & { readonly start: number; readonly low: number }
  notTheExisting: Answer & { readonly existing: number }
  size_area: SizeFigures
  size_capacity: SizeFigures
  size_voltDrop: SizeFigures
  size_loop: SizeFigures
  size_adiabatic: SizeFigures
  residualMissing: { readonly needed: number; readonly regulation: string }
  residualTooLarge: Answer & { readonly needed: number; readonly regulation: string }
  typeWithoutDevice: None
  typeBlind: { readonly answer: string; readonly needed: string }
  delayMissing: None
  delayNotHere: None
  capacityTooSmall: Answer & { readonly ipfA: number }
  selectivityWrong: { readonly why: string }
  afddWrong: { readonly why: string }
  directionWrong: { readonly why: string }
  spdWrong: { readonly why: string }
  switchTooSmall: Answer & { readonly demand: number; readonly above: number }
  busbarTooSmall: Answer & { readonly switchA: number }
  earthingTooSmall: Least
  bondingTooSmall: Least
  containmentFull: { readonly terms: number; readonly factor: number; readonly size: string }
}

/** Figures of a conductor that does not do, as far as its failure needs them. */
export type SizeFigures = Readonly<Record<SizeFigure, number>>
type SizeFigure =
  | 'answer'
  | 'ratingA'
  | 'itMin'
  | 'voltDropV'
  | 'voltDropLimitV'
  | 'zsOhm'
  | 'zsMaxOhm'
  | 'cpcMm2'
  | 'cpcMinMm2'

/** Beside an accepted answer, or instead of a reason. */
export interface AnswerParams {
  oneSizeUp: None
  moreThanAsked: None
  soundNotEconomical: None
  wholeLoadAtFurthest: None
  diversityOverAll: None
  adiabaticByTime: None
  adiabaticByLetThrough: None
  adiabaticByMaker: None
  makersFigure: None
  loopByMaker: None
  overloadFactorInside: None
  doesNotFollow: { readonly own: number }
  notExplained: { readonly symbol: string }
}

export interface AdviceParams {
  'advice.zeAboveDeclared': {
    readonly zeOhm: number
    readonly declared: number
    readonly arrangement: string
  }
  'advice.electrodeUnstable': { readonly zeOhm: number; readonly stable: number }
  'advice.faultCurrent': { readonly fits: number }
  'advice.smallForSockets': { readonly ratingA: number }
  'advice.fewSpareWays': { readonly used: number; readonly ways: number }
  'advice.drawPoints': { readonly bends: number }
  'advice.ownCircuit': None
  'advice.unequalLines': {
    readonly l1: number
    readonly l2: number
    readonly l3: number
    readonly neutralA: number
  }
  'advice.notSelective': { readonly why: string }
  'advice.oneWay': { readonly infeeds: string }
  'advice.infeed': { readonly infeeds: string }
  'advice.infeedBoard': { readonly infeeds: string }
  'advice.standby': { readonly source: string }
  'advice.standbyTooSmall': { readonly source: string; readonly powerW: number; readonly demandW: number }
}

/** What an assessor saw. */
export interface WorkParams {
  'work.seen': {
    readonly what: string
    readonly part: string
    readonly grade: string
    readonly remark: string
  }
}

/** Codes of stored decisions that are no longer made. */
export interface FormerParams {
  'form.leftNotHere': { readonly as: string }
}

export interface FindingParams
  extends
    FormParams,
    LimitParams,
    ReadingParams,
    RelationParams,
    ProcessParams,
    GroupParams,
    SlipParams,
    RefusalParams,
    AnswerParams,
    AdviceParams,
    WorkParams,
    FormerParams {}

export type FindingCode = keyof FindingParams
