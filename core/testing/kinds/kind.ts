import type { DevicePart, Part, Rig, Supply } from '../../bay/model/rig'
import type { Reading } from '../../bay/instruments/reading'
import type { Bench } from '../../bay/instruments/setup'
import type { Book } from '../../regulations/book/book'
import type { Cell } from '../../regulations/book/change'
import type { CircuitDesign, InstallationDesign } from '../../design/reference'
import type { RcdTests } from '../../policies/policy'
import type { Edition } from '../../regulations/editions'
import type { Source } from '../../regulations/source'
import type { QuantityKey } from '../../units/quantity'
import type { PrepareOptions } from '../setup/bench-state'
import type { PairReading } from '../../bay/instruments/kept-network'
import type { Prepared } from '../setup/prepared'

/** One test of a schedule: `c1.r1r2@c1p2`, `c1.irNE`, `ze`. */
export interface BayTest {
  readonly key: string
  /** Key of its kind. */
  readonly kind: string
  /** Null for the supply's own. */
  readonly circuit: string | null
  /** Where it is measured; null at the board. */
  readonly point: string | null
}

export interface ScheduleRules {
  readonly edition: Edition
  readonly rcdTests: RcdTests
}

/** What the plan of a schedule knows of the installation. */
export interface BayPlan {
  readonly rig: Rig
  readonly rules: ScheduleRules
  /** Null where the bay hangs on a battery: there is no loop to measure. */
  readonly mains: Supply | null
}

/** What it knows of one circuit. */
export interface CircuitPlan extends BayPlan {
  readonly circuit: string
  readonly way: DevicePart | undefined
  readonly points: readonly Part[]
  /** The point with the highest R1 + R2; null where nothing can be measured at a point. */
  readonly furthest: string | null
  /** Half way round a ring whose spur is the furthest point: what earlier sheets were asked for. */
  readonly formerFurthest: string | null
  readonly isRing: boolean
  readonly isThreePhase: boolean
  /** Its protective conductor does not come from the board: an island with an electrode of its own. */
  readonly isIsland: boolean
  /** It feeds a board. */
  readonly isFeed: boolean
  /** The RCD in front of it. */
  readonly rcd: DevicePart | undefined
}

/** Where a test is made, and whether the schedule asks for it there. */
export interface Place {
  readonly point: string | null
  readonly isAsked: boolean
  /** Sheets made before spurs counted were asked here instead. */
  readonly wasAsked?: boolean
}

/** What must be so before a test, as the set-up says it. */
export type Condition =
  | 'isolated'
  | 'leadsNulled'
  | 'loadsOut'
  | 'switchesClosed'
  | 'waysClosedBehind'
  | 'switchesBothWays'
  | 'earthConnected'
  | 'mainSwitchOff'
  | 'earthBackAfter'
  | 'allWaysClosed'
  | 'onlyThisWay'
  | 'loadsRunning'
  | 'nothingInUse'

/** What may stand in its box. `over` says what a reading past the end of the range means there. */
export type Entry =
  /** A cross says that this is wrong. */
  | { readonly form: 'tick'; readonly cross: 'limit.polarity' | 'limit.notWorking' }
  | {
      readonly form: 'number'
      readonly quantity: QuantityKey
      /**
       * `rangeEnd`: good, at an end that instruments have; `open`: nothing joins the two ends; `noTrip`: the device did
       * not open, which `wanted` asks for; `never`: no reading of this kind runs off its range.
       */
      readonly over: 'rangeEnd' | 'open' | 'noTrip' | 'wanted' | 'never'
      /** What a display reads as when somebody writes OL, SI; left out where nobody does. */
      readonly end?: number
    }

/**
 * What an instrument without error shows: a value, more than a range end, right or not, or nothing because it
 * refuses.
 */
export type Outcome =
  | { readonly is: 'value'; readonly value: number }
  | { readonly is: 'over'; readonly value: number }
  | { readonly is: 'tick' | 'cross' }
  | { readonly is: 'none' }

/** Do two outcomes read the same, to the last digit? */
export const isSameOutcome = (a: Outcome | undefined, b: Outcome | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && a.is === b.is && amountOf(a) === amountOf(b))
const amountOf = (outcome: Outcome): number | undefined => ('value' in outcome ? outcome.value : undefined)

/** How a kind is computed from the model of the bay. */
export type Prediction =
  | PairPrediction
  /** By an instrument put to the bay. */
  | { readonly by: 'instrument'; readonly read: (rig: Rig, test: BayTest, prepared: Prepared) => Outcome }
  /** Done and seen by a hand; no reading of a conductor. */
  | { readonly by: 'hand' }

/** Asks the same bay once more, made ready in another way, for direct current. */
export type AskPairs = (
  prepared: Prepared,
  pairs: readonly (readonly [string, string])[],
) => readonly PairReading[]

/** From impedances between pairs; tests of one set-up are solved together. */
export interface PairPrediction {
  readonly by: 'impedance'
  readonly pairs: (prepared: Prepared) => readonly (readonly [string, string])[]
  readonly read: (pairs: readonly PairReading[], rig: Rig, test: BayTest, ask: AskPairs) => Outcome
  /** With lamps and loads left in, through the instrument itself. */
  readonly withLoads?: (bench: Bench, prepared: Prepared) => Reading
}

