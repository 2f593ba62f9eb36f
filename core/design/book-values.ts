import type { Book } from '../regulations/book/book'
import { cellKey, type Cell } from '../regulations/book/change'
import { BOARD_CHAIN } from './board-chain'
import { CIRCUIT_CHAIN } from './circuit-chain'
import type { Step, StepValues } from './model/step'
import type { InstallationDesign } from './reference'

/** Every value of the book that a design looks up, each once. */
export function valuesUsed(design: InstallationDesign): Cell[] {
  const used = [
    ...design.circuits.flatMap(({ task, values }) => usedBy(CIRCUIT_CHAIN, task, values)),
    ...design.boards.flatMap(({ task, values }) => usedBy(BOARD_CHAIN, task, values)),
  ]
  return [...new Map(used.map((cell) => [cellKey(cell), cell])).values()]
}

const usedBy = <T extends { readonly book: Book }>(
  chain: readonly Step<T>[],
  task: T,
  values: StepValues,
): Cell[] =>
  chain.flatMap((step) => {
    // A step that was not reached looked nothing up.
    if (!step.cell || values[step.key] === undefined) return []
    return step.cell(task, values) ?? []
  })
