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
  /** How a dead test between line and neutral alone is taken. */
  readonly singlePair: 'critical' | 'fault'
  /** How looking the indicator over, GS 38 and its proof date, is taken. */
  readonly lookOver: 'unasked' | 'advised' | 'required'
  /** Coming back to a bay that was left. */
  readonly onReturn: 'prove-again' | 'lock-holds'
  /** When a permit is handed back. */
  readonly permitReturn: 'before' | 'after'
}

export const DEFAULT_ISOLATION: IsolationPolicy = {
  proof: 'either',
  selfTest: 'never',
  firstWeeks: 'plug-in',
  method: 'breaker',
  pairs: 'three',
  retest: 'second',
  notice: 'advised',
  singlePair: 'critical',
  lookOver: 'advised',
  onReturn: 'prove-again',
  permitReturn: 'before',
}

/** A stored policy with what was in force before its newer choices were there. */
export const upgradeIsolationPolicy = (stored: Partial<IsolationPolicy>): IsolationPolicy => ({
  ...DEFAULT_ISOLATION,
  singlePair: 'fault',
  permitReturn: 'after',
  lookOver: 'unasked',
  onReturn: 'lock-holds',
  ...stored,
})

/** Pairs of conductors that prove a point dead: ten with three phases and neutral. */
export function pairsWanted(phases: 1 | 3, policy: IsolationPolicy): number {
  if (phases === 3) return 10
  return policy.pairs === 'three' ? 3 : 2
}
