import type { AskedOutcome } from '#core/questions/outcome'
import type { Finding } from '#core/findings/finding'
import { findingSentence, itemName, type ScopeNames } from './findings/findings'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import type { Marked, Override, Proposal } from '#core/assessment/marking/proposal'

interface FeedbackItem {
  readonly key: ItemKey
  readonly verdict: Marked['design' | 'readings' | 'work'][number]['verdict']
  readonly findings: readonly Finding[]
}

const itemsOf = ({ design, readings, work }: Marked): FeedbackItem[] => [
  ...design.map(({ node, ...mark }) => ({ key: `design.${node}` as ItemKey, ...mark })),
  ...readings.map(({ reading, ...mark }) => ({ key: `reading.${reading}` as ItemKey, ...mark })),
  ...work.map(({ group, ...mark }) => ({ key: `work.${group}` as ItemKey, ...mark })),
]

/**
 * Feedback put together from findings: what is sound, what to look at again, what comes next. For an assessor
 * to edit.
 */
export function composeFeedback(
  marked: Marked,
  overrides: readonly Override[],
  proposal: Proposal,
  scopes: ScopeNames = {},
): string {
  const nameOf = (key: ItemKey) => itemName(key, scopes)
  const setRight = new Set(overrides.filter(({ verdict }) => verdict === 'right').map(({ item }) => item))
  const items = itemsOf(marked)
  const due = (verdict: string) => items.filter((item) => item.verdict === verdict && !setRight.has(item.key))
  const [wrong, missing] = [due('wrong'), due('missing')]
  const carried = items
    .filter(({ verdict }) => verdict === 'carried')
    .map(({ key }) => lowerFirst(nameOf(key)))
  return [
    ...(wrong.length + missing.length === 0 ? [allHolds(marked)] : soundReasoning(carried)),
    ...wrong.map(({ key, findings }) => `${nameOf(key)}: ${wrongSentences(findings)}`),
    ...overriddenToWrong(overrides, wrong).map(({ item, reason }) => `${nameOf(item)}: ${reason}`),
    ...(missing.length > 0 ? [`Left empty: ${list(missing.map(({ key }) => nameOf(key)))}.`] : []),
    ...whatComesNext(proposal),
  ].join('\n\n')
}

const allHolds = ({ readings }: Marked): string =>
  readings.length > 0
    ? 'Every step and every reading holds. Your design and your readings agree with each other.'
    : 'Every step of your design holds.'

const soundReasoning = (carried: readonly string[]): string[] =>
  carried.length > 0
    ? [`Your reasoning is sound: ${carriedNames(carried)} correctly from your own earlier figure.`]
    : []

/** An override to wrong speaks for itself; a computed finding speaks through its sentence. */
const wrongSentences = (findings: readonly Finding[]): string =>
  findings
    .filter(({ seriousness }) => seriousness !== 'note')
    .map((finding) => findingSentence(finding))
    .join(' ')

const overriddenToWrong = (
  overrides: readonly Override[],
  wrong: readonly FeedbackItem[],
): readonly Override[] =>
  overrides.filter(({ item, verdict }) => verdict === 'wrong' && !wrong.some(({ key }) => key === item))

function whatComesNext({ criteria, critical }: Proposal): string[] {
  const open = criteria.filter(({ met }) => !met).map(({ code }) => code)
  return [
    ...(critical.length > 0
      ? ['The point above about safety comes first: put it right before anything else.']
      : []),
    ...(open.length > 0 ? [`Still to show: ${list(open)}.`] : []),
  ]
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)

const NAMED = 3

/** Names the first few and counts the rest, so that a long sheet stays a sentence. */
function carriedNames(names: readonly string[]): string {
  if (names.length === 1) return `${names[0]} follows`
  if (names.length <= NAMED + 1) return `${list(names)} follow`
  return `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more steps follow`
}

function list(parts: readonly string[]): string {
  return parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`
}

interface AskedAtBay {
  readonly wording: string
  readonly outcome: AskedOutcome
}

/** What the questions at the bay showed, and what to look at again; empty where nothing was asked. */
export function askedFeedback(asked: readonly AskedAtBay[]): string {
  if (asked.length === 0) return ''
  const count = (outcome: AskedOutcome) => asked.filter((one) => one.outcome === outcome).length
  const open = asked.filter(({ outcome }) => outcome === 'notYet').map(({ wording }) => `“${wording}”`)
  return [
    `Questions at the bay: ${count('unaided')} answered unaided, ${count('prompted')} with a prompt.`,
    ...(open.length > 0 ? [`Look at again: ${open.join(' ')}`] : []),
  ].join(' ')
}
