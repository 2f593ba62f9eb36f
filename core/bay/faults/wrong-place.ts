import type { Bar, DevicePart, Rig, TerminalRef, Wire } from '../model/rig'
import { partIdOf } from '../model/terminals'
import { interchanged, moveEnd, withWire, withoutWire, freshId } from './edit'
import { boardEnd, circuitOf, circuitWires, conductorOf, type FaultKind } from './fault'

/** A terminal of this bar that no conductor is in. */
export function freeTerminal(rig: Rig, bar: Bar): TerminalRef | undefined {
  const used = new Set(rig.wires.flatMap(({ from, to }) => [from, to]))
  return Array.from({ length: bar.terminals }, (_, i) => `${bar.id}.${i + 1}`).find((ref) => !used.has(ref))
}

const bars = (rig: Rig, serves: Bar['serves']) =>
  rig.parts.filter((part): part is Bar => part.kind === 'bar' && part.serves === serves)
const ways = (rig: Rig) =>
  rig.parts.filter((part): part is DevicePart => part.kind === 'device' && part.role === 'way')

/** A conductor that brings the neutral to a lamp; none where it has been left out. */
const neutralTo = (rig: Rig, lamp: string) =>
  circuitWires(rig, 'neutral').find((wire) => wire.to === `${lamp}.N` || wire.from === `${lamp}.N`)

/** The end of an earth that lies in a bar with room for another order; of a feed's, at the board that feeds. */
function earthBarOf(rig: Rig, wire: Wire): { readonly bar: Bar; readonly end: TerminalRef } | undefined {
  for (const end of [wire.from, wire.to]) {
    const bar = bars(rig, 'E').find(({ id }) => id === partIdOf(end))
    if (bar && freeTerminal(rig, bar)) return { bar, end }
  }
  return undefined
}

