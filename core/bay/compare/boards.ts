import type { Rig, Wire } from '../model/rig'
import { indexParts, partIdOf, terminalNameOf } from '../model/terminals'
import type { Difference } from './difference'

/** Blanks, labels, and the order of conductors on the bars. */
export function boardDifferences(intended: Rig, built: Rig): Difference[] {
  return [
    ...intended.boards.flatMap((board): Difference[] => {
      const is = built.boards.find(({ id }) => id === board.id)
      const blanks = new Set(is?.blanks)
      const labels = is?.labels ?? {}
      return [
        ...board.blanks
          .filter((way) => !blanks.has(way))
          .map((way): Difference => ({
            code: 'blankMissing',
            seriousness: 'fault',
            wire: null,
            at: [board.id],
            role: null,
            params: { way, board: board.name },
          })),
        ...Object.entries(board.labels).flatMap(([way, text]): Difference[] =>
          labels[way]?.trim()
            ? []
            : [
                {
                  code: 'labelMissing',
                  seriousness: 'fault',
                  wire: null,
                  at: [board.id],
                  role: null,
                  params: { way, board: board.name, text },
                },
              ],
        ),
      ]
    }),
    ...barOrder(built),
  ]
}

/** Conductors of the ways on a bar that are not in the order of their ways: untidy, not unsafe. */
function barOrder(rig: Rig): Difference[] {
  const parts = indexParts(rig)
  const wayOf = (wire: Wire): number | null => {
    const circuit = [wire.from, wire.to].map((ref) => parts.get(partIdOf(ref))?.circuit).find((id) => id)
    const device =
      circuit &&
      rig.parts.find((part) => part.kind === 'device' && part.role === 'way' && part.circuit === circuit)
    return device && device.kind === 'device' ? device.way : null
  }
  return rig.parts.flatMap((bar): Difference[] => {
    if (bar.kind !== 'bar' || bar.board === null) return []
    const held = rig.wires
      .flatMap((wire) =>
        [wire.from, wire.to]
          .filter((ref) => partIdOf(ref) === bar.id)
          .map((ref) => ({ wire, place: Number(terminalNameOf(ref)), way: wayOf(wire) })),
      )
      .filter((candidate) => candidate.way !== null)
      .sort((a, b) => a.place - b.place)
    const wrong = held.find(({ way }, i) => i > 0 && held[i - 1]!.way! > way!)
    return wrong
      ? [
          {
            code: 'outOfOrder',
            seriousness: 'note',
            wire: wrong.wire.id,
            at: [`${bar.id}.${wrong.place}`],
            role: null,
            params: { bar: bar.name },
          },
        ]
      : []
  })
}
