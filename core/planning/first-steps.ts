/** What a new centre does before its first lesson, in order. */
export const FIRST_STEPS = ['framework', 'staff', 'apprentices', 'instruments', 'exercise', 'set'] as const
export type FirstStep = (typeof FIRST_STEPS)[number]

/** How much of each there is. */
export interface CentreFacts {
  /** Frameworks that somebody has put in force; the one that a centre begins with is nobody's. */
  readonly frameworks: number
  readonly instructors: number
  readonly apprentices: number
  readonly instruments: number
  readonly exercises: number
  /** Exercises that somebody has. */
  readonly given: number
}

export interface FirstStepState {
  readonly step: FirstStep
  readonly isDone: boolean
  /** A lesson can begin without it. */
  readonly isOptional: boolean
}

const COUNTED: Readonly<Record<FirstStep, keyof CentreFacts>> = {
  framework: 'frameworks',
  staff: 'instructors',
  apprentices: 'apprentices',
  instruments: 'instruments',
  exercise: 'exercises',
  set: 'given',
}
const OPTIONAL: ReadonlySet<FirstStep> = new Set(['framework', 'instruments'])

/** Each step, and whether it is done. */
export const firstSteps = (facts: CentreFacts): FirstStepState[] =>
  FIRST_STEPS.map((step) => ({ step, isDone: facts[COUNTED[step]] > 0, isOptional: OPTIONAL.has(step) }))

/** Nothing is left that a lesson needs. */
export const isReady = (steps: readonly FirstStepState[]): boolean =>
  steps.every(({ isDone, isOptional }) => isDone || isOptional)
