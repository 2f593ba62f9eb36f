import type { DrawingCode } from '#core/questions/drawings'
import type { Expected, Question, QuestionKind, Verdict } from '#core/questions/question'

/** A question as it is typed: lists one on a line, figures as text. */
export interface QuestionForm {
  code: string
  kind: QuestionKind
  text: string
  plain: string
  model: string
  value: string
  unit: string
  within: string
  options: string
  drawing: DrawingCode
  spot: string
  verdict: Verdict
  also: string
  prompts: string
  follow: string
  topic: Question['topic']
  criteria: string[]
  /** Of a question that is not pointed at: empty for no picture. */
  picture: DrawingCode | ''
  part: string
  level: Question['level']
  source: string
  isKept: boolean
  isMyth: boolean
  /** What the form does not show stays as it was. */
  rest: Pick<Question, 'moments' | 'edition'>
}

export const blankQuestion = (): Question => ({
  code: '',
  text: '',
  plain: '',
  expected: { kind: 'spoken', model: '' },
  also: [],
  prompts: [],
  follow: '',
  topic: 'principles',
  level: 1,
  moments: [],
  edition: null,
  source: 'common practice',
  isKept: false,
  isMyth: false,
})

const RIGHT = '*'
const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)

function optionsOf(expected: Expected): string {
  if (expected.kind === 'order') return expected.items.join('\n')
  if (expected.kind !== 'choose') return ''
  return expected.options
    .map((option, i) => (expected.right.includes(i) ? `${RIGHT} ${option}` : option))
    .join('\n')
}

function modelOf(expected: Expected): string {
  if (expected.kind === 'spoken') return expected.model
  return expected.kind === 'verdict' ? expected.why : ''
}

export function formOfQuestion(question: Question): QuestionForm {
  const { expected, moments, edition, also, prompts, criteria = [], picture, ...same } = question
  const number = expected.kind === 'number' ? expected : { value: '', unit: '', within: 0 }
  const model = modelOf(expected)
  return {
    ...same,
    kind: expected.kind,
    criteria: [...criteria],
    picture: picture?.drawing ?? '',
    part: picture?.spot ?? '',
    model,
    value: String(number.value),
    unit: number.unit,
    within: String(number.within),
    options: optionsOf(expected),
    drawing: expected.kind === 'point' ? expected.drawing : 'intake',
    spot: expected.kind === 'point' ? expected.spot : '',
    verdict: expected.kind === 'verdict' ? expected.verdict : 'false',
    also: also.join('\n'),
    prompts: prompts.join('\n'),
    rest: { moments, edition },
  }
}

/** A comma is a decimal point here. What is no figure stays none, and is refused by name. */
const figure = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')))

function expectedOf(form: QuestionForm): Expected {
  switch (form.kind) {
    case 'spoken':
      return { kind: 'spoken', model: form.model.trim() }
    case 'number':
      return {
        kind: 'number',
        value: figure(form.value),
        unit: form.unit.trim(),
        within: figure(form.within || '0'),
      }
    case 'choose': {
      const all = lines(form.options)
      return {
        kind: 'choose',
        options: all.map((line) => (line.startsWith(RIGHT) ? line.slice(RIGHT.length).trim() : line)),
        right: all.flatMap((line, i) => (line.startsWith(RIGHT) ? [i] : [])),
      }
    }
    case 'order':
      return { kind: 'order', items: lines(form.options) }
    case 'point':
      return { kind: 'point', drawing: form.drawing, spot: form.spot }
    case 'verdict':
      return { kind: 'verdict', verdict: form.verdict, why: form.model.trim() }
  }
}

export const questionOfForm = (form: QuestionForm): Question => ({
  code: form.code.trim(),
  text: form.text.trim(),
  plain: form.plain.trim(),
  expected: expectedOf(form),
  also: lines(form.also),
  prompts: lines(form.prompts),
  follow: form.follow.trim(),
  topic: form.topic,
  ...(form.criteria.length > 0 ? { criteria: form.criteria } : {}),
  ...(form.picture && form.kind !== 'point' ? { picture: { drawing: form.picture, spot: form.part } } : {}),
  level: form.level,
  ...form.rest,
  source: form.source.trim(),
  isKept: form.isKept,
  isMyth: form.isMyth,
})
