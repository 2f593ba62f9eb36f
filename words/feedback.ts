import { findingSentence, itemName, type ScopeNames } from './findings/findings'
import type { ItemKey } from '#core/assessment/outcomes/framework'
import type { Marked, Override, Proposal } from '#core/assessment/marking/proposal'

/** Feedback put together from findings: what is sound, what to look at again, what comes next. For an assessor to edit. */
export function composeFeedback(
  marked: Marked,
  overrides: readonly Override[],
  proposal: Proposal,
  scopes: ScopeNames = {},
): string {
  const nameOf = (key: ItemKey) => itemName(key, scopes)
  const setRight = new Set(overrides.filter((o) => o.verdict === 'right').map((o) => o.item))
  const items = [
    ...marked.design.map((mark) => ({
      key: `design.${mark.node}` as ItemKey,
      verdict: mark.verdict,
      findings: mark.findings,
    })),
    ...marked.readings.map((mark) => ({
      key: `reading.${mark.reading}` as ItemKey,
      verdict: mark.verdict,
      findings: mark.findings,
    })),
    ...marked.work.map((mark) => ({
      key: `work.${mark.group}` as ItemKey,
      verdict: mark.verdict,
      findings: mark.findings,
    })),
  ]
  const wrong = items.filter((item) => item.verdict === 'wrong' && !setRight.has(item.key))
  const missing = items.filter((item) => item.verdict === 'missing' && !setRight.has(item.key))
  const carried = items.filter((item) => item.verdict === 'carried')
  const paragraphs: string[] = []
  if (wrong.length + missing.length === 0)
    paragraphs.push(
      marked.readings.length > 0
        ? 'Every step and every reading holds. Your design and your readings agree with each other.'
        : 'Every step of your design holds.',
    )
  else if (carried.length > 0) {
    paragraphs.push(
      `Your reasoning is sound: ${carriedNames(carried.map((item) => lowerFirst(nameOf(item.key))))} correctly from your own earlier figure.`,
    )
  }
  for (const item of wrong) {
    // An override to wrong speaks for itself; a computed finding speaks through its sentence.
    const sentences = item.findings
      .filter((finding) => finding.seriousness !== 'note')
      .map((finding) => findingSentence(finding))
    paragraphs.push(`${nameOf(item.key)}: ${sentences.join(' ')}`)
  }
  for (const { item, verdict, reason } of overrides) {
    if (verdict === 'wrong' && !wrong.some((other) => other.key === item))
      paragraphs.push(`${nameOf(item)}: ${reason}`)
  }
  if (missing.length > 0) paragraphs.push(`Left empty: ${list(missing.map((item) => nameOf(item.key)))}.`)
  const open = proposal.criteria.filter((criterion) => !criterion.met).map((criterion) => criterion.code)
  if (proposal.critical.length > 0)
    paragraphs.push('The point above about safety comes first: put it right before anything else.')
  if (open.length > 0) paragraphs.push(`Still to show: ${list(open)}.`)
  return paragraphs.join('\n\n')
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
