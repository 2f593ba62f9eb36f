import { sourceIn, type Book } from '../../regulations/book/book'
import { cellKey } from '../../regulations/book/change'
import type { Derivation, Step, StepValues } from './step'

/** Works a step, and names the centre's own book where the value that it looks up stands there. */
export function deriveStep<T extends { readonly book: Book }>(
  step: Step<T>,
  task: T,
  values: StepValues,
): Derivation {
  const derivation = step.derive(task, values)
  if (!derivation.ok || task.book.changed.size === 0) return derivation
  const looked = [step.cell?.(task, { ...values, [step.key]: derivation.value }) ?? []].flat()
  const changed = looked.find((cell) => task.book.changed.has(cellKey(cell)))
  return { ...derivation, source: sourceIn(task.book, derivation.source, changed) }
}
