import { itemStatistics } from '#core/questions/statistics'
import { changeOf, type Share } from '#core/statistics/proportions'
import type { AskedOutcome } from '#core/questions/outcome'
import type { Topic } from '#core/questions/topics'
import type { GroupQuestionsQuery } from '#schemas/questions'
import type { AskedView, QuestionsOfGroup } from '#schemas/question-views'
import type { Person } from '../repos/people'
import type { AskedRow } from '../repos/questions'
import { allow, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** An answer with a prompt is half of one without. */
const SCORE: Readonly<Record<AskedOutcome, number>> = { unaided: 1, prompted: 0.5, notYet: 0 }

/** Which questions fail in a group, and whether that changes with the months. */
export function questionsOfGroup(
  { repos }: Context,
  actor: Person,
  { cohort, taughtOn }: GroupQuestionsQuery,
): QuestionsOfGroup {
  allow(actor, 'question.see')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const asked = repos.questions.askedOfCohort(cohort).filter(({ isUndone }) => !isUndone)
  const byCode = new Map<string, AskedRow[]>()
  for (const row of asked) byCode.set(row.code, [...(byCode.get(row.code) ?? []), row])
  const statistics = itemStatistics(
    asked.map(({ personId, code, outcome }) => ({ person: personId, code, score: SCORE[outcome] })),
  )
  return {
    cohort,
    items: statistics.map((item) => {
      const rows = byCode.get(item.code)!
      const last = rows.at(-1)!
      return { ...item, text: last.wording, topic: last.topic as Topic, counts: countsOf(rows) }
    }),
    months: monthsOf(asked),
    changes: taughtOn ? changesOf(asked, taughtOn) : [],
  }
}

const countsOf = (rows: readonly AskedRow[]): Record<AskedOutcome, number> => {
  const counts = { unaided: 0, prompted: 0, notYet: 0 }
  for (const { outcome } of rows) counts[outcome] += 1
  return counts
}

function monthsOf(asked: readonly AskedRow[]): QuestionsOfGroup['months'] {
  const groups = new Map<string, AskedRow[]>()
  for (const row of asked) {
    const key = `${row.topic} ${row.askedAt.slice(0, 7)}`
    groups.set(key, [...(groups.get(key) ?? []), row])
  }
  return [...groups.values()]
    .map((rows) => ({
      topic: rows[0]!.topic as Topic,
      month: rows[0]!.askedAt.slice(0, 7),
      answers: rows.length,
      unaided: countsOf(rows).unaided / rows.length,
    }))
    .sort((a, b) => (a.month < b.month ? -1 : 1))
}

/** The share answered unaided before a day and from it on, by topic. */
function changesOf(asked: readonly AskedRow[], day: string): QuestionsOfGroup['changes'] {
  const topics = [...new Set(asked.map(({ topic }) => topic))].sort()
  const share = (rows: readonly AskedRow[]): Share => ({ hits: countsOf(rows).unaided, of: rows.length })
  return topics.map((topic) => {
    const rows = asked.filter((row) => row.topic === topic)
    const before = rows.filter(({ askedAt }) => askedAt.slice(0, 10) < day)
    const after = rows.filter(({ askedAt }) => askedAt.slice(0, 10) >= day)
    return { topic: topic as Topic, change: changeOf(share(before), share(after)) }
  })
}

/** What was asked, for a record; with what was taken back. */
export const askedViews = (rows: readonly AskedRow[]): AskedView[] =>
  rows.map(({ token, wording, topic, outcome, prompt, remark, by, askedAt, isUndone }) => ({
    token,
    wording,
    topic,
    outcome,
    prompt,
    remark,
    by,
    askedAt,
    isUndone,
  }))
