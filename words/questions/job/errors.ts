import type { OwnError } from '#core/questions/material'
import { findingSentence } from '../../findings/findings'
import { RULE_TEXT } from '../../isolation-rules'
import { STEP_TEXT } from '../../steps'
import { readingText } from '../../testing'
import type { JobGenerator, Made } from './generator'

type From = OwnError['from']
type Of<F extends From> = Extract<OwnError, { from: F }>

/** One question for each thing that went wrong: the person explains it right. */
const fromErrors = <F extends From>(
  from: F,
  head: Pick<JobGenerator, 'code' | 'topic' | 'moments'>,
  make: (error: Of<F>) => readonly [about: string, made: Made] | null,
): JobGenerator => ({
  ...head,
  level: 2,
  isSimulated: false,
  make: ({ errors }) =>
    errors.flatMap((error) => {
      const made = error.from === from ? make(error as Of<F>) : null
      return made ? [made] : []
    }),
})

export const ERROR_QUESTIONS: readonly JobGenerator[] = [
  fromErrors(
    'design',
    { code: 'slip', topic: 'cable', moments: ['design', 'dead', 'terminations'] },
    ({ scope, step, typed, working, source, finding }) => [
      `${scope}-${step}`,
      {
        text: `You wrote ${typed || 'nothing'} for ${STEP_TEXT[step].name.toLowerCase()}. Work it again: what should it be, and why?`,
        plain: `${STEP_TEXT[step].name}: how is it worked?`,
        expected: { kind: 'spoken', model: working },
        prompts: [STEP_TEXT[step].ask, findingSentence(finding)],
        source,
      },
    ],
  ),
  fromErrors(
    'reading',
    { code: 'finding', topic: 'dead', moments: ['dead', 'live', 'energise', 'fault'] },
    ({ reading, typed, finding }) => [
      reading,
      {
        text: `You wrote ${typed} for ${readingText(reading).short}. What does that reading tell you, and what do you do?`,
        expected: { kind: 'spoken', model: findingSentence(finding) },
        prompts: ['What did you expect?', readingText(reading).how],
      },
    ],
  ),
  fromErrors(
    'isolation',
    { code: 'breach', topic: 'isolation', moments: ['isolation', 'dead', 'energise'] },
    ({ rule }) => {
      const words = RULE_TEXT[rule]
      return words
        ? [
            rule,
            {
              text: `When you isolated last, this was missing or late: “${words.name}”. Why does it matter?`,
              plain: `${words.name}: why?`,
              expected: { kind: 'spoken', model: words.why },
              prompts: [words.next],
              source: 'HSE HSG85 and centre rules',
            },
          ]
        : null
    },
  ),
  fromErrors(
    'inspection',
    { code: 'missed', topic: 'terminations', moments: ['terminations', 'energise'] },
    ({ what }) => [
      what.toLowerCase().slice(0, 40),
      {
        text: `This was found at an inspection and not by you: “${what}”. What is wrong with it, and how is it put right?`,
        expected: {
          kind: 'spoken',
          model: 'What it could do, how serious it is (C1, C2, C3), and what makes it right.',
        },
        prompts: ['What could touch it, or get hot?'],
      },
    ],
  ),
]
