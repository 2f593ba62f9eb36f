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
