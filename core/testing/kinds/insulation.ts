import { readInsulation } from '../../bay/instruments/insulation'
import { display, type Scale } from '../../bay/instruments/reading'
import type { Rig } from '../../bay/model/rig'
import { SOURCES } from '../../regulations/source'
import { deadBench, type PrepareOptions } from '../setup/bench-state'
import { earthBarOf, hasNeutral, homeEnds, lineOut, wayOf } from '../setup/circuit-ends'
import { free, plainly, type Prepared } from '../setup/prepared'
import {
  NOWHERE,
  ONCE,
  type BayTest,
  type CircuitPlan,
  type Entry,
  type Expectation,
  type Outcome,
  type Place,
  type ReadingEvidence,
  type TestKind,
} from './kind'
import { INSULATION_END_OHM, upTo } from './shared'

/** BS 7671 Table 64, 500 V DC, from memory. */
export const MINIMUM_INSULATION_OHM = 1e6
/** New work in a dry workshop reads far above; common practice, no source. */
export const GOOD_INSULATION_OHM = 100e6

/** A number of ohms; the end of the range is a good reading. */
export const INSULATION_ENTRY: Entry = {
  form: 'number',
  quantity: 'insulation',
  over: 'rangeEnd',
  end: INSULATION_END_OHM,
}

const expectation = (): Expectation => ({
  source: SOURCES.insulation,
  working: 'insulation500',
  reasons: ['newWork'],
  limit: { kind: 'minimum', value: MINIMUM_INSULATION_OHM },
  instead: { low: GOOD_INSULATION_OHM },
})

const insulation = <K extends string>(
  key: K,
  symbol: string,
  particulars: Pick<
    TestKind,
    'places' | 'prepare' | 'prediction' | 'measure' | 'isBasic' | 'isDiagnostic'
  > & { readonly shows: ReadingEvidence },
): TestKind<K> => ({
  key,
  symbol,
  isDead: true,
  of: 'circuit',
  isColumn: true,
  entry: INSULATION_ENTRY,
  conditions: ['isolated', 'loadsOut', 'switchesClosed', 'earthConnected'],
  relations: ['insulationFamily'],
  fit: { by: 'decades' },
  expect: expectation,
  usualCause: () => 'lowInsulation',
  ...particulars,
})

/**
 * Between a pair of conductors of the circuit, its own neutral out of the bar so that the others are not in
 * the reading.
 */
function betweenPair(
  rig: Rig,
  { circuit }: BayTest,
  pair: Pair,
  options: PrepareOptions,
): Prepared | undefined {
  const way = wayOf(rig, circuit!)
  const bar = way && earthBarOf(rig, way.board)
  if (!way || !bar) return undefined
  const neutral = free(homeEnds(rig, circuit!).neutral)
  const ends = { line: lineOut(way), neutral: neutral.at[0], earth: `${bar}.1` }
  const [at, to] = pair.map((conductor) => ends[conductor])
  if (!at || !to) return undefined
  const ring = neutral.at.length === 2 ? ([[neutral.at[0]!, neutral.at[1]!]] as const) : []
  return { state: deadBench(rig, options), setup: { freed: neutral.freed, links: ring }, at, to }
}

type Pair = readonly ['line' | 'neutral', 'neutral' | 'earth']

const pairOf = <K extends 'irLN' | 'irLE' | 'irNE'>(key: K, symbol: string, pair: Pair): TestKind<K> =>
  insulation(key, symbol, {
    shows: key,
    isBasic: true,
    isDiagnostic: true,
    // Without a neutral there is only line to earth.
    places: ({ points }: CircuitPlan): readonly Place[] =>
      key === 'irLE' || (points.length > 0 && hasNeutral(points.at(-1)!)) ? ONCE : NOWHERE,
    prepare: (rig, test, options) => betweenPair(rig, test, pair, options),
    prediction: {
      by: 'impedance',
      pairs: ({ at, to }) => [[at, to]],
      read: ([one]) => upTo(one!.ohm, INSULATION_END_OHM),
      withLoads: readInsulation,
    },
    measure: ({ bench, prepared: made, error }) => readInsulation(bench, made, 500, error),
  })

export const irLN = pairOf('irLN', 'L–N', ['line', 'neutral'])
export const irLE = pairOf('irLE', 'L–E', ['line', 'earth'])
export const irNE = pairOf('irNE', 'N–E', ['neutral', 'earth'])

/** Of the lowest of three pairs, written down as one figure. */
const SCALE: Scale = {
  quantity: 'insulation',
  ranges: [{ end: INSULATION_END_OHM, step: 1e6 }],
  accuracy: { relative: 0.03, digits: 2 },
}

/** Each pair of lines of a three-phase circuit; the lowest is written down. */
const lowestOfLines = (pairs: readonly { readonly ohm: number }[]): Outcome =>
  upTo(Math.min(...pairs.map(({ ohm }) => ohm)), INSULATION_END_OHM)
const third = (second: string): string => second.replace('.L2', '.L3')

export const irLL = insulation('irLL', 'L–L', {
  shows: 'irLE',
  isBasic: false,
  isDiagnostic: false,
  places: ({ isThreePhase }) => (isThreePhase ? ONCE : NOWHERE),
  prepare: (rig, { circuit }, options) => {
    const way = wayOf(rig, circuit!)
    return way && plainly(deadBench(rig, options), lineOut(way), `${way.id}.L2 out`)
  },
  prediction: {
    by: 'impedance',
    pairs: ({ at, to }) => [
      [at, to],
      [to, third(to)],
      [third(to), at],
    ],
    read: lowestOfLines,
  },
  measure: ({ predicted, error }) => {
    if (predicted?.is !== 'value' && predicted?.is !== 'over') return undefined
    const ohm = predicted.is === 'over' ? Infinity : predicted.value
    return display(SCALE, ohm, error)
  },
})