export const PLACE_FAULTS: readonly FaultKind[] = [
  {
    code: 'neutralOnOtherBar',
    group: 'place',
    prior: 4,
    places: (rig) =>
      circuitWires(rig, 'neutral').flatMap((wire) => {
        const end = boardEnd(rig, wire)
        if (!end || !bars(rig, 'N').some(({ id }) => id === partIdOf(end.atBoard))) return []
        const frame = rig.parts.find(({ id }) => id === partIdOf(end.atBoard))!.board
        return bars(rig, 'N')
          .filter((bar) => bar.id !== partIdOf(end.atBoard) && bar.board === frame && freeTerminal(rig, bar))
          .map((bar) => ({ key: `${wire.id} ${bar.id}`, at: [wire.id, bar.id] }))
      }),
    apply: (rig, { key }) => {
      const [id, bar] = key.split(' ') as [string, string]
      const wire = rig.wires.find((candidate) => candidate.id === id)!
      return moveEnd(
        rig,
        id,
        boardEnd(rig, wire)!.atBoard,
        freeTerminal(
          rig,
          rig.parts.find((part): part is Bar => part.id === bar)!,
        )!,
      )
    },
  },
  {
    code: 'neutralOnEarthBar',
    group: 'place',
    prior: 2,
    places: (rig) =>
      circuitWires(rig, 'neutral').flatMap((wire) =>
        boardEnd(rig, wire) ? [{ key: wire.id, at: [wire.id] }] : [],
      ),
    apply: (rig, { key }) => {
      const wire = rig.wires.find(({ id }) => id === key)!
      const end = boardEnd(rig, wire)!
      const frame = rig.parts.find(({ id }) => id === partIdOf(end.atBoard))!.board
      const bar = bars(rig, 'E').find((candidate) => candidate.board === frame)!
      return moveEnd(rig, key, end.atBoard, freeTerminal(rig, bar)!)
    },
  },
  {
    code: 'borrowedNeutral',
    group: 'place',
    prior: 3,
    // A lamp returns over the neutral of another circuit, and its own is left out.
    places: (rig) =>
      rig.parts
        .filter((part) => part.kind === 'lampholder' && neutralTo(rig, part.id) !== undefined)
        .flatMap((lamp) =>
          rig.parts
            .filter(
              (other) =>
                (other.kind === 'lampholder' || other.kind === 'socket') && other.circuit !== lamp.circuit,
            )
            .slice(0, 1)
            .map((other) => ({ key: `${lamp.id} ${other.id}`, at: [lamp.id, other.id] })),
        ),
    apply: (rig, { key }) => {
      const [lamp, other] = key.split(' ') as [string, string]
      const neutral = neutralTo(rig, lamp)!
      return withWire(withoutWire(rig, neutral.id), {
        ...neutral,
        id: freshId(rig, 'borrowed'),
        from: `${other}.N`,
        to: `${lamp}.N`,
        lengthM: 3,
      })
    },
  },
  {
    code: 'twoOnOneWay',
    group: 'place',
    prior: 2,
    places: (rig) =>
      circuitWires(rig, 'line').flatMap((wire) => {
        const end = boardEnd(rig, wire)
        const circuit = circuitOf(rig, wire)
        if (!end || !end.atBoard.endsWith('.L out')) return []
        return ways(rig)
          .filter((way) => way.circuit !== circuit && way.poles[0] === 'L')
          .slice(0, 1)
          .map((way) => ({ key: `${wire.id} ${way.id}`, at: [wire.id, way.id] }))
      }),
    apply: (rig, { key }) => {
      const [id, way] = key.split(' ') as [string, string]
      const wire = rig.wires.find((candidate) => candidate.id === id)!
      return moveEnd(rig, id, boardEnd(rig, wire)!.atBoard, `${way}.L out`)
    },
  },
  {
    code: 'linesInterchanged',
    group: 'place',
    prior: 2,
    // Two lines of a three-phase load: it turns the other way.
    places: (rig) =>
      ways(rig)
        .filter(({ poles }) => poles.includes('L3'))
        .map(({ id }) => ({ key: id, at: [id] })),
    apply: (rig, { key }) => {
      const swap = (ref: TerminalRef) => interchanged(ref, `${key}.L1 out`, `${key}.L2 out`)
      return {
        ...rig,
        wires: rig.wires.map((wire) => ({ ...wire, from: swap(wire.from), to: swap(wire.to) })),
      }
    },
  },
  {
    code: 'earthOutOfOrder',
    group: 'place',
    prior: 1,
    places: (rig) =>
      circuitWires(rig, 'earth').flatMap((wire) =>
        earthBarOf(rig, wire) ? [{ key: wire.id, at: [wire.id, earthBarOf(rig, wire)!.bar.id] }] : [],
      ),
    apply: (rig, { key }) => {
      const { bar, end } = earthBarOf(
        rig,
        rig.wires.find(({ id }) => id === key)!,
      )!
      return moveEnd(rig, key, end, freeTerminal(rig, bar)!)
    },
  },
  {
    code: 'neutralShared',
    group: 'place',
    prior: 1,
    // Circuits of different lines keep one neutral between them.
    places: (rig) =>
      circuitWires(rig, 'neutral').flatMap((wire) => {
        const end = boardEnd(rig, wire)
        const other =
          end &&
          circuitWires(rig, 'neutral').find(
            (circuitWire) =>
              circuitOf(rig, circuitWire) !== circuitOf(rig, wire) &&
              boardEnd(rig, circuitWire) &&
              conductorOf(circuitWire) === 'neutral',
          )
        return end && other ? [{ key: wire.id, at: [wire.id, other.id] }] : []
      }),
    apply: (rig, { key, at }) => {
      const wire = rig.wires.find(({ id }) => id === key)!
      const other = rig.wires.find(({ id }) => id === at[1])!
      return moveEnd(rig, key, boardEnd(rig, wire)!.atBoard, boardEnd(rig, other)!.away)
    },
  },
]
