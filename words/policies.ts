import type { IsolationPolicy } from '#core/policies/isolation'
import { DEFAULT_POLICY, type Policy } from '#core/policies/policy'

/**
 * One question of a policy of type P on which schools differ, with the answers a centre chooses between; the
 * default says why.
 */
export interface Choice<P, K extends keyof P = keyof P> {
  readonly key: K
  readonly name: string
  readonly options: readonly {
    readonly value: NonNullable<P[K]>
    readonly name: string
    readonly reason: string
  }[]
}

/** Makes the questions of one policy. */
export const choicesOf =
  <P>() =>
  <K extends keyof P>(key: K, name: string, options: Choice<P, K>['options']): Choice<P, K> => ({
    key,
    name,
    options,
  })

const text = choicesOf<Policy>()

/** The schools that a centre chooses between, with the reason for the default. */
export const POLICY_TEXTS = [
  text('measuredZs', 'A measured Zs is compared with', [
    {
      value: 'eighty-percent',
      name: '80 % of maximum permitted Zs',
      reason: 'Default: quick at the bay, and on the safe side at usual temperatures.',
    },
    {
      value: 'corrected',
      name: 'Ze + (maximum permitted Zs − Ze) ÷ temperature multiplier',
      reason: 'Only the installation’s own conductors warm up; gives more room where Ze is high.',
    },
  ]),
  text('warmDrop', 'Voltage drop is calculated', [
    {
      value: 'tabulated',
      name: 'at the table’s full conductor temperature',
      reason: 'Default: as tables are taught first, and never too low.',
    },
    {
      value: 'corrected',
      name: 'with the correction Ct for a cooler conductor',
      reason: 'For level 3: a lightly loaded cable drops less.',
    },
  ]),
  text('followShare', 'Right from their own earlier figure earns', [
    {
      value: 1,
      name: 'the full mark',
      reason: 'Default: the reasoning is what is assessed, and the slip has cost its mark already.',
    },
    { value: 0.5, name: 'half the mark', reason: 'For centres that want the final figure to count.' },
    { value: 0, name: 'no mark', reason: 'Strict: only the reference answer counts.' },
  ]),
  text('rounding', 'Rounding between steps may move a value by', [
    { value: 0.02, name: '2 %', reason: 'Default: two or three digits carried from step to step.' },
    { value: 0.01, name: '1 %', reason: 'For centres that ask for three digits throughout.' },
    { value: 0.05, name: '5 %', reason: 'For first designs by hand.' },
  ]),
  text('library', 'The reference library beside a worksheet is', [
    { value: 'open', name: 'open', reason: 'Default: looking up is part of the trade.' },
    {
      value: 'closed',
      name: 'closed until the design is handed in',
      reason: 'For an assessment with the centre’s own printed tables.',
    },
  ]),
  text('residualTests', 'A schedule asks of an RCD', [
    {
      value: 'edition',
      name: 'what the edition asks: since 2022 at IΔn alone',
      reason: 'Default: 643.8 of the edition that the exercise is worked to.',
    },
    {
      value: 'all',
      name: 'half, once and five times IΔn, in every edition',
      reason: 'For centres that teach the older practice beside the present one.',
    },
  ]),
  text('doubling', 'A single conductor in a terminal is', [
    {
      value: 'either',
      name: 'taken as it is, if it holds',
      reason: 'Default: schools differ, and a terminal that is made for one conductor holds it.',
    },
    { value: 'doubled', name: 'doubled over', reason: 'For centres whose terminals are wide.' },
    {
      value: 'single',
      name: 'left single',
      reason: 'Where the maker says so; doubling can damage a small terminal.',
    },
  ]),
  text('dressing', 'Tidiness in the board is', [
    {
      value: 'noted',
      name: 'noted, not marked',
      reason: 'Default: time at the bay is short, and contact comes first.',
    },
    {
      value: 'marked',
      name: 'an item of the inspection',
      reason: 'For centres that teach dressing as part of the trade.',
    },
  ]),
] as const

/** The policy in force, in the words of its options. */
export const policyWords = (policy: Policy): string[] =>
  POLICY_TEXTS.map(
    ({ key, name, options }) =>
      `${name.charAt(0).toLowerCase()}${name.slice(1)} ${(options as readonly { value: unknown; name: string }[]).find(({ value }) => value === (policy[key] ?? DEFAULT_POLICY[key]))?.name ?? String(policy[key])}`,
  )

/* Safe isolation */

const choice = choicesOf<IsolationPolicy>()

/** The first option of each is the default. */
export const ISOLATION_CHOICES: readonly Choice<IsolationPolicy>[] = [
  choice('lookOver', 'Looking the indicator over', [
    {
      value: 'advised',
      name: 'is advised',
      reason: 'Default: leads, tips, GS 38, proof date. Forgotten, it is remarked.',
    },
    {
      value: 'unasked',
      name: 'is left to the assessor',
      reason: 'For centres that check their indicators at the store.',
    },
    { value: 'required', name: 'is required', reason: 'A damaged lead hurts before anything is proved.' },
  ]),
  choice('onReturn', 'Who leaves the bay and comes back', [
    {
      value: 'prove-again',
      name: 'proves dead again before going on',
      reason: 'Default: nobody saw what happened meanwhile.',
    },
    {
      value: 'lock-holds',
      name: 'goes on where the own lock is still on',
      reason: 'The lock and its only key are what the isolation rests on.',
    },
  ]),
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
      name: 'its breaker, locked; the neutral is considered',
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
  choice('notice', 'The caution notice is', [
    { value: 'advised', name: 'advised', reason: 'Default: the lock is what protects.' },
    { value: 'required', name: 'required', reason: 'For sites with several trades.' },
  ]),
  choice('singlePair', 'A dead test between line and neutral alone is', [
    {
      value: 'critical',
      name: 'a critical breach',
      reason: 'Default: a borrowed neutral, an open neutral or a second supply shows only against earth.',
    },
    {
      value: 'fault',
      name: 'not enough, and put right',
      reason: 'For boards where a double-pole device opens the neutral and nothing else supplies the point.',
    },
  ]),
  choice('permitReturn', 'A permit to work is handed back', [
    {
      value: 'before',
      name: 'before the supply is put back',
      reason: 'Default: as long as somebody holds it, the supply stays off.',
    },
    {
      value: 'after',
      name: 'once the supply is back and the function checked',
      reason: 'Where the permit covers the testing under supply as well.',
    },
  ]),
]
