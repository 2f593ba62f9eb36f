import type { BoardFrame, Busbar, Colour, Part, Rig, Run, TerminalRef, Wire } from '../model/rig'

/** A rig while it grows; numbers conductors and bar terminals in the order in which they come. */
export interface Draft {
  readonly part: (part: Part) => string
  readonly frame: (board: BoardFrame) => void
  readonly busbar: (busbar: Busbar) => void
  readonly run: (run: Run) => string
  readonly wire: (
    from: TerminalRef,
    to: TerminalRef,
    areaMm2: number,
    lengthM: number,
    colour: Colour,
    more?: Partial<Wire>,
  ) => void
  /** Next free terminal of a bar. */
  readonly free: (bar: string) => TerminalRef
  readonly rig: (name: string) => Rig
}

/** Spare terminals of every bar. */
const SPARE_TERMINALS = 2

export function createDraft(): Draft {
  const [parts, boards, busbars, runs, wires]: [Part[], BoardFrame[], Busbar[], Run[], Wire[]] = [
    [],
    [],
    [],
    [],
    [],
  ]
  const used = new Map<string, number>()
  return {
    part: (part) => (parts.push(part), part.id),
    frame: (board) => void boards.push(board),
    busbar: (busbar) => void busbars.push(busbar),
    run: (run) => (runs.push(run), run.id),
    wire: (from, to, areaMm2, lengthM, colour, more) =>
      void wires.push({ id: `x${wires.length + 1}`, from, to, areaMm2, lengthM, colour, run: null, ...more }),
    free: (bar) => {
      used.set(bar, (used.get(bar) ?? 0) + 1)
      return `${bar}.${used.get(bar)}`
    },
    rig: (name) => ({
      format: 'nakshi.rig',
      version: 1,
      name,
      boards,
      busbars,
      runs,
      wires,
      leaks: [],
      parts: parts.map((part) =>
        part.kind === 'bar'
          ? { ...part, terminals: Math.max(part.terminals, (used.get(part.id) ?? 0) + SPARE_TERMINALS) }
          : part,
      ),
    }),
  }
}
