import { choicesOf, type Choice } from '../policies/choice'

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

const choice = choicesOf<IsolationPolicy>()

/** The first option of each is the default. */
export const ISOLATION_CHOICES: readonly Choice<IsolationPolicy>[] = [
  choice('proof', 'An indicator is proved on', [
    {
      value: 'either',
      name: 'a known live source or a proving unit',
      reason: 'Default: both show that it sees voltage.',
    },
    {
      value: 'known-source',
      name: 'a known live source',
      reason: 'The same voltage as the one that must not be there.',
    },
    { value: 'proving-unit', name: 'a proving unit', reason: 'Nobody needs to go near another live part.' },
  ]),
  choice('selfTest', 'Its own test button with a check of the leads', [
    {
      value: 'never',
      name: 'is not enough',
      reason: 'Default: it does not show that the indicator sees voltage.',
    },
    {
      value: 'first-weeks',
      name: 'is enough in the first weeks',
      reason: 'Only with the plug-in indicator, under direct supervision; the warning stays on the sheet.',
    },
  ]),
  choice('firstWeeks', 'In the first weeks learners use', [
    {
      value: 'plug-in',
      name: 'a plug-in indicator alone',
      reason: 'Default: nothing is probed while hands are unsure.',
    },
    {
      value: 'two-pole',
      name: 'the two-pole indicator from the start',
      reason: 'For centres with one assessor to each pair.',
    },
  ]),
  choice('method', 'One circuit is isolated by', [
    {
      value: 'breaker',
      name: 'its breaker, locked; the neutral is spoken of',
      reason: 'Default: what is done in service. The neutral stays connected to every other circuit.',
    },
    {
      value: 'breaker-and-conductors',
      name: 'its breaker, and line and neutral disconnected at the board',
      reason: 'Nothing of the circuit is connected any more.',
    },
    {
      value: 'main-switch',
      name: 'the whole board at its double-pole main switch',
      reason: 'Nothing is live behind the cover; everybody loses supply.',
    },
  ]),
  choice('pairs', 'A single-phase point is tested between', [
    {
      value: 'three',
      name: 'line–neutral, line–earth and neutral–earth',
      reason: 'Default: neutral to earth is what finds a borrowed neutral.',
    },
    {
      value: 'two',
      name: 'line–neutral and line–earth',
      reason: 'For sockets where the neutral cannot be opened.',
    },
  ]),
  choice('retest', 'Testing again at the terminals after opening is', [
    {
      value: 'second',
      name: 'required at the second level, advised before',
      reason: 'Default: early learners do not open live accessories at all.',
    },
    { value: 'everybody', name: 'required of everybody', reason: 'Two circuits may share a box.' },
  ]),
  choice('notice', 'The warning notice is', [
    { value: 'advised', name: 'advised', reason: 'Default: the lock is what protects.' },
    { value: 'required', name: 'required', reason: 'For sites with several trades.' },
  ]),
]

/** Pairs of conductors that prove a point dead: ten with three phases and neutral. */
export const pairsWanted = (phases: 1 | 3, policy: IsolationPolicy): number =>
  phases === 3 ? 10 : policy.pairs === 'three' ? 3 : 2
