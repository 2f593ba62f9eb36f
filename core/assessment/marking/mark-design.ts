import type { BoardTask } from '../../design/board/board-task'
import type { ScopeDesign, WorkedStep } from '../../design/reference'
import type { Step, StepValues } from '../../design/model/step'
import { nodeKey, type NodeKey, type StepKey } from '../../design/model/step-keys'
import { walkInstallation } from '../../design/walk'
import { designOf, isAsked, rulesOf, type Assignment } from '../../exercise/assignment'
import type { Task } from '../../design/model/task'
import type { FindingCode } from '../../findings/codes'
import { fault, note, type Finding } from '../../findings/finding'
import { sourceLine } from '../../regulations/source'
import { readAnswer, type Answers } from './answer'
import { maximumMark } from './rubric'
import { likelySlip } from './slips'
import { agrees, type TypedNumber } from './tolerance'

/** `carried`: wrong against the worked design, right from the person's own earlier figures. */
export type Verdict = 'right' | 'carried' | 'wrong' | 'missing'

export interface StepMark {
  readonly node: NodeKey
  /** The circuit or board. */
  readonly scope: string
  readonly step: StepKey
  readonly verdict: Verdict
  /** As it was typed. */
  readonly typed: string
  /** As it was read, SI. */
  readonly value?: number
  /** The worked value, SI. */
  readonly reference: number
  /** What it should be from their own figures, where that differs from `reference`. */
  readonly own?: number
  readonly formula: string
  /** The figures of the worked design put in; of their own where they are carried. */
  readonly working: string
  readonly source: string
  readonly findings: readonly Finding[]
  readonly mark: number
  readonly outOf: number
}

/** What somebody wrote so far in one circuit or board, SI, and how far rounding may have moved each calculated value. */
interface OwnFigures {
  readonly values: Partial<Record<StepKey, number>>
  readonly halfDigits: Partial<Record<StepKey, number>>
  /** Their figures have left the worked design, here or further up. */
  hasDeparted: boolean
}

/** One circuit's or board's place in the marking: what is given here, worked and by the person's own figures. */
interface Bench<T extends Task | BoardTask> {
  readonly scope: string
  readonly assignment: Assignment
  /** With the supply that the person's own upstream figures leave here. */
  readonly task: T
  readonly own: OwnFigures
}

/**
 * Marks a design with follow-through over the whole installation: a wrong value is carried on, into the same circuit and
 * into every board behind it, and each later step is judged by what follows from it. Marks stand in the order of the
 * sheet. Throws when the installation has no worked design, since such a task can never be set.
 */
