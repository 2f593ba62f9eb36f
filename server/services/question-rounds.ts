import { setTimeout } from 'node:timers/promises'
import { criteriaOf } from '#core/assessment/outcomes/framework'
import type { Exercise } from '#core/exercise/exercise'
import type { Stage } from '#core/exercise/attempt/stages'
import { questionsByMoment, questionsNow } from '#core/questions/choose'
import { countsAs } from '#core/questions/outcome'
import type { Question } from '#core/questions/question'
import type { Moment } from '#core/questions/topics'
import type { AskHead, AskList, RoundView } from '#schemas/question-views'
import { AskedSchema, type Asked, type RoundBody } from '#schemas/questions'
import { validate } from '#schemas/validate'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, attemptSeen, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { groupsOf } from './kept-marks'
import { bookOf } from '#core/regulations/book/book'
import { asInBook, bankOf, questionOf } from './question-bank'
import { knownQuestions, questionsAbout, readyQuestions, whatIfAbout } from './question-material'
import { answersOf, answersOfGroup, knowingOf } from './question-standing'

/** What the hands are doing at a stage. */
const MOMENT_OF: Readonly<Record<Stage, Moment>> = {
  design: 'design',
  dead: 'dead',
  permission: 'energise',
  live: 'live',
  handedIn: 'live',
  decided: 'fault',
  released: 'fault',
}
/** So long a list waits for questions about their own jobs, ms; for the rest those that are there are taken. */
const MAKING_MS = 20
/** So many stand on one page without a group being chosen. */
const MOST_AT_ONCE = 60
/** Who is looked at: everybody of one group who is at work, or of all where they are few. */
export function groupLooked({ repos }: Context, actor: Person, wanted: string | null = null) {
  const atWork = repos.attempts.groupsAtWork().filter(({ cohort }) => seesGroup(actor, cohort))
  const cohorts = [...new Set(atWork.map(({ cohort }) => cohort))]
  const isFew = atWork.reduce((sum, { n }) => sum + n, 0) <= MOST_AT_ONCE
  const usual = isFew ? '' : (cohorts[0] ?? '')
  const cohort = wanted !== null && cohorts.includes(wanted) ? wanted : usual
  const attempts = repos.attempts.atWork(cohort || null).filter((attempt) => seesGroup(actor, attempt.cohort))
  return { cohorts: isFew && cohorts.length > 1 ? ['', ...cohorts] : cohorts, cohort, attempts }
}

/** By exercise and bay, and what to ask each of them first; about their own jobs as soon as it has been made. */
export async function listRounds(
  context: Context,
  actor: Person,
  wanted: string | null = null,
): Promise<AskList> {
  allow(actor, 'question.ask')
  const looked = groupLooked(context, actor, wanted)
  // What takes longer goes on for the next look, which also tries again what went wrong.
  const making = readyQuestions(context, looked.attempts).catch(() => undefined)
  await Promise.race([making, setTimeout(MAKING_MS)])
  return roundsAsMade(context, looked)
}

/** With the questions that have been made by now. */
export function roundsAsMade(
  context: Context,
  { cohorts, cohort, attempts }: ReturnType<typeof groupLooked>,
): AskList {
  const { repos, now } = context
  const counts = repos.questions.counts(attempts.map(({ id }) => id))
  const bank = bankOf(context)
  const groups = new Set(attempts.map((attempt) => attempt.cohort))
  const answers = new Map([...groups].map((one) => [one, answersOfGroup(context, one)]))
  const exerciseOf = repos.exercises.lookup()
  const heads = [...groupsOf(attempts)].flatMap((group) => {
    const { exercise } = exerciseOf(group[0]!.exerciseId)
    const general = inEdition(bank, exercise)
    return group.map((attempt) => {
      const known = knowingOf(attempt, group, answers.get(attempt.cohort)!, now)
      const about = inEdition(knownQuestions(context, attempt) ?? [], exercise)
      const [first] = questionsNow(
        [...about, ...general],
        { ...known, moment: MOMENT_OF[attempt.stage] },
        String(attempt.personId),
      )
      return { ...headOf(attempt, exercise, counts), next: first?.question.text ?? '' }
    })
  })
  return { cohorts, cohort, heads }
}

const inEdition = (
  questions: readonly Question[],
  { edition, book }: Pick<Exercise, 'edition' | 'book'>,
): Question[] =>
  asInBook(
    questions.filter((question) => question.edition === null || question.edition === edition),
    bookOf(edition, book),
  )

function headOf(
  attempt: Attempt,
  exercise: Pick<Exercise, 'code' | 'title'>,
  counts: ReadonlyMap<number, number>,
): AskHead {
  return {
    id: attempt.id,
    name: attempt.personName,
    bay: attempt.bay,
    cohort: attempt.cohort,
    code: exercise.code,
    title: exercise.title,
    stage: attempt.stage,
    asked: counts.get(attempt.id) ?? 0,
    moment: MOMENT_OF[attempt.stage],
    next: '',
  }
}

