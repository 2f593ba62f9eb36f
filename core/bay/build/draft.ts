import type { BoardFrame, Busbar, Colour, Part, Rig, Run, TerminalRef, Wire } from '../model/rig'

/** A conductor to be laid; what is left out is as usual. */
export interface Conductor extends Partial<Omit<Wire, 'id' | 'from' | 'to'>> {
  readonly areaMm2: number
  readonly lengthM: number
  readonly colour: Colour
}

/** A rig while it grows; numbers conductors and bar terminals in the order in which they come. */
export interface Draft {
  readonly part: (part: Part) => string
  readonly frame: (board: BoardFrame) => void
  /** A whole comb, no tooth missing. */
  readonly busbar: (busbar: Pick<Busbar, 'id' | 'name' | 'teeth'>) => void
  readonly run: (run: Run) => string
  readonly wire: (from: TerminalRef, to: TerminalRef, conductor: Conductor) => void
  /** Next free terminal of a bar. */
  readonly free: (bar: string) => TerminalRef
  readonly rig: (name: string) => Rig
}

/** Spare terminals of every bar. */
const SPARE_TERMINALS = 2

export function createDraft(): Draft {
  const parts: Part[] = []
  const boards: BoardFrame[] = []
  const busbars: Busbar[] = []
  const runs: Run[] = []
  const wires: Wire[] = []
  const used = new Map<string, number>()
  const withSpares = (part: Part): Part =>
    part.kind === 'bar'
      ? { ...part, terminals: Math.max(part.terminals, (used.get(part.id) ?? 0) + SPARE_TERMINALS) }
      : part
  return {
    part: (part) => (parts.push(part), part.id),
    frame: (board) => void boards.push(board),
    busbar: (busbar) => void busbars.push({ ...busbar, missing: [], cutAfter: [] }),
    run: (run) => (runs.push(run), run.id),
    wire: (from, to, { areaMm2, lengthM, colour, ...more }) => {
      const id = `x${wires.length + 1}`
      wires.push({ id, from, to, areaMm2, lengthM, colour, run: null, ...more })
    },
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
      parts: parts.map(withSpares),
    }),
  }
}
