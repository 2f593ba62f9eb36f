/* A question as it is typed: nothing is lost on the way into the boxes and back, and what is no figure stays none. */
import { describe, expect, it } from 'vitest'
import type { Question } from '#core/questions/question'
import { QuestionSchema } from '#schemas/questions'
import { validate } from '#schemas/validate'
import { SHIPPED_QUESTIONS } from '#words/questions/bank'
import { blankQuestion, formOfQuestion, questionOfForm } from '../../app/utils/question-form'

const typed = (question: Question, parts: Partial<ReturnType<typeof formOfQuestion>>): Question =>
  questionOfForm({ ...formOfQuestion(question), ...parts })

/** Which choices are right is a set. */
const inOrder = (question: Question): Question => {
  const { expected } = question
  if (expected.kind !== 'choose') return question
  return { ...question, expected: { ...expected, right: [...expected.right].sort((a, b) => a - b) } }
}

describe('a question in its form', () => {
  it('comes back as it was, every one of the bank', () => {
    for (const question of SHIPPED_QUESTIONS)
      expect(inOrder(questionOfForm(formOfQuestion(question))), question.code).toEqual(inOrder(question))
  })
  it('of every kind is in the bank, so that each kind of box has been through it', () => {
    expect(new Set(SHIPPED_QUESTIONS.map(({ expected }) => expected.kind))).toEqual(
      new Set(['spoken', 'number', 'choose', 'order', 'point', 'verdict']),
    )
  })
  it('marks the right choices by a star; blank lines and blanks around them are nothing', () => {
    const { expected } = typed(blankQuestion(), {
      kind: 'choose',
      options: ' * dead \n\n*locked off\nlive  \n',
    })
    expect(expected).toEqual({ kind: 'choose', options: ['dead', 'locked off', 'live'], right: [0, 1] })
  })
  it('takes a comma as a decimal point', () => {
    const { expected } = typed(blankQuestion(), {
      kind: 'number',
      value: '0,47',
      unit: ' Ω ',
      within: '0,02',
    })
    expect(expected).toEqual({ kind: 'number', value: 0.47, unit: 'Ω', within: 0.02 })
  })
  it.each(['', '  ', 'about two'])('refuses %j as a figure by the name of its box', (value) => {
    const question = typed(
      { ...blankQuestion(), code: 'Q-1', text: 'How much?' },
      { kind: 'number', value, unit: 'Ω', within: '' },
    )
    const checked = validate(QuestionSchema, JSON.parse(JSON.stringify(question)))
    expect(checked.ok).toBe(false)
    if (!checked.ok) expect(checked.problems.map(({ field }) => field).join(' ')).toContain('value')
  })
  it('shows a picture beside a question, but not beside one that is pointed at', () => {
    const withPicture = { picture: 'intake', part: 'tails' } as const
    expect(typed(blankQuestion(), withPicture).picture).toEqual({ drawing: 'intake', spot: 'tails' })
    const pointed = typed(blankQuestion(), { ...withPicture, kind: 'point', spot: 'tails' })
    expect(pointed.picture).toBeUndefined()
  })
})
