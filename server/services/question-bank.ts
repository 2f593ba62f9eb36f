import { isDeepStrictEqual } from 'node:util'
import type { BankRead } from '#schemas/question-file'
import type { BankView, ImportReport } from '#schemas/question-views'
import type { QuestionBody, QuestionFileBody } from '#schemas/questions'
import { criteriaOf, type Framework } from '#core/assessment/outcomes/framework'
import type { QuestionPolicy } from '#core/policies/questions'
import { spotsOf } from '#core/questions/drawings'
import { questionProblems, type Question } from '#core/questions/question'
import { SHIPPED_QUESTIONS } from '#words/questions/bank/index'
import { QUESTION_PROBLEM_TEXT } from '#words/questions/labels'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { heavy } from '../heavy/pool'
import { refuseUnseen, seenOf } from './seen'
import type { Book } from '#core/regulations/book/book'
import { questionIn } from '#words/questions/book-cells'

type Repos = Pick<Context, 'repos'>
const keyOf = (code: string): string => code.toLowerCase()
const SHIPPED = new Map(SHIPPED_QUESTIONS.map((question) => [keyOf(question.code), question]))

/** Every question that may be asked: the product's, with the centre's own in their place or beside them. */
export function bankOf({ repos }: Repos): Question[] {
  const own = repos.questions.all()
  const replaced = new Set(own.map(({ question }) => keyOf(question.code)))
  return [
    ...SHIPPED_QUESTIONS.filter(({ code }) => !replaced.has(keyOf(code))),
    ...own.filter(({ isRetired }) => !isRetired).map(({ question }) => question),
  ]
}

/** Questions as a book has them: the product's own take its values, the centre's own stay as written. */
export const asInBook = (questions: readonly Question[], book: Book): Question[] =>
  book.changed.size === 0
    ? [...questions]
    : questions.map((question) =>
        SHIPPED.get(keyOf(question.code)) === question ? questionIn(question, book) : question,
      )

/** One question of the bank as it stands now, asked or not; undefined for what a job or an assessor made. */
export const questionOf = ({ repos }: Repos, code: string): Question | undefined =>
  repos.questions.byCode(code)?.question ?? SHIPPED.get(keyOf(code))

export function showBank({ repos }: Context, actor: Person): BankView {
  allow(actor, 'question.see')
  const own = new Map(repos.questions.all().map((stored) => [keyOf(stored.question.code), stored]))
  const shipped = SHIPPED_QUESTIONS.filter(({ code }) => !own.has(keyOf(code)))
  const policy = repos.centre.questions()
  return {
    items: [
      ...[...own.values()].map(({ question, version, isRetired }) => ({ question, version, isRetired })),
      ...shipped.map((question) => ({ question, version: null, isRetired: false })),
    ],
    policy,
    criteria: criteriaNames(repos.centre.framework()),
    seen: seenOf(policy),
  }
}

const criteriaNames = (framework: Framework | undefined): BankView['criteria'] =>
  (framework ? criteriaOf(framework) : []).map(({ code, text }) => ({ code, text }))

/** Refuses what could not be asked, in words. */
function checkQuestion(question: Question): void {
  const spots = question.expected.kind === 'point' ? spotsOf(question.expected.drawing) : []
  const problems = questionProblems(question, spots)
  if (problems.length > 0)
    throw new Problem('questionNotRight', {
      fields: problems.map((code) => ({ field: question.code, message: QUESTION_PROBLEM_TEXT[code] })),
    })
}

/** Adds a question, or saves one; a code that is taken by another is refused. */
export function saveQuestion(context: Context, actor: Person, body: QuestionBody): BankView {
  allow(actor, 'question.change')
  const { repos, now } = context
  checkQuestion(body.question)
  repos.transaction(() => {
    const stored = repos.questions.byCode(body.question.code)
    if (!stored) {
      if (body.version !== null) throw new Problem('notFound')
      repos.questions.insert(body.question, actor.id, now)
      if (body.isRetired) repos.questions.save(body.question, 1, true, actor.id, now)
    } else {
      if (body.version === null) throw new Problem('questionKnown')
      if (!repos.questions.save(body.question, body.version, body.isRetired, actor.id, now))
        throw new Problem('stale', { extra: { theirs: stored } })
    }
    repos.audit.add(now, actor.id, 'questionSaved', body.question.code)
  })
  return showBank(context, actor)
}

/** The bank as a file; a package of hundreds of questions is put together away from the server's thread. */
export async function exportBank(context: Context, actor: Person, as: 'json' | 'qti') {
  allow(actor, 'question.see')
  const file = await heavy(context, 'writeBank', bankOf(context), as)
  // What comes from another thread is plain bytes.
  return { ...file, content: Buffer.from(file.content) }
}

/**
 * Takes a file in: what is right is added or replaces its like, what is not is named, and the rest goes on. It is read
 * away from the server's thread; what is there already is looked up when it is written.
 */
export async function importBank(
  context: Context,
  actor: Person,
  file: QuestionFileBody,
): Promise<ImportReport> {
  allow(actor, 'question.change')
  const read = await heavy(context, 'readBank', file)
  if (!read.ok)
    throw new Problem('questionFileWrong', { fields: [{ field: file.name, message: read.reason }] })
  return takeIn(context, actor, read)
}

function takeIn(
  context: Context,
  actor: Person,
  read: Extract<BankRead, { readonly ok: true }>,
): ImportReport {
  const { repos, now } = context
  const left = [...read.left]
  let [added, replaced] = [0, 0]
  repos.transaction(() => {
    const seen = new Set<string>()
    for (const question of read.questions) {
      const spots = question.expected.kind === 'point' ? spotsOf(question.expected.drawing) : []
      const problems = questionProblems(question, spots)
      if (problems.length > 0)
        left.push(`${question.code}: ${problems.map((code) => QUESTION_PROBLEM_TEXT[code]).join('; ')}`)
      else if (seen.has(keyOf(question.code)))
        left.push(`${question.code}: the file has this code twice; the first was taken`)
      else {
        seen.add(keyOf(question.code))
        const stored = repos.questions.byCode(question.code)
        const present = stored?.isRetired
          ? undefined
          : (stored?.question ?? SHIPPED.get(keyOf(question.code)))
        if (isDeepStrictEqual(present, question)) continue
        if (!stored) repos.questions.insert(question, actor.id, now)
        else repos.questions.save(question, stored.version, false, actor.id, now)
        if (stored || SHIPPED.has(keyOf(question.code))) replaced += 1
        else added += 1
      }
    }
    repos.audit.add(
      now,
      actor.id,
      'questionsImported',
      `${added} new, ${replaced} replaced, ${left.length} left`,
    )
  })
  return { added, replaced, left }
}

export function setQuestionPolicy(
  context: Context,
  actor: Person,
  policy: QuestionPolicy,
  seen?: string,
): BankView {
  allow(actor, 'question.change')
  const { repos, now } = context
  repos.transaction(() => {
    const before = repos.centre.questions()
    refuseUnseen(seen, seenOf(before), () => showBank(context, actor))
    for (const key of Object.keys(before) as (keyof QuestionPolicy)[]) {
      if (policy[key] === before[key]) continue
      repos.centre.setQuestions(key, String(policy[key]), actor.id, now)
      repos.audit.add(now, actor.id, 'policySet', `question.${key} = ${policy[key]}`)
    }
  })
  return showBank(context, actor)
}
