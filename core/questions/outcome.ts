import type { QuestionPolicy } from '../policies/questions'
import type { Recall } from './recall'

/** How a question went at the bay. */
export const ASKED_OUTCOMES = ['unaided', 'prompted', 'notYet'] as const
export type AskedOutcome = (typeof ASKED_OUTCOMES)[number]

/** What it says about remembering. */
export const RECALL_OF: Readonly<Record<AskedOutcome, Recall>> = {
  unaided: 'good',
  prompted: 'helped',
  notYet: 'lost',
}

/** What it counts for on a criterion: met, not met, or noted and no occasion of either. */
export function countsAs(outcome: AskedOutcome, policy: QuestionPolicy): boolean | null {
  if (outcome === 'prompted') return policy.prompted === 'met' ? true : null
  return outcome === 'unaided'
}
