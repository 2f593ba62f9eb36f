import { readInsulation } from '../../bay/instruments/insulation'
import type { Rig } from '../../bay/model/rig'
import { SOURCES } from '../../regulations/source'
import { deadBench, type PrepareOptions } from '../setup/bench-state'
import { circuitsOf, earthBarOf, linesOf, mainSwitchOf, mainsOf } from '../setup/circuit-ends'
import type { Prepared } from '../setup/prepared'
import { GOOD_INSULATION_OHM, INSULATION_ENTRY, MINIMUM_INSULATION_OHM } from './insulation'
import { NOWHERE, ONCE, type TestKind } from './kind'
import { INSULATION_END_OHM, upTo } from './shared'

type Link = readonly [string, string]

/** Main switch off, everything behind it closed, all lines joined. */
function wholeBoard(
  rig: Rig,
  options: PrepareOptions,
): { readonly bench: Omit<Prepared, 'at' | 'to'>; readonly ends: Ends } | undefined {
  const main = mainSwitchOf(rig)
  const bar = main && earthBarOf(rig, main.board)
  if (!main || !bar || !main.poles.includes('N')) return undefined
  const lines = linesOf(main).map((pole) => `${main.id}.${pole} out`)
  const behind = rig.parts.filter((part) => part.kind === 'device' && part.id !== main.id)
  const state = deadBench(rig, options)
  const closed = { ...state.closed, ...Object.fromEntries(behind.map(({ id }) => [id, true])) }
  const joined = lines.slice(1).map((line): Link => [lines[0]!, line])
  return {
    bench: { state: { ...state, closed }, setup: { freed: [], links: joined } },
    ends: { line: lines[0]!, neutral: `${main.id}.N out`, earth: `${bar}.1` },
  }
}

interface Ends {
  readonly line: string
  readonly neutral: string
  readonly earth: string
}

interface Own<K extends string> {
  readonly key: K
  readonly symbol: string
  readonly shows: 'irLN' | 'irLE'
  readonly probes: (ends: Ends) => {
    readonly at: string
    readonly to: string
    readonly links: readonly Link[]
  }
}

/**
 * The whole board in one reading: every circuit in parallel. Made to save time; a low one is split circuit by
 * circuit.
 */
const boardInsulation = <K extends string>({ key, symbol, shows, probes }: Own<K>): TestKind<K> => ({
  key,
  symbol,
  isDead: true,
  of: 'installation',
  shows,
  isColumn: false,
  isBasic: false,
  isDiagnostic: false,
  entry: INSULATION_ENTRY,
  conditions: ['isolated', 'loadsOut', 'switchesClosed', 'waysClosedBehind', 'earthConnected'],
  relations: ['insulationBoard'],
  places: ({ mains, rig }) => (mains && wholeBoard(rig, {}) ? ONCE.map(unasked) : NOWHERE),
  prepare: (rig, _, options) => {
    const board = mainsOf(rig) && wholeBoard(rig, options)
    if (!board) return undefined
    const { at, to, links } = probes(board.ends)
    const { state, setup } = board.bench
    return { state, setup: { ...setup, links: [...setup.links, ...links] }, at, to }
  },
  prediction: {
    by: 'impedance',
    pairs: ({ at, to }) => [[at, to]],
    read: ([one]) => upTo(one!.ohm, INSULATION_END_OHM),
    withLoads: readInsulation,
  },
  fit: { by: 'decades' },
  expect: ({ rig }) => ({
    source: SOURCES.insulation,
    working: 'insulationBoard',
    reasons: ['newWork'],
    limit: { kind: 'minimum', value: MINIMUM_INSULATION_OHM },
    // Circuits in parallel: each as good as new work is.
    instead: { low: GOOD_INSULATION_OHM / Math.max(1, circuitsOf(rig).length) },
  }),
  usualCause: () => 'lowInsulation',
  measure: ({ bench, prepared: made, error }) => readInsulation(bench, made, 500, error),
})

const unasked = (place: (typeof ONCE)[number]) => ({ ...place, isAsked: false })

export const irBoardLN = boardInsulation({
  key: 'irBoardLN',
  symbol: 'all L–N',
  shows: 'irLN',
  probes: ({ line, neutral }) => ({ at: line, to: neutral, links: [] }),
})

/** Line and neutral together against earth: nothing electronic sees the test voltage between them. */
export const irBoardE = boardInsulation({
  key: 'irBoardE',
  symbol: 'all L + N–E',
  shows: 'irLE',
  probes: ({ line, neutral, earth }) => ({ at: line, to: earth, links: [[line, neutral]] }),
})
