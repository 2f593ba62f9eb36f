import type { Board, Installation, Intake, Standby, SurgeWays } from '../installation/installation'
import { boardFedBy, boardsOutward, circuitsOf } from '../installation/tree'
import type { PublicCircuit, PublicInstallation } from './assignment'

/** One horizontal line of the drawing: sources that change over, a board's head, its SPD, or a circuit. */
export type DrawnRow =
  | { readonly is: 'sources'; readonly y: number; readonly intake: Intake; readonly standby: Standby }
  | {
      readonly is: 'board'
      readonly y: number
      readonly depth: number
      readonly board: Board
      /** Row of the circuit that feeds it. */ readonly fedFromY: number | null
    }
  | {
      readonly is: 'surge'
      readonly y: number
      readonly depth: number
      readonly board: Board
      readonly surge: SurgeWays
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
 * Lays the installation out from the origin down: what feeds it where there is a choice, then each board with
 * its SPD and its circuits, the boards behind it further in. Rows are 1 apart.
 */
export function layOut(installation: PublicInstallation): SingleLine {
  const whole = installation as Installation
  const rows: DrawnRow[] = []
  const bars: SingleLine['bars'][number][] = []
  const rowOfCircuit = new Map<string, number>()
  const depths = new Map<string, number>()
  const { intake } = whole
  if (intake.standby) rows.push({ is: 'sources', y: 0, intake, standby: intake.standby })
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
    if (board.surge) rows.push({ is: 'surge', y: rows.length, depth, board, surge: board.surge })
    for (const circuit of circuitsOf(whole, board.id)) {
      rowOfCircuit.set(circuit.id, rows.length)
      rows.push({ is: 'circuit', y: rows.length, depth, circuit, feeds: boardFedBy(whole, circuit.id) })
    }
    bars.push({ board: board.id, depth, fromY, toY: rows.length - 1 })
  }
  return { rows, bars, height: rows.length }
}
