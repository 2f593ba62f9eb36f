import { CHAIN } from '../design/chain'
import { referenceDesign } from '../design/reference'
import type { Derivation, Step, StepKey, StepValues } from '../design/step'
import type { Task } from '../exercise/task'
import { sourceLine } from '../regulations/source'
import { readAnswer, type Answers } from './answer'
import { critical, fault, note, type Finding } from '../findings/finding'
import { maximumMark } from './rubric'
import { likelySlip } from './slips'
import { agrees, type TypedNumber } from './tolerance'

/** `carried`: wrong against the worked design, right from the person's own earlier figures. */
export type Verdict = 'right' | 'carried' | 'wrong' | 'missing'

export interface StepMark {
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

/** What somebody wrote so far, SI, and how far rounding may have moved each calculated value. */
interface OwnFigures {
  readonly values: Partial<Record<StepKey, number>>
  readonly halfDigits: Partial<Record<StepKey, number>>
}

/**
 * Marks a design with follow-through: a wrong value is carried on, and each later step is judged by what follows from
 * it. Throws when the task has no worked design, since such a task can never be set.
 */
export function markDesign(task: Task, answers: Answers): StepMark[] {
  const reference = referenceDesign(task)
  if (!reference.ok) throw new Error(`Task has no worked design: ${reference.constraint.code} at ${reference.at}`)
  const own: OwnFigures = { values: {}, halfDigits: {} }
  return CHAIN.map((step, i) => {
    const mark = markStep(step, task, answers[step.key] ?? '', reference.steps[i]!, reference.values, own)
    // What they wrote is what they went on with; the worked value stands in only where nothing could be read.
    own.values[step.key] = mark.value ?? reference.values[step.key]
    return mark
  })
}

function markStep(
  step: Step, task: Task, typed: string, worked: Extract<Derivation, { ok: true }>, referenceValues: StepValues, own: OwnFigures,
): StepMark {
  const outOf = maximumMark(step.key)
  const base = {
    step: step.key, typed, reference: worked.value, formula: worked.formula, working: worked.working, source: sourceLine(worked.source), outOf,
  }
  const parsed = readAnswer(step.key, typed)
  if (!parsed.ok) {
    const findings = parsed.problem === 'empty' ? [] : [fault(`unreadable.${parsed.problem}`)]
    return { ...base, verdict: 'missing', findings, mark: 0 }
  }
  const answer: TypedNumber = parsed
  if (step.kind === 'calculated') own.halfDigits[step.key] = parsed.halfDigit
  const departs = step.needs.some((key) => own.values[key] !== referenceValues[key])
  const derived = departs ? step.derive(task, own.values) : worked
  const ownWorked = derived.ok ? derived : undefined
  const carriesOn = ownWorked !== undefined && !agrees(step, { value: ownWorked.value, significant: 6 }, worked.value)
  const shown = carriesOn ? { ...base, value: parsed.value, own: ownWorked.value, working: ownWorked.working } : { ...base, value: parsed.value }

  if (agrees(step, answer, worked.value)) {
    // A right value that cannot come from the figures above it deserves a question, not a lost mark.
    const findings = carriesOn ? [note('doesNotFollow', { own: ownWorked.value })] : []
    return { ...shown, working: base.working, verdict: 'right', findings, mark: outOf }
  }
  if (ownWorked && followsFrom(step, task, answer, ownWorked.value, own)) return { ...shown, verdict: 'carried', findings: [], mark: outOf }

  const acceptance = step.accept?.(task, own.values, parsed.value)
  if (acceptance?.accepted) {
    const findings = acceptance.note ? [note(acceptance.note)] : []
    return { ...shown, verdict: carriesOn ? 'carried' : 'right', findings, mark: outOf }
  }
  const slip = likelySlip(parsed.value, { step, task, expected: ownWorked?.value ?? worked.value, values: own.values })
  return { ...shown, verdict: 'wrong', findings: wrongFindings(step, acceptance, slip, base.source), mark: 0 }
}

/**
 * Does the answer follow from their own figures? They may have gone on with more digits than they wrote down, so a
 * calculated step is compared with everything that the unwritten digits allow.
 */
function followsFrom(step: Step, task: Task, answer: TypedNumber, expected: number, own: OwnFigures): boolean {
  if (agrees(step, answer, expected)) return true
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
  return agrees(step, answer, nearest)
}

/** Leaving out or over-rating a residual device that a rule asks for is critical; every other wrong step is a fault. */
function wrongFindings(step: Step, acceptance: ReturnType<NonNullable<Step['accept']>> | undefined, slip: Finding | undefined, regulation: string): Finding[] {
  const findings: Finding[] = []
  if (acceptance && !acceptance.accepted) {
    const isCritical = acceptance.why === 'residualMissing' || acceptance.why === 'residualTooLarge'
    findings.push((isCritical ? critical : fault)(acceptance.why, acceptance.params, regulation))
  }
  if (slip) findings.push({ ...slip, regulation })
  if (findings.length === 0) findings.push(fault('notExplained', { symbol: step.symbol }, regulation))
  return findings
}
