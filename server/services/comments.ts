import { stepOf } from '#core/design/model/step-keys'
import type { MarkingView } from '#schemas/marking-views'
import type { Person } from '../repos/people'
import type { Context } from './context'

/** Sentences of the assessor's own are offered again next time; those taken from the bank move up. */
export function learnComments(
  { repos, now }: Context,
  actor: Person,
  view: MarkingView,
  feedback: string,
): void {
  const suggested = new Set(paragraphs(view.suggestedFeedback))
  const wrong = view.marked.design.find(({ verdict }) => verdict === 'wrong')
  for (const text of paragraphs(feedback)) {
    if (text.length <= LONGEST_COMMENT && !suggested.has(text))
      repos.comments.use(text, wrong ? stepOf(wrong.node) : null, actor.id, now)
  }
}

const LONGEST_COMMENT = 400
const paragraphs = (text: string): string[] =>
  text
    .split(/\n\s*\n/)
    .map((paragraph) => paragraph.trim())
    .filter(Boolean)
