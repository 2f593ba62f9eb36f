import type { Rig, Wire } from '../model/rig'
import { freshId, moveEnd, swapTerminals, withWire } from './edit'
import {
  boardEnd,
  circuitOf,
  circuitWires,
  conductorOf,
  hasNeutral,
  lineOf,
  pointsOf,
  type FaultKind,
} from './fault'

const singlePhase = (rig: Rig) =>
  pointsOf(rig).filter((part) => part.kind !== 'appliance' || part.poles.length === 2)

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

/** The conductors of a circuit that start at its board. */
const startsOf = (rig: Rig, circuit: string) =>
  circuitWires(rig).filter((wire) => circuitOf(rig, wire) === circuit && boardEnd(rig, wire))

/**
 * Lines of a circuit with the neutrals beside them at its board, leg by leg; none where either has been left
 * out or moved away.
 */
function legsAtBoard(rig: Rig, circuit: string): { readonly line: Wire; readonly neutral: Wire }[] {
  const starts = startsOf(rig, circuit)
  const neutrals = starts.filter((wire) => conductorOf(wire) === 'neutral')
  return starts
    .filter((wire) => conductorOf(wire) === 'line')
    .flatMap((line, i) => (neutrals[i] ? [{ line, neutral: neutrals[i] }] : []))
}

export const SWAPPED_FAULTS: readonly FaultKind[] = [
  {
    code: 'polarityAtPoint',
    group: 'swapped',
    prior: 5,
    places: (rig) =>
      singlePhase(rig)
        .filter(hasNeutral)
        .map(({ id }) => ({ key: id, at: [id] })),
    apply: (rig, { key }) =>
      swapTerminals(rig, lineOf(pointsOf(rig).find(({ id }) => id === key)!), `${key}.N`),
  },
  {
    code: 'polarityAtBoard',
    group: 'swapped',
    prior: 2,
    places: (rig) =>
      rig.parts.flatMap((part) =>
        part.kind === 'device' &&
        part.role === 'way' &&
        part.poles.includes('L') &&
        part.circuit &&
        legsAtBoard(rig, part.circuit).length > 0
          ? [{ key: part.circuit, at: [part.id] }]
          : [],
      ),
    // Leg by leg, so that a ring's ends stay apart.
    apply: (rig, { key }) =>
      legsAtBoard(rig, key).reduce(
        (swapped, { line, neutral }) =>
          swapTerminals(
            swapped,
            boardEnd(rig, line)!.atBoard,
            boardEnd(rig, neutral)!.atBoard,
            new Set([line.id, neutral.id]),
          ),
        rig,
      ),
  },
  {
    code: 'lineAndEarth',
    group: 'swapped',
    prior: 1,
    places: (rig) => singlePhase(rig).map(({ id }) => ({ key: id, at: [id] })),
    apply: (rig, { key }) =>
      swapTerminals(rig, lineOf(pointsOf(rig).find(({ id }) => id === key)!), `${key}.E`),
  },
  {
    code: 'neutralAndEarth',
    group: 'swapped',
    prior: 2,
    places: (rig) =>
      singlePhase(rig)
        .filter(hasNeutral)
        .map(({ id }) => ({ key: id, at: [id] })),
    apply: (rig, { key }) => swapTerminals(rig, `${key}.N`, `${key}.E`),
  },
  {
    code: 'switchInNeutral',
    group: 'swapped',
    prior: 2,
    // The line goes straight to the lamp and the neutral comes back over the switch.
    places: (rig) =>
      rig.parts.flatMap((part) =>
        part.kind === 'switch' &&
        part.action === 'one-way' &&
        part.circuit &&
        legsAtBoard(rig, part.circuit).length > 0
          ? [{ key: part.id, at: [part.id] }]
          : [],
      ),
    apply: (rig, { key }) => {
      const { line, neutral } = legsAtBoard(rig, rig.parts.find(({ id }) => id === key)!.circuit!)[0]!
      const [lineEnd, neutralEnd] = [boardEnd(rig, line)!.atBoard, boardEnd(rig, neutral)!.atBoard]
      const lamp = boardEnd(rig, neutral)!.away.split('.')[0]!
      return swapTerminals(
        swapTerminals(rig, lineEnd, neutralEnd, new Set([line.id, neutral.id])),
        `${lamp}.L`,
        `${lamp}.N`,
        new Set(
          rig.wires
            .filter(
              (wire) => [wire.from, wire.to].some((ref) => ref === `${key}.L1`) || wire.id === neutral.id,
            )
            .map(({ id }) => id),
        ),
      )
    },
  },
  {
    code: 'ringBridged',
    group: 'swapped',
    prior: 1,
    places: (rig) => rings(rig).map((circuit) => ({ key: circuit, at: [circuit] })),
    apply: (rig, { key }) => {
      const sockets = rig.parts.filter((part) => part.kind === 'socket' && part.circuit === key)
      const [a, b] = [sockets[0]!, sockets.at(-1)!]
      const like = circuitWires(rig, 'line').find((wire) => circuitOf(rig, wire) === key)!
      return withWire(rig, {
        ...like,
        id: freshId(rig, 'bridge'),
        from: `${a.id}.L`,
        to: `${b.id}.L`,
        lengthM: 3,
      })
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
