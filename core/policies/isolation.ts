export const LEVELS = ['first-weeks', 'first', 'second'] as const
/** How far the learner is. */
export type Level = (typeof LEVELS)[number]

/** Where schools of safe isolation differ. A centre chooses; an assessment keeps what was in force. */
export interface IsolationPolicy {
  readonly proof: 'either' | 'known-source' | 'proving-unit'
  readonly selfTest: 'never' | 'first-weeks'
  readonly firstWeeks: 'plug-in' | 'two-pole'
  readonly method: 'breaker' | 'breaker-and-conductors' | 'main-switch'
  readonly pairs: 'three' | 'two'
  readonly retest: 'second' | 'everybody'
  readonly notice: 'advised' | 'required'
}

export const DEFAULT_ISOLATION: IsolationPolicy = {
  proof: 'either',
  selfTest: 'never',
  firstWeeks: 'plug-in',
  method: 'breaker',
  pairs: 'three',
  retest: 'second',
  notice: 'advised',
}

/** Pairs of conductors that prove a point dead: ten with three phases and neutral. */
export function pairsWanted(phases: 1 | 3, policy: IsolationPolicy): number {
  if (phases === 3) return 10
  return policy.pairs === 'three' ? 3 : 2
}
