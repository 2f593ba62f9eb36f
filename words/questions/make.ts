import type { DrawingCode } from '#core/questions/drawings'
import type { Expected, Question, Verdict } from '#core/questions/question'
import type { Topic } from '#core/questions/topics'

type Level = Question['level']
/** What a question may have beside its wording and answer. */
type More = Partial<
  Pick<Question, 'plain' | 'also' | 'prompts' | 'follow' | 'moments' | 'edition' | 'source' | 'isKept'>
>
/** A question before its topic is known. */
export type Draft = Omit<Question, 'topic'>

export const COMMON = 'common practice'

const draft = (code: string, level: Level, text: string, expected: Expected, more: More = {}): Draft => ({
  code,
  level,
  text,
  expected,
  plain: '',
  also: [],
  prompts: [],
  follow: '',
  moments: [],
  edition: null,
  source: COMMON,
  isKept: false,
  isMyth: false,
  ...more,
})

/** Somebody listens. */
export const spoken = (code: string, level: Level, text: string, model: string, more?: More): Draft =>
  draft(code, level, text, { kind: 'spoken', model }, more)

/** A figure, right within this much either way. */
export const number = (
  code: string,
  level: Level,
  text: string,
  [value, unit, within]: readonly [value: number, unit: string, within: number],
  more?: More,
): Draft => draft(code, level, text, { kind: 'number', value, unit, within }, more)

/** Right options and wrong ones; they are laid out by their letters, so that the place tells nothing. */
export function choose(
  code: string,
  level: Level,
  text: string,
  [right, wrong]: readonly [right: readonly string[], wrong: readonly string[]],
  more?: More,
): Draft {
  const options = [...right, ...wrong].sort((a, b) => (a < b ? -1 : 1))
  return draft(
    code,
    level,
    text,
    { kind: 'choose', options, right: right.map((o) => options.indexOf(o)) },
    more,
  )
}

export const order = (
  code: string,
  level: Level,
  text: string,
  items: readonly string[],
  more?: More,
): Draft => draft(code, level, text, { kind: 'order', items }, more)

export const point = (
  code: string,
  level: Level,
  text: string,
  [drawing, spot]: readonly [DrawingCode, string],
  more?: More,
): Draft => draft(code, level, text, { kind: 'point', drawing, spot }, more)

export const verdict = (
  code: string,
  level: Level,
  text: string,
  [is, why]: readonly [Verdict, string],
  more?: More,
): Draft => draft(code, level, text, { kind: 'verdict', verdict: is, why }, more)

/** A widely told mistake: what the regulations ask, and since when. */
export const myth = (
  code: string,
  text: string,
  [is, why]: readonly [Verdict, string],
  source: string,
): Draft => ({ ...verdict(code, 2, text, [is, why], { source }), isMyth: true })

export const inTopic = (topic: Topic, drafts: readonly Draft[]): Question[] =>
  drafts.map((question) => ({ ...question, topic }))
