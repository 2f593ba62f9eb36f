import { judgeAnswer, type Rating } from '#core/questions/judge'
import type { Expected, Question } from '#core/questions/question'
import { isDue, recallState, type Recall, type Review } from '#core/questions/recall'
import { TOPICS, type Topic } from '#core/questions/topics'
import { answerWords, whyWords } from '#words/questions/labels'
import type { RehearsalAnswer, RehearsalQuestion, RehearsalView } from '#schemas/question-views'
import type { RehearsalBody } from '#schemas/questions'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { bookOf } from '#core/regulations/book/book'
import { PRESENT_EDITION } from '#core/regulations/editions'
import { changesInForce } from './book-in-force'
import { asInBook, bankOf } from './question-bank'
import { questionsAbout, readyQuestions } from './question-material'

const RECALL: Readonly<Record<Rating, Recall>> = { right: 'good', half: 'helped', wrong: 'lost' }
/** Wanted instead of one topic. */
export type Wanted = Topic | 'myths' | 'job' | 'all'

/** The answers of a design are told when it has been handed in, and readings when they have been decided. */
const decidedJobs = ({ repos }: Context, actor: Person): Attempt[] =>
  repos.attempts.byPerson(actor.id).filter(({ stage }) => stage === 'decided' || stage === 'released')

/** Has the questions about somebody's own jobs made, before they are asked for together. */
export const readyRehearsal = (context: Context, actor: Person): Promise<void> =>
  readyQuestions(context, decidedJobs(context, actor))

/** Everything that this person may rehearse: the bank without what is kept for assessment, and their own jobs. */
function questionsFor(context: Context, actor: Person): Question[] {
  const jobs = decidedJobs(context, actor).flatMap((attempt) => questionsAbout(context, attempt))
  const book = bookOf(PRESENT_EDITION, changesInForce(context))
  return [
    ...asInBook(
      bankOf(context).filter(({ isKept }) => !isKept),
      book,
    ),
    ...jobs,
  ]
}

function reviewsOf({ repos }: Context, actor: Person): Map<string, Review[]> {
  const reviews = new Map<string, Review[]>()
  for (const { code, rating, at } of repos.questions.rehearsedBy(actor.id))
    reviews.set(code, [...(reviews.get(code) ?? []), { at, recall: RECALL[rating] }])
  return reviews
}

function isWanted({ code, topic, isMyth }: Question, wanted: Wanted): boolean {
  if (wanted === 'all') return true
  if (wanted === 'myths') return isMyth
  return wanted === 'job' ? code.startsWith('job-') : topic === wanted
}

/** What is due, and the next question: what is forgotten soonest, then something new. */
export function showRehearsal(context: Context, actor: Person, wanted: Wanted): RehearsalView {
  allow(actor, 'question.rehearse')
  const { now } = context
  const all = questionsFor(context, actor)
  const reviews = reviewsOf(context, actor)
  const states = new Map(all.map(({ code }) => [code, recallState(reviews.get(code) ?? [])]))
  const seen = all.filter(({ code }) => states.get(code))
  const due = seen.filter(({ code }) => isDue(states.get(code)!, now))
  const pool = all.filter((question) => isWanted(question, wanted))
  const soonest = pool
    .filter(({ code }) => due.some((question) => question.code === code))
    .sort((a, b) => (states.get(a.code)!.dueAt < states.get(b.code)!.dueAt ? -1 : 1))
  const fresh = pool.filter(({ code }) => !states.get(code)).sort((a, b) => a.level - b.level)
  const next = soonest[0] ?? fresh[reviews.size % Math.max(1, Math.min(5, fresh.length))]
  return {
    due: due.length,
    known: seen.length - due.length,
    new: all.length - seen.length,
    question: next ? withoutAnswer(next, actor.id) : null,
    topics: TOPICS.map((topic) => ({
      topic,
      questions: all.filter((question) => question.topic === topic).length,
      due: due.filter((question) => question.topic === topic).length,
    })),
  }
}

/** The question without what would tell the answer. */
function withoutAnswer(
  { code, text, plain, topic, level, prompts, expected, picture }: Question,
  seed: number,
): RehearsalQuestion {
  return {
    code,
    kind: expected.kind,
    text,
    plain,
    topic,
    level,
    prompts: prompts.length,
    choices: choicesOf(expected, `${seed} ${code}`),
    picture: picture ?? null,
    drawing: expected.kind === 'point' ? expected.drawing : null,
  }
}

const choicesOf = (expected: Expected, seed: string): readonly string[] => {
  if (expected.kind === 'choose') return expected.options
  return expected.kind === 'order' ? shuffled(expected.items, seed) : []
}

/** The same order for the same person and question, and never the right one. */
function shuffled(items: readonly string[], seed: string): readonly string[] {
  const keyed = items
    .map((item, i) => ({ item, key: hash(`${seed} ${i} ${item}`) }))
    .sort((a, b) => a.key - b.key)
  const mixed = keyed.map(({ item }) => item)
  return mixed.every((item, i) => item === items[i]) ? [...mixed.slice(1), mixed[0]!] : mixed
}
const hash = (text: string): number =>
  [...text].reduce((sum, letter) => Math.imul(sum ^ letter.codePointAt(0)!, 16777619) >>> 0, 2166136261)

function rehearsed(context: Context, actor: Person, code: string): Question {
  const question = questionsFor(context, actor).find((candidate) => candidate.code === code)
  if (!question) throw new Problem('notFound')
  return question
}

/** One prompt, as an assessor would give it. */
export function promptOf(
  context: Context,
  actor: Person,
  code: string,
  i: number,
): { readonly prompt: string } {
  allow(actor, 'question.rehearse')
  const prompt = rehearsed(context, actor, code).prompts[i]
  if (prompt === undefined) throw new Problem('notFound')
  return { prompt }
}

/**
 * Judges an answer and tells the model answer. A spoken one is compared by its owner: the model answer comes first,
 * and how it went is sent after it.
 */
export function answerRehearsal(
  context: Context,
  actor: Person,
  { code, given }: RehearsalBody,
): RehearsalAnswer {
  allow(actor, 'question.rehearse')
  const { repos, now } = context
  const { expected, also, source } = rehearsed(context, actor, code)
  const isToCompare = expected.kind === 'spoken' && given.kind !== 'compared'
  const judged = judgeAnswer(
    expected,
    expected.kind !== 'spoken' && given.kind === 'compared' ? { kind: 'text', text: '' } : given,
  )
  if (!isToCompare) repos.questions.rehearse(actor.id, code, judged.is, now)
  const state = isToCompare ? null : recallState(reviewsOf(context, actor).get(code) ?? [])
  return {
    is: judged.is,
    why: judged.why ? whyWords(judged.why) : '',
    model: answerWords(expected),
    also,
    source,
    dueAt: state?.dueAt ?? null,
  }
}
