import { assignmentOf, designOf } from '../exercise/assignment'
import type { Exercise } from '../exercise/exercise'
import { makeVariants, type Variant } from '../exercise/variants'
import { STEP_KEYS, type StepKey } from '../design/model/step-keys'
import { provokedBy, type Provoked } from './marking/slips/provoke'

/** A short task that provokes one slip: an exercise cut down to the step at which it shows. */
export interface Starter {
  readonly exercise: Exercise
  readonly at: Provoked
  /** Variants in which the slip shows. */
  readonly variants: readonly Variant[]
}

/** So many minutes, and so many tasks to choose from. */
export const STARTER_MINUTES = 10
export const STARTER_VARIANTS = 10

/** Steps that lead to one, itself last: at most so many, so that it stays ten minutes. */
const MOST_STEPS = 3

function stepsTo(step: StepKey, asked: readonly StepKey[]): StepKey[] {
  const before = STEP_KEYS.slice(0, STEP_KEYS.indexOf(step)).filter((key) => asked.includes(key))
  return [...before.slice(1 - MOST_STEPS), step]
}

/**
 * A starter out of an exercise: the circuit and step at which the slip shows most, asked alone with the steps just
 * before
 * it, without a bay. Null where the slip would not show in this exercise, or no ten variants of it can be found.
 */
export function starterOf(exercise: Exercise, slip: string, code: string): Starter | null {
  const design = designOf(assignmentOf(exercise))
  const [at] = provokedBy(design, slip).sort(
    (a, b) => Math.abs(Math.log(b.slip / b.right)) - Math.abs(Math.log(a.slip / a.right)),
  )
  if (!at) return null
  const short: Exercise = {
    ...exercise,
    code,
    title: `Starter: ${exercise.title}`,
    kind: 'new-circuit',
    minutes: STARTER_MINUTES,
    tests: null,
    asks: { circuits: [at.circuit], steps: stepsTo(at.step, exercise.asks.steps) },
    marks: {},
    critical: [],
    variants: { ...exercise.variants, lengthSpread: 0.25, loadSpread: 0.2 },
  }
  const made = makeVariants(short, STARTER_VARIANTS)
  if (!made.ok) return null
  const variants = made.variants.filter(({ installation }) =>
    provokedBy(designOf(assignmentOf(short, installation)), slip).some(
      ({ circuit, step }) => circuit === at.circuit && step === at.step,
    ),
  )
  return variants.length === STARTER_VARIANTS ? { exercise: short, at, variants } : null
}
