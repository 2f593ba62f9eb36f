import { prepare } from '../../bay/instruments/setup'
import { readIndicator, readSocketTester } from '../../bay/instruments/voltage'
import type { DevicePart, Part } from '../../bay/model/rig'
import { terminalsOf } from '../../bay/model/terminals'
import { SOCKET_WORDS } from '../../texts/instruments'
import type { Indicator } from '../act'
import type { Shown, TrainerState } from './state'

/** A non-contact stick glows above this, V against earth; common practice, no source. */
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
  const own = names
    .filter((name) => part.kind !== 'junction' || name !== 'S' || state.isOpen)
    .map((name) => `${part.id}.${name}`)
  // Parted neutrals are tested one by one, each at its own end.
  return state.isParted
    ? [
        ...own.filter((ref) => !ref.endsWith('.N')),
        ...state.rig.parts.filter(({ id }) => id.startsWith('free-')).map(({ id }) => `${id}.S`),
      ]
    : own
}

/** What the indicator shows at these terminals as the bay stands. `only` the first pair where somebody is content with one. */
export function showAt(
  state: TrainerState,
  indicator: Indicator,
  terminals: readonly string[],
  isEveryPair: boolean,
): Shown {
  const bench = prepare(state.rig, state.bay)
  const works = state.isIndicatorWorking
  if (indicator === 'plug-in') {
    const socket = terminals[0]!.split('.')[0]!
    const part = state.rig.parts.find(({ id }) => id === socket)
    const pairs = pairsOf(terminals)
      .slice(0, 3)
      .map(([at, to]) => ({ name: nameOf(at, to), volt: readIndicator(bench, { at, to }, works) }))
    return {
      indicator,
      pairs: [],
      words: !works
        ? SOCKET_WORDS.noPower
        : part?.kind === 'socket'
          ? SOCKET_WORDS[readSocketTester(bench, socket)]
          : pairs.some(({ volt }) => volt > 0)
            ? 'lit'
            : SOCKET_WORDS.noPower,
    }
  }
  if (indicator === 'non-contact') {
    const earth = terminals.find((ref) => ref.endsWith('.E'))
    const glows =
      works &&
      earth !== undefined &&
      terminals.some((at) => at !== earth && readIndicator(bench, { at, to: earth }) >= GLOWS_FROM_V)
    return { indicator, pairs: [], words: glows ? 'glows' : 'does not glow' }
  }
  const pairs = isEveryPair ? pairsOf(terminals) : pairsOf(terminals).slice(0, 1)
  return {
    indicator,
    pairs: pairs.map(([at, to]) => ({ name: nameOf(at, to), volt: readIndicator(bench, { at, to }, works) })),
  }
}

/** `L–N`; a parted neutral is an N of its own. */
const nameOf = (at: string, to: string): string =>
  [at, to]
    .map((ref) => (ref.startsWith('free-') ? 'N parted' : ref.split('.')[1]!.replace(/ (in|out)$/, '')))
    .join('–')

/** Did it show a voltage? */
export const showsLive = ({ pairs, words }: Shown): boolean =>
  pairs.some(({ volt }) => volt >= GLOWS_FROM_V) ||
  (words !== undefined && words !== SOCKET_WORDS.noPower && words !== 'does not glow')
