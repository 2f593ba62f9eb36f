import type { Rig, Wire } from '../model/rig'
import { swapTerminals } from './edit'
import { boardEnd, conductorOf, startsOf, hasNeutral, lineOf, pointsOf, type FaultKind } from './fault'

const singlePhase = (rig: Rig) =>
  pointsOf(rig).filter((part) => part.kind !== 'appliance' || part.poles.length === 2)

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
]
