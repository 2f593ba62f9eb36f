import { criteriaOf } from '#core/assessment/outcomes/framework'
import type { Knowing } from '#core/questions/choose'
import { RECALL_OF } from '#core/questions/outcome'
import type { Review } from '#core/questions/recall'
import type { Topic } from '#core/questions/topics'
import type { Attempt } from '../repos/attempts'
import type { PersonOccasion } from '../repos/decisions'
import type { AnswerRow } from '../repos/questions'
import type { Context } from './context'

/** Nobody is asked again what they were asked within these hours. */
const JUST_ASKED_MS = 12 * 3_600_000
const MINUTE_MS = 60_000
/** Answers that say how somebody has done lately. */
const LATELY = 10
/** Bays so near hear each other. */
const EARSHOT_BAYS = 1

type Repos = Pick<Context, 'repos'>
const before = (now: string, ms: number): string => new Date(Date.parse(now) - ms).toISOString()

/** A criterion that rests on questions. */
interface AskedCriterion {
  readonly code: string
  readonly occasions: number
  readonly topics: readonly Topic[]
}
const criteriaAsked = ({ repos }: Repos): AskedCriterion[] => {
  const framework = repos.centre.framework()
  return (framework ? criteriaOf(framework) : []).flatMap(({ code, occasions, evidence }) => {
    const topics = evidence
      .filter((key) => key.startsWith('question.'))
      .map((key) => key.slice('question.'.length) as Topic)
    return topics.length > 0 ? [{ code, occasions, topics }] : []
  })
}

/** What people have answered, read once for one of them or for a group. */
export interface Answers {
  readonly asked: ReadonlyMap<number, readonly AnswerRow[]>
  readonly occasions: ReadonlyMap<number, readonly PersonOccasion[]>
  /** Asked so lately that neighbours have heard it. */
  readonly heard: readonly { readonly personId: number; readonly code: string }[]
  readonly criteria: readonly AskedCriterion[]
}

const byPerson = <T extends { readonly personId: number }>(rows: readonly T[]): Map<number, T[]> => {
  const groups = new Map<number, T[]>()
  for (const row of rows) {
    const group = groups.get(row.personId)
    if (group) group.push(row)
    else groups.set(row.personId, [row])
  }
  return groups
}
const heardIn = ({ repos, now }: Context, cohort: string) =>
  repos.questions.askedSince(cohort, before(now, repos.centre.questions().earshotMinutes * MINUTE_MS))

export const answersOf = (context: Context, { personId, cohort }: Attempt): Answers => ({
  asked: byPerson(context.repos.questions.answersOf(personId)),
  occasions: byPerson(context.repos.questions.occasionsOf(personId)),
  heard: heardIn(context, cohort),
  criteria: criteriaAsked(context),
})
export const answersOfGroup = (context: Context, cohort: string): Answers => ({
  asked: byPerson(context.repos.questions.answersOfCohort(cohort)),
  occasions: byPerson(context.repos.questions.occasionsOfCohort(cohort)),
  heard: heardIn(context, cohort),
  criteria: criteriaAsked(context),
})

/** What is known of somebody at a bay when questions are chosen for them; `group` are those at the same exercise. */
export function knowingOf(
  attempt: Attempt,
  group: readonly Attempt[],
  answers: Answers,
  now: string,
): Knowing {
  const own = answers.asked.get(attempt.personId) ?? []
  const reviews = new Map<string, Review[]>()
  for (const { code, askedAt, outcome } of own) {
    const review = { at: askedAt, recall: RECALL_OF[outcome] }
    const known = reviews.get(code)
    if (known) known.push(review)
    else reviews.set(code, [review])
  }
  const last = own.slice(-LATELY)
  const unaided = last.filter(({ outcome }) => outcome === 'unaided').length
  return {
    reviews,
    heard: heardBy(attempt, group, answers, before(now, JUST_ASKED_MS)),
    ...openOf(answers.criteria, answers.occasions.get(attempt.personId) ?? []),
    lately: last.length === 0 ? null : unaided / last.length,
    now,
  }
}

/** Codes asked of this person just now, and of neighbours in earshot. */
function heardBy(attempt: Attempt, group: readonly Attempt[], answers: Answers, since: string): Set<string> {
  const near = new Set(
    group
      .filter(({ bay, id }) => id !== attempt.id && Math.abs(bay - attempt.bay) <= EARSHOT_BAYS)
      .map(({ personId }) => personId),
  )
  const own = (answers.asked.get(attempt.personId) ?? []).filter(({ askedAt }) => askedAt > since)
  const beside = answers.heard.filter(({ personId }) => near.has(personId))
  return new Set([...beside, ...own].map(({ code }) => code))
}

/** Criteria that rest on questions and that this person has not answered often enough, and their topics. */
function openOf(
  criteria: readonly AskedCriterion[],
  occasions: readonly PersonOccasion[],
): Pick<Knowing, 'open' | 'openCriteria'> {
  const met = new Map<string, Set<string>>()
  for (const { criterion, met: isMet, exerciseCode } of occasions)
    if (isMet) met.set(criterion, (met.get(criterion) ?? new Set()).add(exerciseCode))
  const open = criteria.filter(({ code, occasions: wanted }) => (met.get(code)?.size ?? 0) < wanted)
  return {
    open: new Set(open.flatMap(({ topics }) => topics)),
    openCriteria: new Set(open.map(({ code }) => code)),
  }
}
