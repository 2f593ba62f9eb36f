import { criteriaOf } from '#core/assessment/outcomes/framework'
import type { Exercise } from '#core/exercise/exercise'
import type { Stage } from '#core/exercise/attempt/stages'
import { questionsByMoment, type Knowing } from '#core/questions/choose'
import { countsAs, RECALL_OF } from '#core/questions/outcome'
import type { Question } from '#core/questions/question'
import type { Review } from '#core/questions/recall'
import type { Moment, Topic } from '#core/questions/topics'
import type { AskHead, RoundView } from '#schemas/question-views'
import { AskedSchema, type Asked, type RoundBody } from '#schemas/questions'
import { validate } from '#schemas/validate'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import type { AskedRow } from '../repos/questions'
import { allow, attemptSeen, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { bankOf } from './question-bank'
import { questionsAbout, whatIfAbout } from './question-material'

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
/** Nobody is asked again what they were asked within these hours. */
const JUST_ASKED_MS = 12 * 3_600_000
const MINUTE_MS = 60_000
/** Answers that say how somebody has done lately. */
const LATELY = 10

const before = (now: string, ms: number): string => new Date(Date.parse(now) - ms).toISOString()
const standing = (asked: readonly AskedRow[]): AskedRow[] => asked.filter(({ isUndone }) => !isUndone)

/** Everybody at work of the groups that somebody sees, by exercise and bay: who is asked next. */
export function listRounds(context: Context, actor: Person): AskHead[] {
  allow(actor, 'question.ask')
  const { repos } = context
  const atWork = repos.attempts
    .all()
    .filter(({ stage, cohort }) => stage !== 'released' && stage !== 'decided' && seesGroup(actor, cohort))
  const [counts, exercises] = [repos.questions.counts(), new Map<number, Exercise>()]
  return atWork.map((attempt) => {
    const exercise = exercises.get(attempt.exerciseId) ?? repos.exercises.byId(attempt.exerciseId)!.exercise
    exercises.set(attempt.exerciseId, exercise)
    return headOf(attempt, exercise, counts)
  })
}

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
  }
}

/** What to ask this person now, at each moment, and what has been asked at this job. */
export function showRound(context: Context, actor: Person, attemptId: number): RoundView {
  allow(actor, 'question.ask')
  const { repos } = context
  const attempt = attemptSeen(actor, repos.attempts.byId(attemptId))
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const bank = [...questionsAbout(context, attempt), ...bankOf(context)].filter(
    ({ edition }) => edition === null || edition === exercise.edition,
  )
  const group = repos.attempts
    .byExercise(attempt.exerciseId)
    .filter(({ cohort }) => cohort === attempt.cohort)
  const counts = repos.questions.counts()
  return {
    attempt: headOf(attempt, exercise, counts),
    offered: questionsByMoment(bank, standingOf(context, attempt, group), String(attempt.personId)),
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

/** What is known of somebody's answers, at the bay and in rehearsals. */
function standingOf({ repos, now }: Context, attempt: Attempt, group: readonly Attempt[]): Knowing {
  const own = standing(repos.questions.askedOf(attempt.personId))
  const reviews = new Map<string, Review[]>()
  for (const { code, askedAt, outcome } of own)
    reviews.set(code, [...(reviews.get(code) ?? []), { at: askedAt, recall: RECALL_OF[outcome] }])
  const last = own.slice(-LATELY)
  return {
    reviews,
    heard: heardBy({ repos, now }, attempt, group, own),
    open: openTopics({ repos }, attempt.personId),
    lately:
      last.length === 0 ? null : last.filter(({ outcome }) => outcome === 'unaided').length / last.length,
    now,
  }
}

/** Codes asked of this person just now, and of neighbours in earshot. */
function heardBy(
  { repos, now }: Pick<Context, 'repos' | 'now'>,
  attempt: Attempt,
  group: readonly Attempt[],
  own: readonly AskedRow[],
): Set<string> {
  const { earshotMinutes } = repos.centre.questions()
  const near = new Set(
    group
      .filter(({ bay, id }) => id !== attempt.id && Math.abs(bay - attempt.bay) <= 1)
      .map(({ personId }) => personId),
  )
  const since = before(now, earshotMinutes * MINUTE_MS)
  const beside = repos.questions
    .askedSince(attempt.cohort, since)
    .filter(({ personId }) => near.has(personId))
  const justNow = own.filter(({ askedAt }) => askedAt > before(now, JUST_ASKED_MS))
  return new Set([...beside, ...justNow].map(({ code }) => code))
}

/** Topics on which a criterion rests that this person has not answered often enough. */
function openTopics({ repos }: Pick<Context, 'repos'>, personId: number): Set<Topic> {
  const framework = repos.centre.framework()
  const met = repos.questions.occasionsOf(personId).filter((occasion) => occasion.met)
  const open = (framework ? criteriaOf(framework) : []).filter(
    ({ code, occasions }) =>
      new Set(met.filter(({ criterion }) => criterion === code).map((o) => o.exerciseCode)).size < occasions,
  )
  return new Set(
    open.flatMap(({ evidence }) =>
      evidence
        .filter((key) => key.startsWith('question.'))
        .map((key) => key.slice('question.'.length) as Topic),
    ),
  )
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
  const criteria = (framework ? criteriaOf(framework) : []).filter(({ evidence }) =>
    evidence.includes(`question.${asked.topic}`),
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
