import type { Reading } from '../../bay/instruments/reading'
import { readContinuity } from '../../bay/instruments/continuity'
import type {
  BandReason,
  CircuitPlan,
  Entry,
  Outcome,
  PairPrediction,
  Place,
  Tester,
  UsualCause,
} from './kind'

/** Where the displays end, Ω. */
const RESISTANCE_END_OHM = 1999
export const INSULATION_END_OHM = 999e6

/** A number of ohms; OL or more than the range means that nothing joins the two ends. */
export const OHMS: Entry = { form: 'number', quantity: 'resistance', over: 'open', end: RESISTANCE_END_OHM }
export const TICK: Entry = { form: 'tick', cross: 'limit.notWorking' }

/** Why the band of a resistance of conductors is as wide as it is. */
export const CONDUCTORS: readonly BandReason[] = ['ohmmeter', 'length', 'air']

export const outcomeOf = ({ value, isOver }: Reading): Outcome =>
  value === undefined ? { is: 'none' } : { is: isOver ? 'over' : 'value', value }
export const upTo = (ohm: number, end: number = RESISTANCE_END_OHM): Outcome =>
  ohm <= end ? { is: 'value', value: ohm } : { is: 'over', value: end }

/** The resistance between the probes. */
export const RESISTANCE: PairPrediction = {
  by: 'impedance',
  pairs: ({ at, to }) => [[at, to]],
  read: ([one]) => upTo(one!.ohm),
}

export const higherOrLower = (isHigh: boolean): UsualCause => (isHigh ? 'high' : 'low')

/** A low-resistance ohmmeter with the leads of the day. */
export const measureContinuity = ({ bench, prepared: made, leadsOhm, nulledOhm, error }: Tester): Reading =>
  readContinuity(bench, made, { ohm: leadsOhm, nulledOhm }, error)

/** Every point of the circuit; the schedule asks for the furthest. */
export const everyPoint = ({ points, furthest, formerFurthest }: CircuitPlan): Place[] =>
  points.map(({ id }) => ({
    point: id,
    isAsked: id === furthest,
    ...(id === formerFurthest ? { wasAsked: true } : {}),
  }))
