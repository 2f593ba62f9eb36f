import { referenceDesign, type InstallationDesign } from '../design/reference'
import type { Step, StepValues } from '../design/model/step'
import { nodeKey, type NodeKey, type StepKey } from '../design/model/step-keys'
import { walkInstallation, type DesignRules } from '../design/walk'
import type { Circuit, Installation } from '../installation/installation'
import { WHOLE_BOARD, type Exercise } from './exercise'

/** An exercise as one apprentice has it: the installation of their variant, and how it is asked and judged. */
export interface Assignment extends Pick<
  Exercise,
  'edition' | 'policy' | 'book' | 'asks' | 'marks' | 'critical' | 'tests'
> {
  readonly installation: Installation
}

export function assignmentOf(
  exercise: Exercise,
  installation: Installation = exercise.installation,
): Assignment {
  const { edition, policy, book, asks, marks, critical, tests } = exercise
  return { edition, policy, book, asks, marks, critical, tests, installation }
}

export const rulesOf = ({
  edition,
  policy,
  book,
}: Pick<Assignment, 'edition' | 'policy' | 'book'>): DesignRules => ({
  edition,
  changes: book,
  measuredZs: policy.measuredZs,
  warmDrop: policy.warmDrop,
})

type DesignedOf = Pick<Assignment, 'edition' | 'policy' | 'book' | 'installation'>

const designs = new WeakMap<
  Installation,
  { of: Omit<DesignedOf, 'installation'>; design: InstallationDesign }
>()

/** The worked design. The last one of each installation is kept: a pile of sheets asks for the same one again and again. */
export function designOf({ edition, policy, book, installation }: DesignedOf): InstallationDesign {
  const kept = designs.get(installation)
  if (kept?.of.edition === edition && kept.of.policy === policy && kept.of.book === book) return kept.design
  const design = referenceDesign(installation, rulesOf({ edition, policy, book }))
  designs.set(installation, { of: { edition, policy, book }, design })
  return design
}

/** Circuits that are built at the bay, or designed where nothing is built. */
export const builtCircuits = ({
  tests,
  asks,
  installation,
}: Pick<Exercise, 'tests' | 'asks' | 'installation'>): readonly string[] =>
  testedCircuits(tests, installation) ?? asks.circuits

/** The circuits that are tested; null where none is. */
function testedCircuits(
  tests: Exercise['tests'],
  { circuits }: Exercise['installation'],
): readonly string[] | null {
  if (tests === null) return null
  return tests === WHOLE_BOARD ? circuits.map(({ id }) => id) : [tests]
}

/** What the asked boxes depend on; enough of it reaches an apprentice's browser to lay out the sheet. */
export interface Sheet {
  readonly edition: Exercise['edition']
  readonly policy: Exercise['policy']
  readonly book?: Exercise['book']
  readonly asks: Exercise['asks']
  readonly installation: PublicInstallation
}

/** An installation without the RCDs, which are the apprentice's to decide. Of an alteration they are given. */
export type PublicInstallation = Omit<Installation, 'circuits'> & {
  readonly circuits: readonly PublicCircuit[]
}
export type PublicCircuit = Omit<Circuit, 'residualA'> & { readonly residualA?: number | null }

export function publicInstallation(installation: Installation): PublicInstallation {
  return {
    ...installation,
    circuits: installation.circuits.map(({ residualA, ...circuit }) =>
      circuit.existing ? { ...circuit, residualA } : circuit,
    ),
  }
}

/**
 * Is this step of this circuit or board written down? Boards are asked with any of their steps, circuits only
 * when they are designed.
 */
export const isAsked = (
  { asks, installation }: Pick<Sheet, 'asks' | 'installation'>,
  scope: string,
  step: StepKey,
): boolean =>
  asks.steps.includes(step) &&
  (asks.circuits.includes(scope) || installation.boards.some(({ id }) => id === scope))

/** The boxes of the sheet in the order in which they are worked: of each circuit asked for, then of each board. */
export function askedNodes(sheet: Sheet): NodeKey[] {
  const { installation } = sheet
  const byScope = new Map<string, NodeKey[]>()
  function note<T>(scope: string, task: T, steps: readonly Step<T>[]): StepValues {
    const asked = steps
      .filter((step) => isAsked(sheet, scope, step.key) && (step.appliesTo?.(task) ?? true))
      .map((step) => nodeKey(scope, step.key))
    byScope.set(scope, [...(byScope.get(scope) ?? []), ...asked])
    return {}
  }
  walkInstallation(installation as Installation, rulesOf(sheet), {
    circuit: (circuit, task, steps) => note(circuit.id, task, steps),
    board: (board, task, steps) => note(board.id, task, steps),
  })
  return [...installation.circuits, ...installation.boards].flatMap(({ id }) => byScope.get(id) ?? [])
}
