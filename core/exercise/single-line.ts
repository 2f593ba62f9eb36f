import type { Board, Installation } from '../installation/installation'
import { boardFedBy, boardsOutward, circuitsOf } from '../installation/tree'
import type { PublicCircuit, PublicInstallation } from './assignment'

/** One horizontal line of the drawing: a board's head, or a circuit with its device, cable and load. */
export type DrawnRow =
  | {
      readonly is: 'board'
      readonly y: number
      readonly depth: number
      readonly board: Board
      /** Row of the circuit that feeds it. */ readonly fedFromY: number | null
    }
  | {
      readonly is: 'circuit'
      readonly y: number
      readonly depth: number
      readonly circuit: PublicCircuit
      readonly feeds: Board | undefined
    }

export interface SingleLine {
  readonly rows: readonly DrawnRow[]
  /** Busbar of each board: from its head down to its last circuit. */
  readonly bars: readonly {
    readonly board: string
    readonly depth: number
    readonly fromY: number
    readonly toY: number
  }[]
  readonly height: number
}

/**
 * Lays the installation out from the origin down: each board with its circuits, the boards behind it further
 * in. Rows are 1 apart.
 */
export function layOut(installation: PublicInstallation): SingleLine {
  const whole = installation as Installation
  const rows: DrawnRow[] = []
  const bars: SingleLine['bars'][number][] = []
  const rowOfCircuit = new Map<string, number>()
  const depths = new Map<string, number>()
  for (const board of boardsOutward(whole)) {
    const feedingBoard = whole.circuits.find(({ id }) => id === board.fedBy)?.board
    const depth = feedingBoard === undefined ? 0 : (depths.get(feedingBoard) ?? 0) + 1
    depths.set(board.id, depth)
    const fromY = rows.length
    rows.push({
      is: 'board',
      y: fromY,
      depth,
      board,
      fedFromY: board.fedBy === null ? null : (rowOfCircuit.get(board.fedBy) ?? null),
    })
    for (const circuit of circuitsOf(whole, board.id)) {
      rowOfCircuit.set(circuit.id, rows.length)
      rows.push({ is: 'circuit', y: rows.length, depth, circuit, feeds: boardFedBy(whole, circuit.id) })
    }
    bars.push({ board: board.id, depth, fromY, toY: rows.length - 1 })
  }
  return { rows, bars, height: rows.length }
}
