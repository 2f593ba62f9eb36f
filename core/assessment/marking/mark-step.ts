import type { BoardTask } from '../../design/board/board-task'
import type { WorkedStep } from '../../design/reference'
import type { Step, Worked } from '../../design/model/step'
import { nodeKey, type NodeKey, type StepKey } from '../../design/model/step-keys'
import type { Task } from '../../design/model/task'
import type { FindingCode } from '../../findings/codes'
import { fault, note, type Finding } from '../../findings/finding'
import { sourceLine } from '../../regulations/source'
import { readAnswer } from './answer'
import type { MarkingPlace } from './own-figures'
import { maximumMark } from './rubric'
import { likelySlip } from './slips'
import { agrees, type TypedNumber } from './tolerance'

/** `carried`: wrong against the worked design, right from the person's own earlier figures. */
export type StepVerdict = 'right' | 'carried' | 'wrong' | 'missing'

export interface StepMark {
  readonly node: NodeKey
  /** The circuit or board. */
  readonly scope: string
  readonly step: StepKey
  readonly verdict: StepVerdict
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

/**
 * Marks one answer: by the worked design, by the person's own figures, by what else is sound, else with the
 * likely slip.
 */
export function markStep<T extends Task | BoardTask>(
  step: Step<T>,
  place: MarkingPlace<T>,
  worked: WorkedStep,
  typed: string,
): StepMark {
  const { task, ownFigures } = place
  const parsed = readAnswer(step.key, typed)
  if (!parsed.ok) {
    const findings = parsed.problem === 'empty' ? [] : [fault(`unreadable.${parsed.problem}`)]
    return stepMark({ step, place, worked, typed }, { verdict: 'missing', findings, share: 0 })
  }
  const derived = ownFigures.hasDeparted ? step.derive(task, ownFigures.values) : worked
  if (step.kind === 'calculated') ownFigures.halfDigits[step.key] = parsed.halfDigit
  const judged = { step, place, worked, typed, answer: parsed, ownWorked: derived.ok ? derived : undefined }
  return stepMark(judged, verdictOf(judged))
}

interface Answered<T extends Task | BoardTask> {
  readonly step: Step<T>
  readonly place: MarkingPlace<T>
  readonly worked: WorkedStep
  readonly typed: string
  readonly answer?: TypedNumber
  /** The same step from their own figures; undefined where these stop it. */
  readonly ownWorked?: Worked
}

interface Judgement {
  readonly verdict: StepVerdict
  readonly findings: readonly Finding[]
  /** Of the step's mark, 0 to 1. */
  readonly share: number
}

/** Their own figures lead elsewhere than the worked design. */
function carriedOn<T extends Task | BoardTask>({
  step,
  place,
  worked,
  ownWorked,
}: Answered<T>): Worked | undefined {
  if (!ownWorked || ownWorked === worked) return undefined
  const entered = { value: ownWorked.value, significant: 6 }
  return agrees(step, entered, worked.value, place.assignment.policy.rounding) ? undefined : ownWorked
}

function verdictOf<T extends Task | BoardTask>(answered: Answered<T>): Judgement {
  const { step, place, worked, ownWorked } = answered
  const answer = answered.answer!
  const { rounding, followShare } = place.assignment.policy
  const carried = carriedOn(answered)
  // A right value that cannot come from the figures above it deserves a question, not a lost mark.
  if (agrees(step, answer, worked.value, rounding))
    return {
      verdict: 'right',
      findings: carried ? [note('doesNotFollow', { own: carried.value })] : [],
      share: 1,
    }
  if (ownWorked && followsFrom(step, place, answer, ownWorked.value))
    return { verdict: 'carried', findings: [], share: followShare }
  const acceptance = step.accept?.(place.task, place.ownFigures.values, answer.value)
  if (acceptance?.accepted)
    return {
      verdict: carried ? 'carried' : 'right',
      findings: acceptance.note ? [note(acceptance.note)] : [],
      share: carried ? followShare : 1,
    }
  const slip = likelySlip(answer.value, {
    step,
    task: place.task,
    expected: ownWorked?.value ?? worked.value,
    values: place.ownFigures.values,
  })
  return { verdict: 'wrong', findings: wrongFindings(answered, acceptance, slip), share: 0 }
}

/** One shape for every mark: a pile of sheets holds thousands. */
function stepMark<T extends Task | BoardTask>(
  answered: Answered<T>,
  { verdict, findings, share }: Judgement,
): StepMark {
  const { step, place, worked, typed, answer } = answered
  const { scope, assignment } = place
  const carried = answer && carriedOn(answered)
  const outOf = maximumMark(step.key, assignment)
  return {
    node: nodeKey(scope, step.key),
    scope,
    step: step.key,
    verdict,
    typed,
    value: answer?.value,
    reference: worked.value,
    own: carried?.value,
    formula: worked.formula,
    working: (verdict === 'right' ? undefined : carried?.working) ?? worked.working,
    source: sourceLine(worked.source, assignment.edition),
    findings,
    mark: outOf * share,
    outOf,
  }
}

/**
 * Does the answer follow from their own figures? They may have gone on with more digits than they wrote down, so a
 * calculated step is compared with everything that the unwritten digits allow.
 */
function followsFrom<T extends Task | BoardTask>(
  step: Step<T>,
  { task, ownFigures, assignment }: MarkingPlace<T>,
  answer: TypedNumber,
  expected: number,
): boolean {
  const { rounding } = assignment.policy
  if (agrees(step, answer, expected, rounding)) return true
  if (step.kind !== 'calculated') return false
  let [low, high] = [expected, expected]
  for (const key of step.needs) {
    const half = ownFigures.halfDigits[key]
    if (half === undefined) continue
    for (const moved of [ownFigures.values[key]! - half, ownFigures.values[key]! + half]) {
      const derivation = step.derive(task, { ...ownFigures.values, [key]: moved })
      if (!derivation.ok) continue
      low += Math.min(0, derivation.value - expected)
      high += Math.max(0, derivation.value - expected)
    }
  }
  const nearest = Math.min(high, Math.max(low, answer.value))
  return agrees(step, answer, nearest, rounding)
}

/**
 * No protection where a rule asks for it, a fault that is not cleared, a device that cannot break the fault:
 * engineering errors that end the argument.
 */
const CRITICAL_ERRORS: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'residualMissing',
  'residualTooLarge',
  'size_loop',
  'capacityTooSmall',
  'typeBlind',
])

function wrongFindings<T extends Task | BoardTask>(
  { step, place: { assignment }, worked }: Answered<T>,
  acceptance: ReturnType<NonNullable<Step<T>['accept']>> | undefined,
  slip: Finding | undefined,
): Finding[] {
  const regulation = sourceLine(worked.source, assignment.edition)
  const isMarked = assignment.critical.includes(step.key)
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
