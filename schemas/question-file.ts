import type { Question } from '#core/questions/question'
import { QuestionBankSchema, QuestionSchema, type QuestionBank, type QuestionFileBody } from './questions'
import { readQti } from './qti/read'
import { writeQti } from './qti/write'
import { validate } from './validate'

export type BankRead =
  | { readonly ok: true; readonly questions: readonly Question[]; readonly left: readonly string[] }
  | { readonly ok: false; readonly reason: string }

/** A bank as a file: our JSON, or a QTI 3 package. */
export const writeBank = (questions: readonly Question[], as: 'json' | 'qti') =>
  as === 'qti'
    ? { name: 'questions-qti.zip', type: 'application/zip', content: Buffer.from(writeQti(questions)) }
    : {
        name: 'questions.json',
        type: 'application/json',
        content: Buffer.from(
          `${JSON.stringify({ format: 'nakshi.questions', version: 1, questions }, null, 2)}\n`,
        ),
      }

/** Reads a file of either kind; a question that is not right is named, and the rest goes on. */
export function readBank({ content }: QuestionFileBody): BankRead {
  const bytes = Buffer.from(content, 'base64')
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b
  if (!isZip) return readJson(bytes.toString('utf8'))
  const read = readQti(bytes)
  if (!read)
    return {
      ok: false,
      reason: 'this is no QTI 3 package: its manifest could not be read, or it is too large',
    }
  const checked = read.questions.map((question) => ({ question, problems: problemsOf(question) }))
  return {
    ok: true,
    questions: checked.filter(({ problems }) => problems === '').map(({ question }) => question),
    left: [
      ...read.left,
      ...checked.flatMap(({ question, problems }) => (problems ? [`${question.code}: ${problems}`] : [])),
    ],
  }
}

function problemsOf(question: unknown): string {
  const checked = validate(QuestionSchema, question)
  return checked.ok ? '' : checked.problems.map(({ field, message }) => `${field} ${message}`).join('; ')
}

function readJson(text: string): BankRead {
  const bank = parse(text)
  if (!bank) return { ok: false, reason: 'this is neither a question bank in JSON nor a QTI package' }
  if (bank.format !== 'nakshi.questions' || !Array.isArray(bank.questions))
    return {
      ok: false,
      reason: `this JSON is no question bank; it should begin with “format”: “${QuestionBankSchema.properties.format.const}”`,
    }
  const checked = bank.questions.map((question, i) => ({ question, i, problems: problemsOf(question) }))
  return {
    ok: true,
    questions: checked.filter(({ problems }) => problems === '').map(({ question }) => question as Question),
    left: checked.flatMap(({ question, i, problems }) =>
      problems ? [`${(question as Partial<Question>)?.code ?? `question ${i + 1}`}: ${problems}`] : [],
    ),
  }
}

function parse(text: string): Partial<QuestionBank> | undefined {
  try {
    const value: unknown = JSON.parse(text.replace(/^\uFEFF/, ''))
    return typeof value === 'object' && value !== null ? (value as Partial<QuestionBank>) : undefined
  } catch {
    return undefined
  }
}