/** How far a reading may be from what is predicted before it does not belong to the bay. */
export type Fit =
  /** Instrument, cut length and workshop air together: share of the value, and an amount in SI. */
  | { readonly by: 'amount'; readonly relative: number; readonly absolute: number }
  /** By its order of magnitude. */
  | { readonly by: 'decades' }
  /** On the same side of a limit, s. */
  /** The same side of a limit; of a time-delayed device between two. */
  | {
      readonly by: 'limit'
      readonly limitS: number
      readonly delayedS?: { readonly least: number; readonly most: number }
    }
  /** Tick or cross. */
  | { readonly by: 'tick' }

/** Why a band is as wide as it is. */
export type BandReason =
  'ohmmeter' | 'earthTester' | 'loopTester' | 'length' | 'air' | 'supply' | 'standard' | 'newWork'

/** How value and limit come about; its words stand in words/testing.ts. */
export type Working =
  | 'bondingConductor'
  | 'wholeRing'
  | 'crossConnected'
  | 'cpcAlone'
  | 'toThePoint'
  | 'toTheFurthest'
  | 'insulation500'
  | 'insulationBoard'
  | 'electrode'
  | 'tick'
  | 'polarityTick'
  | 'asGiven'
  | 'faultCurrent'
  | 'faultCurrentThreePhase'
  | 'loop'
  | 'loopEightyPercent'
  | 'loopCorrected'
  | 'loopByRcd'
  | 'rcdGeneral'
  | 'rcdDelayed'
  | 'rcdHalf'
  | 'rcdFive'
  | 'underLoad'
  | 'running'

/** What a kind adds to the predicted value: limit, source, and a band where the prediction gives none. */
export interface Expectation {
  readonly limit?: { readonly kind: 'maximum' | 'minimum'; readonly value: number }
  readonly source: Source
  /** Where the figure of its limit stands, if it is one of the book. */
  readonly cell?: Cell
  readonly working: Working
  readonly reasons: readonly BandReason[]
  /** In place of the predicted value and its band, SI; `value` undefined where only a band can be expected. */
  readonly instead?: { readonly low: number; readonly high?: number }
}

export interface ExpectationFacts {
  readonly rig: Rig
  readonly design: InstallationDesign
  readonly test: BayTest & { readonly isAsked: boolean }
  /** The design of its circuit; undefined for the supply's own. */
  readonly circuit: CircuitDesign | undefined
  /** The book by which the bay is designed. */
  readonly book: Book
}

/** A relation between readings that a kind takes part in. */
export type RelationCode =
  | 'leads'
  | 'ringEnds'
  | 'ringSockets'
  | 'radial'
  | 'insulationFamily'
  | 'insulationBoard'
  | 'loopSum'
  | 'faultCurrent'
  | 'rcdTimes'

/** What a simulated tester is set to. */
export interface TesterSettings {
  /** The leads themselves, and what was nulled before the first test, Ω. */
  readonly leadsOhm: number
  readonly nulledOhm: number
}

/** A tester at work: its bench, its settings, and its error from −1 to 1 of its accuracy. */
export interface Tester extends TesterSettings {
  readonly rig: Rig
  readonly test: BayTest
  readonly bench: Bench
  readonly prepared: Prepared
  /** What an instrument without error would show. */
  readonly predicted: Outcome | undefined
  readonly error: number
}

/** What is usually behind a reading outside its band when nothing fits better; common practice, no source. */
export type UsualCause =
  'lowInsulation' | 'highExternal' | 'lowExternal' | 'underLoad' | 'tooFast' | 'high' | 'low'

/** Kinds of evidence that a reading can be in a unit framework. */
export const READING_EVIDENCE = ['r1r2', 'irLN', 'irLE', 'irNE', 'polarity', 'ze', 'zs', 'rcdTime'] as const
export type ReadingEvidence = (typeof READING_EVIDENCE)[number]

/**
 * Everything that one kind of test is. A new test is a file with one of these, its line in kinds.ts, and its
 * words.
 */
export interface TestKind<K extends string = string> {
  readonly key: K
  /** As it stands over a column. */
  readonly symbol: string
  readonly isDead: boolean
  /** Made once for the installation, or for every circuit. */
  readonly of: 'installation' | 'circuit'
  readonly shows: ReadingEvidence
  /** A column of the schedule, beside those that help to look closer. */
  readonly isColumn: boolean
  /** Asked for on the sheet of a single circuit. */
  readonly isBasic: boolean
  /** Tells causes apart. */
  readonly isDiagnostic: boolean
  /** Read by a diagnosis where it was taken, but never asked for. */
  readonly isReadWhereTaken?: true
  readonly entry: Entry
  readonly conditions: readonly Condition[]
  readonly relations: readonly RelationCode[]
  /** Where it is made. Circuit kinds get a circuit's plan. */
  readonly places: (plan: CircuitPlan) => readonly Place[]
  /** Set-up and leads; undefined where the bay has nothing to put it to. */
  readonly prepare: (rig: Rig, test: BayTest, options: PrepareOptions) => Prepared | undefined
  readonly prediction: Prediction
  readonly fit: Fit
  readonly expect: (facts: ExpectationFacts) => Expectation
  readonly usualCause: (isHigh: boolean) => UsualCause
  /** What the display of a multifunction tester shows, or what a hand finds; undefined where it cannot be made. */
  readonly measure: (tester: Tester) => Reading | boolean | undefined
}

/** The part of a plan that installation kinds look at. */
export const ONCE: readonly Place[] = [{ point: null, isAsked: true }]
/** Nowhere. */
export const NOWHERE: readonly Place[] = []
