import { choicesOf } from '#core/policies/choice'
import { DEFAULT_POLICY, type Policy } from '#core/policies/policy'

const text = choicesOf<Policy>()

/** The schools that a centre chooses between, with the reason for the default. */
export const POLICY_TEXTS = [
  text('measuredZs', 'A measured Zs is held against', [
    {
      value: 'eighty-percent',
      name: '80 % of the table value',
      reason: 'Default: quick at the bay, and on the safe side at usual temperatures.',
    },
    {
      value: 'corrected',
      name: 'Ze + (table value − Ze) ÷ hot multiplier',
      reason: 'Only the installation’s own conductors warm up; gives more room where Ze is high.',
    },
  ]),
  text('warmDrop', 'Voltage drop is worked', [
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
    { value: 0, name: 'no mark', reason: 'Strict: only the worked value counts.' },
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
  text('residualTests', 'A schedule asks of a residual device', [
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
