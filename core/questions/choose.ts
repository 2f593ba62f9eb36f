import { isDue, recallState, type Review } from './recall'
import type { Question } from './question'
import { MOMENTS, TOPICS_BY_MOMENT, type Moment, type Topic } from './topics'

/** What is known about somebody when the next questions are chosen for them. */
export interface Knowing {
  /** Answers at the bay by question, oldest first; rehearsals are their owner’s alone. */
  readonly reviews: ReadonlyMap<string, readonly Review[]>
  /** What was asked just now of them, or of a neighbour in earshot. */
  readonly heard: ReadonlySet<string>
  /** Topics whose criteria lack questioning evidence. */
  readonly open: ReadonlySet<Topic>
  /** Criteria that lack it, by code, for questions that name their own. */
  readonly openCriteria: ReadonlySet<string>
  /** Share answered unaided lately, 0 to 1; null while nothing is known. */
  readonly lately: number | null
  /** ISO 8601 UTC. */
  readonly now: string
}
export interface Standing extends Knowing {
  readonly moment: Moment
}

export const REASONS = ['ownError', 'due', 'whatIf', 'thisJob', 'criterion', 'moment'] as const
/** Why a question is offered: the strongest reason. */
export type Reason = (typeof REASONS)[number]

export interface Offered {
  readonly question: Question
  readonly reason: Reason
}

const WEIGHT = { ownError: 60, due: 45, criterion: 35, thisJob: 30, whatIf: 32 } as const
/** A topic that suits the moment; the first of its list most. */
const MOMENT_POINTS = 40
/** Each level away from what fits. */
const MISFIT_POINTS = 12
const MOST = 5
/** No more than so many for one reason. */
const MOST_ALIKE = 2

/** A level that is neither too easy nor out of reach. */
const fittingLevel = (lately: number | null): number => (lately === null ? 1.5 : 1 + 2 * lately)

function fitsMoment({ topic, moments }: Question, moment: Moment): number {
  if (moments.length > 0) return moments.includes(moment) ? MOMENT_POINTS : 0
  const place = TOPICS_BY_MOMENT[moment].indexOf(topic)
  return place < 0 ? 0 : MOMENT_POINTS * (1 - place / (TOPICS_BY_MOMENT[moment].length + 1))
}

/** What a question is worth to somebody, whatever the moment. */
interface Worth extends Offered {
  readonly points: number
}

/** Null where it is not to be asked: just heard, or known and not due. */
function worthOf(question: Question, at: Knowing, jitter: number): Worth | null {
  if (at.heard.has(question.code)) return null
  const reviews = at.reviews.get(question.code) ?? []
  const state = reviews.length > 0 ? recallState(reviews) : null
  if (state && !isDue(state, at.now)) return null
  const reasons = reasonsOf(question, at, reviews)
  const points =
    reasons.reduce((sum, reason) => sum + (reason === 'moment' ? 0 : WEIGHT[reason]), 0) -
    MISFIT_POINTS * Math.abs(question.level - fittingLevel(at.lately)) +
    jitter
  return { question, reason: reasons[0]!, points }
}

const OWN_ERROR = /^job-(slip|finding|breach|missed)-/
const isOwnError = (code: string): boolean => code.startsWith('job-') && OWN_ERROR.test(code)

const fillsGap = ({ topic, criteria }: Question, at: Knowing): boolean =>
  criteria ? criteria.some((code) => at.openCriteria.has(code)) : at.open.has(topic)

function reasonsOf(question: Question, at: Knowing, reviews: readonly Review[]): Reason[] {
  const { code } = question
  const isWeak = reviews.length > 0 && reviews.at(-1)!.recall !== 'good'
  return [
    ...(isOwnError(code) ? (['ownError'] as const) : []),
    ...(isWeak ? (['due'] as const) : []),
    ...(code.startsWith('job-if-') ? (['whatIf'] as const) : []),
    ...(code.startsWith('job-') ? (['thisJob'] as const) : []),
    ...(fillsGap(question, at) ? (['criterion'] as const) : []),
    'moment',
  ]
}

/** A figure from 0 to 1 that is the same for the same words: neighbours get different questions of equal worth. */
function hashOf(text: string): number {
  let hash = 2166136261
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619)
  return (hash >>> 0) / 2 ** 32
}

/**
 * Three to five questions for somebody at this moment: what they got wrong first, then what is due again, what a
 * criterion lacks, what is about this very job. Never what was just asked of them or beside them. `salt` makes
 * equals fall differently for each person.
 */
export const questionsNow = (bank: readonly Question[], at: Standing, salt: string): Offered[] =>
  chosenAt(
    worthwhile(
      bank.filter((question) => fitsMoment(question, at.moment) > 0),
      at,
      salt,
    ),
    at.moment,
  )

/** The same at every moment, each question weighed once. */
export function questionsByMoment(
  bank: readonly Question[],
  at: Knowing,
  salt: string,
): Record<Moment, readonly Offered[]> {
  const worth = worthwhile(bank, at, salt)
  const offered = {} as Record<Moment, readonly Offered[]>
  for (const moment of MOMENTS) offered[moment] = chosenAt(worth, moment)
  return offered
}

const worthwhile = (bank: readonly Question[], at: Knowing, salt: string): Worth[] =>
  bank.flatMap((question) => worthOf(question, at, 8 * hashOf(`${salt} ${question.code}`)) ?? [])

function chosenAt(worth: readonly Worth[], moment: Moment): Offered[] {
  const weighed = worth
    .flatMap(({ question, reason, points }): Worth[] => {
      const fits = fitsMoment(question, moment)
      return fits === 0 ? [] : [{ question, reason, points: points + fits }]
    })
    .sort((a, b) => b.points - a.points || (a.question.code < b.question.code ? -1 : 1))
  const chosen: Worth[] = []
  const counts = new Map<string, number>()
  for (const candidate of weighed) {
    if (chosen.length === MOST) break
    const key = candidate.reason === 'moment' ? candidate.question.topic : candidate.reason
    const count = counts.get(key) ?? 0
    if (count >= MOST_ALIKE) continue
    chosen.push(candidate)
    counts.set(key, count + 1)
  }
  return chosen.map(({ question, reason }) => ({ question, reason }))
}
