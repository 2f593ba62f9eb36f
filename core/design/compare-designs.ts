import type { Installation } from '../installation/installation'
import type { Book } from '../regulations/book/book'
import type { BookChange } from '../regulations/book/change'
import type { Edition } from '../regulations/editions'
import type { Source } from '../regulations/source'
import { BOARD_CHAIN } from './board-chain'
import { CIRCUIT_CHAIN } from './circuit-chain'
import { deriveStep } from './model/derive'
import type { Step, StepValues } from './model/step'
import type { StepKey } from './model/step-keys'
import { referenceDesign, type ScopeDesign } from './reference'
import type { DesignRules } from './walk'

/** A book to design by: an edition, and what a centre says otherwise in it. */
export interface BookChosen {
  readonly edition: Edition
  readonly changes: readonly BookChange[]
}

/** One step that comes out differently. */
export interface StepDifference {
  readonly scope: string
  readonly name: string
  readonly step: StepKey
  /** Undefined where the design does not come so far, or the step is not asked. */
  readonly before: number | undefined
  readonly after: number | undefined
  /** The books themselves differ here; any other step only follows from one that does. */
  readonly isCause: boolean
  /** How it is worked by the second book; empty where it is not. */
  readonly working: string
  readonly source: Source | null
}

/** What decides a design beside the book. */
export type CompareRules = Pick<DesignRules, 'measuredZs' | 'warmDrop'>

/** Every step of every circuit and board that one book works otherwise than another, in the order of the work. */
export function compareDesigns(
  installation: Installation,
  rules: CompareRules,
  [first, second]: readonly [BookChosen, BookChosen],
): StepDifference[] {
  const [before, after] = [first, second].map(({ edition, changes }) =>
    referenceDesign(installation, { ...rules, edition, changes }),
  ) as [ReturnType<typeof referenceDesign>, ReturnType<typeof referenceDesign>]
  return [
    ...before.circuits.flatMap((design, i) =>
      compareScope(CIRCUIT_CHAIN, [design, after.circuits[i]!], design.circuit.name),
    ),
    ...before.boards.flatMap((design, i) =>
      compareScope(BOARD_CHAIN, [design, after.boards[i]!], design.board.name),
    ),
  ]
}

type Worked<T> = ScopeDesign & { readonly task: T }

function compareScope<T extends { readonly book: Book }>(
  chain: readonly Step<T>[],
  [before, after]: readonly [Worked<T>, Worked<T>],
  name: string,
): StepDifference[] {
  return chain.flatMap((step) => {
    const [was, is] = [before.values[step.key], after.values[step.key]]
    if (isSame(was, is)) return []
    const worked = after.steps.find(({ key }) => key === step.key)
    return [
      {
        scope: before.scope,
        name,
        step: step.key,
        before: was,
        after: is,
        // A step that was not reached before has nothing that it could be reworked from.
        isCause: was !== undefined && !isSame(was, reworked(step, after.task, before.values)),
        working: worked?.working ?? '',
        source: worked?.source ?? null,
      },
    ]
  })
}

/** The step by the second book from the values of the first; undefined where that stops. */
function reworked<T extends { readonly book: Book }>(
  step: Step<T>,
  task: T,
  values: StepValues,
): number | undefined {
  const derivation = deriveStep(step, task, values)
  return derivation.ok ? derivation.value : undefined
}

const SAME = 1e-9
const isSame = (a: number | undefined, b: number | undefined): boolean =>
  a === b ||
  (a !== undefined && b !== undefined && Math.abs(a - b) <= SAME * Math.max(Math.abs(a), Math.abs(b)))
