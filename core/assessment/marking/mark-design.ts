import type { BoardTask } from '../../design/board/board-task'
import { designOf, isAsked, rulesOf, type Assignment } from '../../exercise/assignment'
import type { ScopeDesign, WorkedStep } from '../../design/reference'
import type { Step, StepValues } from '../../design/model/step'
import { nodeKey } from '../../design/model/step-keys'
import type { Task } from '../../design/model/task'
import { walkInstallation } from '../../design/walk'
import type { Answers } from './answer'
import { markStep, type StepMark } from './mark-step'
import type { MarkingPlace, OwnFigures } from './own-figures'

/**
 * Marks a design with follow-through over the whole installation: a wrong value is carried on, into the same circuit and
 * into every board behind it, and each later step is judged by what follows from it. Marks stand in the order of the
 * sheet. Throws when the installation has no worked design, since such a task can never be set.
 */
export function markDesign(assignment: Assignment, answers: Answers): StepMark[] {
  const reference = designOf(assignment)
  if (!reference.ok) throw new Error('The installation has no worked design')
  const sheets = new SheetsByScope(assignment, answers)
  const workedOf = new Map([...reference.circuits, ...reference.boards].map((entry) => [entry.scope, entry]))
  walkInstallation(assignment.installation, rulesOf(assignment), {
    circuit: ({ id }, task, steps) =>
      sheets.mark(id, task, workedOf.get(id) as ScopeDesign & { task: Task }, steps),
    board: ({ id }, task, steps) =>
      sheets.mark(id, task, workedOf.get(id) as ScopeDesign & { task: BoardTask }, steps),
  })
  const { circuits, boards } = assignment.installation
  return [...circuits, ...boards].flatMap(({ id }) => sheets.marksOf(id))
}

/** The marks of each circuit and board, and the figures that the person goes on with there. */
class SheetsByScope {
  readonly #marks = new Map<string, StepMark[]>()
  readonly #figures = new Map<string, OwnFigures>()

  constructor(
    private readonly assignment: Assignment,
    private readonly answers: Answers,
  ) {}

  marksOf(scope: string): readonly StepMark[] {
    return this.#marks.get(scope) ?? []
  }

  /** Marks these steps of one circuit or board, and returns the figures that go on from there. */
  mark<T extends Task | BoardTask>(
    scope: string,
    task: T,
    worked: ScopeDesign & { readonly task: T },
    steps: readonly Step<T>[],
  ): StepValues {
    const ownFigures = this.#figuresOf(scope)
    ownFigures.hasDeparted ||= isElsewhere(task, worked.task)
    const place: MarkingPlace<T> = { scope, assignment: this.assignment, task, ownFigures }
    const workedSteps = new Map(worked.steps.map((workedStep) => [workedStep.key, workedStep]))
    for (const step of steps) {
      const workedStep = workedSteps.get(step.key)
      if (workedStep) this.#markOne(step, place, workedStep)
    }
    return ownFigures.values
  }

  #markOne<T extends Task | BoardTask>(step: Step<T>, place: MarkingPlace<T>, worked: WorkedStep): void {
    const { scope, task, ownFigures } = place
    if (!isAsked(this.assignment, scope, step.key)) {
      // What was not asked follows by itself from what was.
      const derived = ownFigures.hasDeparted ? step.derive(task, ownFigures.values) : worked
      ownFigures.values[step.key] = derived.ok ? derived.value : worked.value
      return
    }
    const mark = markStep(step, place, worked, this.answers[nodeKey(scope, step.key)] ?? '')
    const sheet = this.#marks.get(scope) ?? []
    sheet.push(mark)
    this.#marks.set(scope, sheet)
    // What they wrote is what they went on with; the worked value stands in only where nothing could be read.
    ownFigures.values[step.key] = mark.value ?? worked.value
    ownFigures.hasDeparted ||= ownFigures.values[step.key] !== worked.value
  }

  #figuresOf(scope: string): OwnFigures {
    const ownFigures: OwnFigures = this.#figures.get(scope) ?? {
      values: {},
      halfDigits: {},
      hasDeparted: false,
    }
    this.#figures.set(scope, ownFigures)
    return ownFigures
  }
}

/** Does the person's own way up to here leave another supply or demand than the worked one? */
function isElsewhere(mine: Task | BoardTask, worked: Task | BoardTask): boolean {
  if (mine.above?.ratingA !== worked.above?.ratingA) return true
  if ('contributions' in mine)
    return mine.contributions.some(
      ({ currentA }, i) => currentA !== (worked as BoardTask).contributions[i]!.currentA,
    )
  const there = worked as Task
  return (
    mine.supply.zeOhm !== there.supply.zeOhm ||
    mine.supply.ipfA !== there.supply.ipfA ||
    mine.dropAbove !== there.dropAbove ||
    mine.demandA !== there.demandA
  )
}
