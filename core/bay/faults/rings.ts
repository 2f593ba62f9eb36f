import type { Rig, TerminalRef, Wire } from '../model/rig'
import { freshId, moveEnd, swapTerminals, withWire, withoutWire } from './edit'
import {
  boardEnd,
  circuitOf,
  circuitWires,
  conductorOf,
  startsOf,
  type Conductor,
  type FaultKind,
  type Place,
} from './fault'

/** Circuits with both ends of a line conductor at the board. */
function rings(rig: Rig): string[] {
  const count = new Map<string, number>()
  for (const wire of circuitWires(rig, 'line'))
    if (boardEnd(rig, wire)) count.set(circuitOf(rig, wire)!, (count.get(circuitOf(rig, wire)!) ?? 0) + 1)
  return [...count]
    .filter(
      ([circuit, ends]) =>
        ends === 2 && rig.parts.some((part) => part.circuit === circuit && part.kind === 'socket'),
    )
    .map(([circuit]) => circuit)
}

/** A short piece across a ring, m. */
const BRIDGE_M = 3
const CONDUCTORS: readonly Conductor[] = ['line', 'neutral', 'earth']
const TERMINAL = { line: 'L', neutral: 'N', earth: 'E' } as const
/** Bridges are looked for between so many sockets, spread along the ring. */
const PILLARS = 5

const socketsOf = (rig: Rig, circuit: string): readonly string[] =>
  rig.parts.filter((part) => part.kind === 'socket' && part.circuit === circuit).map(({ id }) => id)

/** First and last socket of each ring, then pairs of sockets spread along it that are not neighbours. */
function bridgePlaces(rig: Rig): Place[] {
  return rings(rig).flatMap((circuit): Place[] => {
    const sockets = socketsOf(rig, circuit)
    const step = (sockets.length - 1) / (PILLARS - 1)
    const pillars = [...new Set(Array.from({ length: PILLARS }, (_, i) => sockets[Math.round(i * step)]!))]
    const between = pillars.flatMap((from, i) =>
      pillars
        .slice(i + 1)
        .filter((to) => sockets.indexOf(to) - sockets.indexOf(from) > 1)
        .filter((to) => from !== sockets[0] || to !== sockets.at(-1))
        .map((to) => ({ key: `${circuit} ${from} ${to}`, at: [from, to] })),
    )
    return [{ key: circuit, at: [circuit] }, ...between]
  })
}

/** The ring with a piece of cable across it, by these conductors. */
function bridged(rig: Rig, key: string, conductors: readonly Conductor[]): Rig {
  const [circuit, ...ends] = key.split(' ') as [string, ...string[]]
  const sockets = socketsOf(rig, circuit)
  const [from, to] = ends.length === 2 ? (ends as [string, string]) : [sockets[0]!, sockets.at(-1)!]
  return conductors.reduce((wired, conductor) => {
    const like = circuitWires(rig, conductor).find((wire) => circuitOf(rig, wire) === circuit)
    if (!like) return wired
    const terminal = TERMINAL[conductor]
    return withWire(wired, {
      ...like,
      id: freshId(wired, 'bridge'),
      from: `${from}.${terminal}`,
      to: `${to}.${terminal}`,
      lengthM: BRIDGE_M,
    })
  }, rig)
}

/** The conductors of the leg that comes home last. */
const lastLeg = (rig: Rig, circuit: string): readonly Wire[] =>
  CONDUCTORS.flatMap(
    (conductor) =>
      startsOf(rig, circuit)
        .filter((wire) => conductorOf(wire) === conductor)
        .at(-1) ?? [],
  )
const atBoard = (rig: Rig, wire: Wire): TerminalRef => boardEnd(rig, wire)!.atBoard

/** Faults of ring final circuits: bridges across them, and ends that are not where they belong. */
export const RING_FAULTS: readonly FaultKind[] = [
  {
    code: 'ringBridged',
    group: 'swapped',
    prior: 1,
    places: bridgePlaces,
    apply: (rig, { key }) => bridged(rig, key, ['line']),
  },
  {
    code: 'ringBridgedByAll',
    group: 'swapped',
    prior: 2,
    places: bridgePlaces,
    apply: (rig, { key }) => bridged(rig, key, CONDUCTORS),
  },
  {
    code: 'ringFedAtOneEnd',
    group: 'swapped',
    prior: 2,
    // One leg hangs loose at the board, with all its conductors.
    places: (rig) => rings(rig).map((circuit) => ({ key: circuit, at: [circuit] })),
    apply: (rig, { key }) => lastLeg(rig, key).reduce((left, { id }) => withoutWire(left, id), rig),
  },
  {
    code: 'ringsCrossed',
    group: 'swapped',
    prior: 2,
    // A leg of the one ring comes home to the other's way, and the other way round.
    places: (rig) => {
      const all = rings(rig)
      return all.flatMap((first, i) =>
        all.slice(i + 1).map((other) => ({ key: `${first} ${other}`, at: [first, other] })),
      )
    },
    apply: (rig, { key }) => {
      const [one, other] = key.split(' ').map((circuit) => lastLeg(rig, circuit)) as [Wire[], Wire[]]
      return one.reduce((crossed, wire) => {
        const like = other.find((candidate) => conductorOf(candidate) === conductorOf(wire))
        return like
          ? swapTerminals(crossed, atBoard(rig, wire), atBoard(rig, like), new Set([wire.id, like.id]))
          : crossed
      }, rig)
    },
  },
  {
    code: 'ringEndsMixed',
    group: 'swapped',
    prior: 2,
    // One leg's neutral and earth are interchanged at the board.
    places: (rig) => rings(rig).map((circuit) => ({ key: circuit, at: [circuit] })),
    apply: (rig, { key }) => {
      const legs = startsOf(rig, key)
      const last = (conductor: string) => legs.filter((wire) => conductorOf(wire) === conductor).at(-1)!
      const [n, e] = [last('neutral'), last('earth')]
      return swapTerminals(rig, boardEnd(rig, n)!.atBoard, boardEnd(rig, e)!.atBoard, new Set([n.id, e.id]))
    },
  },
  {
    code: 'ringOnTwoWays',
    group: 'swapped',
    prior: 1,
    places: (rig) =>
      rings(rig).flatMap((circuit) =>
        rig.parts
          .filter(
            (part) =>
              part.kind === 'device' &&
              part.role === 'way' &&
              part.circuit !== circuit &&
              part.poles[0] === 'L',
          )
          .map(({ id }) => ({ key: `${circuit} ${id}`, at: [circuit, id] })),
      ),
    apply: (rig, { key }) => {
      const [circuit, way] = key.split(' ') as [string, string]
      const leg = startsOf(rig, circuit)
        .filter((wire) => conductorOf(wire) === 'line')
        .at(-1)!
      return moveEnd(rig, leg.id, boardEnd(rig, leg)!.atBoard, `${way}.L out`)
    },
  },
]