/** What to ask this person now, at each moment, and what has been asked at this job. */
export function showRound(context: Context, actor: Person, attemptId: number): RoundView {
  allow(actor, 'question.ask')
  const { repos, now } = context
  const attempt = attemptSeen(actor, repos.attempts.byId(attemptId))
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const bank = inEdition([...questionsAbout(context, attempt), ...bankOf(context)], exercise)
  const group = repos.attempts.ofGroup(attempt.exerciseId, attempt.cohort)
  const counts = repos.questions.counts(group.map(({ id }) => id))
  const known = knowingOf(attempt, group, answersOf(context, attempt), now)
  return {
    attempt: headOf(attempt, exercise, counts),
    offered: questionsByMoment(bank, known, String(attempt.personId)),
    others: group.filter(({ id }) => id !== attemptId).map((other) => headOf(other, exercise, counts)),
    policy: repos.centre.questions(),
    ...typedOf(context, attemptId),
  }
}

/** What would happen if, at this bay; computed away from everybody else. */
export async function showWhatIf(
  context: Context,
  actor: Person,
  attemptId: number,
): Promise<readonly Question[]> {
  allow(actor, 'question.ask')
  const attempt = attemptSeen(actor, context.repos.attempts.byId(attemptId))
  return attempt.stage === 'design' ? [] : whatIfAbout(context, attempt)
}

/** What was asked at this job, as the fields of its document. */
function typedOf({ repos }: Pick<Context, 'repos'>, attemptId: number) {
  const asked = repos.questions.askedOn(attemptId)
  const fields = asked.flatMap(
    ({ token, code, wording, topic, outcome, prompt, remark, askedAt, isUndone }) => [
      [`ask.${token}`, JSON.stringify({ code, wording, topic, outcome, prompt, remark, askedAt })],
      ...(isUndone ? [[`undo.${token}`, 'undone']] : []),
    ],
  )
  const undone = asked.filter(({ isUndone }) => isUndone).length
  return {
    fields: Object.fromEntries(fields) as Readonly<Record<string, string>>,
    version: 1 + asked.length + undone,
    savedAt: asked.at(-1)?.askedAt ?? null,
  }
}

/**
 * Puts down what was asked: each token once, however often it is sent and by whomever. Nothing is overwritten; a
 * tap that was a mistake is taken back with a trace.
 */
export function saveRound(
  context: Context,
  actor: Person,
  attemptId: number,
  { fields }: RoundBody,
): { readonly version: number; readonly savedAt: string } {
  allow(actor, 'question.ask')
  const { repos, now } = context
  const sent = Object.entries(fields).flatMap(([name, text]) =>
    name.startsWith('ask.') && text !== ''
      ? [[name.slice('ask.'.length), readAsked(name, text)] as const]
      : [],
  )
  return repos.transaction(() => {
    const attempt = attemptSeen(actor, repos.attempts.byId(attemptId))
    const known = new Set(repos.questions.askedOn(attemptId).map(({ token }) => token))
    for (const [token, asked] of sent) if (!known.has(token)) putDown(context, actor, attempt, token, asked)
    const here = new Set(repos.questions.askedOn(attemptId).map(({ token }) => token))
    for (const [name, text] of Object.entries(fields)) {
      const token = name.slice('undo.'.length)
      if (name.startsWith('undo.') && text !== '' && here.has(token))
        repos.questions.undo(token, actor.id, now)
    }
    return { version: typedOf(context, attemptId).version, savedAt: now }
  })
}

function readAsked(field: string, text: string): Asked {
  const parsed = validate(AskedSchema, parseOrNull(text))
  if (!parsed.ok)
    throw new Problem('bodyNotRight', { fields: parsed.problems.map((problem) => ({ ...problem, field })) })
  return parsed.value
}
function parseOrNull(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

function putDown(context: Context, actor: Person, attempt: Attempt, token: string, asked: Asked): void {
  const { repos, now } = context
  if (repos.questions.isKnown(token)) return
  const framework = repos.centre.framework()
  const met = countsAs(asked.outcome, repos.centre.questions())
  const named = questionOf(context, asked.code)?.criteria
  const criteria = (framework ? criteriaOf(framework) : []).filter(({ code, evidence }) =>
    named ? named.includes(code) : evidence.includes(`question.${asked.topic}`),
  )
  repos.questions.add({
    ...asked,
    // A device's clock may run ahead; nothing was asked later than now.
    askedAt: asked.askedAt > now ? now : asked.askedAt,
    token,
    personId: attempt.personId,
    attemptId: attempt.id,
    byId: actor.id,
    receivedAt: now,
    criteria: met === null ? [] : criteria.map(({ code }) => ({ code, met })),
  })
}
