import type { Infeed } from '../regulations/infeed'
import type { Board, Circuit, Installation } from './installation'

export const circuitsOf = (installation: Installation, boardId: string): Circuit[] =>
  installation.circuits.filter((circuit) => circuit.board === boardId).sort((a, b) => a.way - b.way)

export const boardFedBy = (installation: Installation, circuitId: string): Board | undefined =>
  installation.boards.find((board) => board.fedBy === circuitId)

/** Boards from the origin outward; only those that the origin reaches. */
export function boardsOutward(installation: Installation): Board[] {
  const reached: Board[] = installation.boards.filter((board) => board.fedBy === null)
  for (const board of reached) {
    for (const circuit of circuitsOf(installation, board.id)) {
      const next = boardFedBy(installation, circuit.id)
      if (next && !reached.includes(next)) reached.push(next)
    }
  }
  return reached
}

/** Sources behind a circuit's device: its own, and those of every board that it feeds. */
export function infeedsBehind(installation: Installation, circuit: Circuit): Infeed[] {
  const found: Infeed[] = circuit.infeed ? [circuit.infeed] : []
  const boards = [boardFedBy(installation, circuit.id)]
  const seen = new Set<string>()
  for (const board of boards) {
    if (!board || seen.has(board.id)) continue
    seen.add(board.id)
    for (const other of circuitsOf(installation, board.id)) {
      if (other.infeed) found.push(other.infeed)
      boards.push(boardFedBy(installation, other.id))
    }
  }
  return [...new Set(found)]
}
