import type { Book } from '../regulations/book/book'
import { cellKey, type Cell } from '../regulations/book/change'
import { BOARD_CHAIN } from './board-chain'
import { CIRCUIT_CHAIN } from './circuit-chain'
import type { Step, StepValues } from './model/step'
import type { StepKey } from './model/step-keys'
import type { InstallationDesign } from './reference'

/** One value of the book that a design looks up, and at which step. */
export interface ValueUsed {
  readonly cell: Cell
  readonly step: StepKey
}

/** Every value of the book that a design looks up, each once. */
export function valuesUsed(design: InstallationDesign): ValueUsed[] {
  const used = [
    ...design.circuits.flatMap(({ task, values }) => usedBy(CIRCUIT_CHAIN, task, values)),
    ...design.boards.flatMap(({ task, values }) => usedBy(BOARD_CHAIN, task, values)),
  ]
  return [...new Map(used.map((value) => [cellKey(value.cell), value])).values()]
}

const usedBy = <T extends { readonly book: Book }>(
  chain: readonly Step<T>[],
  task: T,
  values: StepValues,
): ValueUsed[] =>
  chain.flatMap((step) => {
    // A step that was not reached looked nothing up.
    if (!step.cell || values[step.key] === undefined) return []
    const cell = step.cell(task, values)
    return cell ? [{ cell, step: step.key }] : []
  })
