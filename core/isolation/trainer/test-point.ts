import { prepare, type Bench } from '../../bay/instruments/setup'
import { readIndicator, readSocketTester } from '../../bay/instruments/voltage'
import type { Bar, DevicePart, Part } from '../../bay/model/rig'
import { terminalsOf } from '../../bay/model/terminals'
import type { Indicator } from '../model/act'
import type { Says, Shown, TrainerState } from './state'

/** A non-contact detector glows above this, V against earth; common practice, no source. */
const GLOWS_FROM_V = 50

/** Every pair of these terminals, in the order of the part. */
export function pairsOf(terminals: readonly string[]): [string, string][] {
  return terminals.flatMap((a, i) => terminals.slice(i + 1).map((b): [string, string] => [a, b]))
}

/** Terminals where a part is tested: of a device at the board, the ends that leave it, against the bars. */
export function testTerminals(state: TrainerState, part: Part): readonly string[] {
  const names = terminalsOf(part)
  if (part.kind === 'device')
    return [
      ...(part as DevicePart).poles.map((pole) => `${part.id}.${pole} in`),
      ...(part.hasEarth ? [`${part.id}.E`] : []),
    ]
  // The way into a spare terminal of a box is free only once it is open.
  const terminals = names
    .filter((name) => part.kind !== 'junction' || name !== 'S' || state.isOpen)
    .map((name) => `${part.id}.${name}`)
  // Parted neutrals are tested one by one, each at its own end.
  return state.isParted
    ? [
        ...terminals.filter((ref) => !ref.endsWith('.N')),
        ...state.rig.parts.filter(({ id }) => id.startsWith('free-')).map(({ id }) => `${id}.S`),
      ]
    : terminals
}

/** What leaves a device at the board: its own outgoing ends, and one bar of each kind. */
export function deviceEnds(state: TrainerState, device: string): readonly string[] {
  const part = state.rig.parts.find(({ id }) => id === device)!
  const board = 'board' in part ? part.board : null
  const bars = state.rig.parts.filter((bar): bar is Bar => bar.kind === 'bar' && bar.board === board)
  const firsts = bars.filter(({ serves }, i) => bars.findIndex((bar) => bar.serves === serves) === i)
  const lines =
    part.kind === 'device'
      ? part.poles.filter((pole) => pole !== 'N').map((pole) => `${part.id}.${pole} out`)
      : []
  return [...lines, ...firsts.map(({ id }) => `${id}.1`)]
}

/**
 * What the indicator shows at these terminals as the bay stands; the first pair alone where somebody is
 * content with one.
 */
export function showAt(
  state: TrainerState,
  indicator: Indicator,
  terminals: readonly string[],
  isEveryPair: boolean,
): Shown {
  const bench = prepare(state.rig, state.bay)
  const isWorking = state.isIndicatorWorking
  const lampAt = ([at, to]: readonly [string, string]) => readIndicator(bench, { at, to }, isWorking)
  if (indicator === 'plug-in') return { indicator, pairs: [], says: plugIn(state, bench, terminals) }
  if (indicator === 'non-contact') {
    const earth = terminals.find((ref) => ref.endsWith('.E'))
    const glows =
      earth !== undefined && terminals.some((at) => at !== earth && lampAt([at, earth]) >= GLOWS_FROM_V)
    return { indicator, pairs: [], says: glows ? 'glows' : 'noGlow' }
  }
  const pairs = isEveryPair ? pairsOf(terminals) : pairsOf(terminals).slice(0, 1)
  return { indicator, pairs: pairs.map((pair) => ({ name: nameOf(...pair), volt: lampAt(pair) })) }
}

/** A socket tells its own story; anything else only whether something lights. */
function plugIn(state: TrainerState, bench: Bench, terminals: readonly string[]): Says {
  if (!state.isIndicatorWorking) return 'noPower'
  const id = terminals[0]!.split('.')[0]!
  const part = state.rig.parts.find((candidate) => candidate.id === id)
  if (part?.kind === 'socket') return readSocketTester(bench, id)
  const isLit = pairsOf(terminals)
    .slice(0, 3)
    .some(([at, to]) => readIndicator(bench, { at, to }) > 0)
  return isLit ? 'lit' : 'noPower'
}

/** `L–N`; a parted neutral is an N of its own. */
const nameOf = (at: string, to: string): string =>
  [at, to]
    .map((ref) => (ref.startsWith('free-') ? 'N parted' : ref.split('.')[1]!.replace(/ (in|out)$/, '')))
    .join('–')

/** Did it show a voltage? */
export const showsLive = ({ pairs, says }: Shown): boolean =>
  pairs.some(({ volt }) => volt >= GLOWS_FROM_V) ||
  (says !== undefined && says !== 'noPower' && says !== 'noGlow')
