import type { Rig } from '../../bay/model/rig'
import { indexParts } from '../../bay/model/terminals'
import { SOURCES } from '../../regulations/source'
import type { PrepareOptions } from '../setup/bench-state'
import { earthBarOf, hasNeutral, wayOf } from '../setup/circuit-ends'
import type { PairReading } from '../../bay/instruments/kept-network'
import type { Prepared } from '../setup/prepared'
import type { AskPairs, BayTest, TestKind } from './kind'
import { linkedAtBoard } from './r1r2'
import { everyPoint, higherOrLower } from './shared'

/** Between this and an open conductor there is nothing that a sound circuit shows, Ω. */
const JOINED_OHM = 200

function prepareIt(rig: Rig, test: BayTest, options: PrepareOptions): Prepared | undefined {
  const linked = linkedAtBoard(rig, test, options)
  const part = test.point ? indexParts(rig).get(test.point) : undefined
  // At a board that is fed, against the bar where the link was made.
  return linked && part?.kind === 'device'
    ? { ...linked, to: `${earthBarOf(rig, wayOf(rig, test.circuit!)!.board)}.1` }
    : linked
}

/** The neutral terminal beside a line terminal. */
const neutralBeside = (line: string): string =>
  line.replace(/\.[^.]+$/, line.endsWith(' in') ? '.N in' : '.N')

/** Is the line still at the point when its switch is open? */
function staysOn(rig: Rig, test: BayTest, ask: AskPairs): boolean {
  if (!rig.parts.some((part) => part.kind === 'switch' && part.circuit === test.circuit)) return false
  const off = prepareIt(rig, test, { switchesOn: false })!
  return ask(off, [[off.at, off.to]])[0]!.ohm < JOINED_OHM
}

/**
 * Is the neutral terminal joined to the link itself? Where a neutral touches earth somewhere behind the same bar, every
 * neutral reads low without the link too: that is a matter of insulation, and says nothing of which is which.
 */
function neutralIsLinked(neutral: PairReading, prepared: Prepared, ask: AskPairs): boolean {
  if (!(neutral.ohm < JOINED_OHM)) return false
  const unlinked = { ...prepared, setup: { ...prepared.setup, links: [] } }
  return !(ask(unlinked, [[neutralBeside(prepared.at), prepared.to]])[0]!.ohm < JOINED_OHM)
}

/** The line reaches the line terminal and goes when its switch is opened. A tick, never a number. */
export const polarity: TestKind<'polarity'> = {
  key: 'polarity',
  symbol: '✓',
  isDead: true,
  of: 'circuit',
  shows: 'polarity',
  isColumn: true,
  isBasic: true,
  isDiagnostic: true,
  entry: { form: 'tick', cross: 'limit.polarity' },
  conditions: ['isolated', 'switchesBothWays'],
  relations: [],
  places: (plan) => everyPoint({ ...plan, points: plan.points.filter(hasNeutral) }),
  prepare: prepareIt,
  prediction: {
    by: 'impedance',
    pairs: ({ at, to }) => [
      [at, to],
      [neutralBeside(at), to],
    ],
    read: ([line, neutral], rig, test, ask) => {
      const isLine = line!.ohm < JOINED_OHM && !neutralIsLinked(neutral!, prepareIt(rig, test, {})!, ask)
      return { is: isLine && !staysOn(rig, test, ask) ? 'tick' : 'cross' }
    },
  },
  fit: { by: 'tick' },
  expect: () => ({ source: SOURCES.polarity, working: 'polarityTick', reasons: [] }),
  usualCause: higherOrLower,
  measure: ({ predicted }) => predicted?.is === 'tick',
}