export function markDesign(assignment: Assignment, answers: Answers): StepMark[] {
  const reference = designOf(assignment)
  if (!reference.ok) throw new Error('The installation has no worked design')
  const marks = new Map<string, StepMark[]>()
  const figures = new Map<string, OwnFigures>()
  const byKey = new Map<string, ReadonlyMap<StepKey, WorkedStep>>()

  function go<T extends Task | BoardTask>(
    scope: string,
    task: T,
    worked: ScopeDesign & { readonly task: T },
    steps: readonly Step<T>[],
  ): StepValues {
    const own: OwnFigures = figures.get(scope) ?? { values: {}, halfDigits: {}, hasDeparted: false }
    figures.set(scope, own)
    own.hasDeparted ||= isElsewhere(task, worked.task)
    const bench: Bench<T> = { scope, assignment, task, own }
    const sheet = marks.get(scope) ?? []
    marks.set(scope, sheet)
    const workedSteps = byKey.get(scope) ?? new Map(worked.steps.map((one) => [one.key, one]))
    byKey.set(scope, workedSteps)
    for (const step of steps) {
      const workedStep = workedSteps.get(step.key)
      if (!workedStep) continue
      if (!isAsked(assignment, scope, step.key)) {
        // What was not asked follows by itself from what was.
        const derived = own.hasDeparted ? step.derive(task, own.values) : workedStep
        own.values[step.key] = derived.ok ? derived.value : workedStep.value
        continue
      }
      const mark = markStep(step, bench, workedStep, answers[nodeKey(scope, step.key)] ?? '')
      sheet.push(mark)
      // What they wrote is what they went on with; the worked value stands in only where nothing could be read.
      own.values[step.key] = mark.value ?? workedStep.value
      own.hasDeparted ||= own.values[step.key] !== workedStep.value
    }
    return own.values
  }

  walkInstallation(assignment.installation, rulesOf(assignment), {
    circuit: (circuit, task, steps) =>
      go(
        circuit.id,
        task,
        reference.circuits.find(({ scope }) => scope === circuit.id)!,
        steps,
      ),
    board: (board, task, steps) =>
      go(
        board.id,
        task,
        reference.boards.find(({ scope }) => scope === board.id)!,
        steps,
      ),
  })
  const { circuits, boards } = assignment.installation
  return [...circuits, ...boards].flatMap(({ id }) => marks.get(id) ?? [])
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

function markStep<T extends Task | BoardTask>(
  step: Step<T>,
  bench: Bench<T>,
  worked: WorkedStep,
  typed: string,
): StepMark {
  const { task, own, assignment, scope } = bench
  const { rounding, followShare } = assignment.policy
  const outOf = maximumMark(step.key, assignment)
  const source = sourceLine(worked.source, assignment.edition)
  // One shape for every mark: a pile of sheets holds thousands.
  const judged = (
    verdict: Verdict,
    findings: readonly Finding[],
    mark: number,
    value?: number,
    theirs?: number,
    working = worked.working,
  ): StepMark => ({
    node: nodeKey(scope, step.key),
    scope,
    step: step.key,
    verdict,
    typed,
    value,
    reference: worked.value,
    own: theirs,
    formula: worked.formula,
    working,
    source,
    findings,
    mark,
    outOf,
  })

  const parsed = readAnswer(step.key, typed)
  if (!parsed.ok)
    return judged('missing', parsed.problem === 'empty' ? [] : [fault(`unreadable.${parsed.problem}`)], 0)
  const answer: TypedNumber = parsed
  const derived = own.hasDeparted ? step.derive(task, own.values) : worked
  if (step.kind === 'calculated') own.halfDigits[step.key] = parsed.halfDigit
  const ownWorked = derived.ok ? derived : undefined
  const carriesOn =
    ownWorked !== undefined &&
    ownWorked !== worked &&
    !agrees(step, { value: ownWorked.value, significant: 6 }, worked.value, rounding)
  const theirs = carriesOn ? ownWorked.value : undefined
  const theirWorking = carriesOn ? ownWorked.working : worked.working

  if (agrees(step, answer, worked.value, rounding)) {
    // A right value that cannot come from the figures above it deserves a question, not a lost mark.
    return judged(
      'right',
      carriesOn ? [note('doesNotFollow', { own: ownWorked.value })] : [],
      outOf,
      parsed.value,
      theirs,
    )
  }
  if (ownWorked && followsFrom(step, bench, answer, ownWorked.value))
    return judged('carried', [], outOf * followShare, parsed.value, theirs, theirWorking)

  const acceptance = step.accept?.(task, own.values, parsed.value)
  if (acceptance?.accepted) {
    return judged(
      carriesOn ? 'carried' : 'right',
      acceptance.note ? [note(acceptance.note)] : [],
      outOf * (carriesOn ? followShare : 1),
      parsed.value,
      theirs,
      theirWorking,
    )
  }
  const slip = likelySlip(parsed.value, {
    step,
    task,
    expected: ownWorked?.value ?? worked.value,
    values: own.values,
  })
  return judged(
    'wrong',
    wrongFindings(step, assignment, acceptance, slip, source),
    0,
    parsed.value,
    theirs,
    theirWorking,
  )
}

/**
 * Does the answer follow from their own figures? They may have gone on with more digits than they wrote down, so a
 * calculated step is compared with everything that the unwritten digits allow.
 */
function followsFrom<T extends Task | BoardTask>(
  step: Step<T>,
  { task, own, assignment }: Bench<T>,
  answer: TypedNumber,
  expected: number,
): boolean {
  const { rounding } = assignment.policy
  if (agrees(step, answer, expected, rounding)) return true
  if (step.kind !== 'calculated') return false
  let [low, high] = [expected, expected]
  for (const key of step.needs) {
    const half = own.halfDigits[key]
    if (half === undefined) continue
    for (const moved of [own.values[key]! - half, own.values[key]! + half]) {
      const derivation = step.derive(task, { ...own.values, [key]: moved })
      if (!derivation.ok) continue
      low += Math.min(0, derivation.value - expected)
      high += Math.max(0, derivation.value - expected)
    }
  }
  const nearest = Math.min(high, Math.max(low, answer.value))
  return agrees(step, answer, nearest, rounding)
}

/** No protection where a rule asks for it, a fault that is not cleared, a device that cannot break the fault: engineering errors that end the argument. */
const CRITICAL_ERRORS: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'residualMissing',
  'residualTooLarge',
  'size_loop',
  'capacityTooSmall',
  'typeBlind',
])

function wrongFindings<T>(
  step: Step<T>,
  { critical: criticalSteps }: Assignment,
  acceptance: ReturnType<NonNullable<Step<T>['accept']>> | undefined,
  slip: Finding | undefined,
  regulation: string,
): Finding[] {
  const isMarked = criticalSteps.includes(step.key)
  const findings: Finding[] = []
  if (acceptance && !acceptance.accepted) {
    const { finding } = acceptance
    const isCritical = isMarked || CRITICAL_ERRORS.has(finding.code)
    findings.push({ ...finding, seriousness: isCritical ? 'critical' : 'fault', regulation })
  }
  if (slip) findings.push({ ...slip, regulation })
  if (findings.length === 0) findings.push(fault('notExplained', { symbol: step.symbol }, regulation))
  return isMarked && findings.every(({ seriousness }) => seriousness !== 'critical')
    ? [{ ...findings[0]!, seriousness: 'critical' }, ...findings.slice(1)]
    : findings
}
