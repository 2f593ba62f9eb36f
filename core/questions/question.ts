import type { Edition } from '../regulations/editions'
import type { DrawingCode } from './drawings'
import type { Moment, Topic } from './topics'

export const QUESTION_KINDS = ['spoken', 'number', 'choose', 'order', 'point', 'verdict'] as const
export type QuestionKind = (typeof QUESTION_KINDS)[number]
export const VERDICTS = ['true', 'false', 'depends'] as const
export type Verdict = (typeof VERDICTS)[number]

/** What counts as right. */
export type Expected =
  /** Somebody listens; this is what is to be heard. */
  | { readonly kind: 'spoken'; readonly model: string }
  /** A figure in its unit; `within` either way, in the same unit, 0 for exactly. */
  | { readonly kind: 'number'; readonly value: number; readonly unit: string; readonly within: number }
  /** Indices of the right options. */
  | { readonly kind: 'choose'; readonly options: readonly string[]; readonly right: readonly number[] }
  /** The items in their right order. */
  | { readonly kind: 'order'; readonly items: readonly string[] }
  | { readonly kind: 'point'; readonly drawing: DrawingCode; readonly spot: string }
  | { readonly kind: 'verdict'; readonly verdict: Verdict; readonly why: string }

export interface Picture {
  readonly drawing: DrawingCode
  readonly spot: string
}

/** One question as it is kept, exchanged and asked. */
export interface Question {
  /** Unique in a bank: letters, digits, hyphens. */
  readonly code: string
  readonly text: string
  /** The same in short sentences; empty where the wording is plain already. */
  readonly plain: string
  readonly expected: Expected
  /** What else counts as right. */
  readonly also: readonly string[]
  /** In the order in which an assessor would give them. */
  readonly prompts: readonly string[]
  /** What to ask next when it goes well; empty for none. */
  readonly follow: string
  readonly topic: Topic
  /** Criteria of the framework that it is for; left out: those that rest on its topic. */
  readonly criteria?: readonly string[]
  /** A drawing beside the wording, with the part that is asked about; an empty spot shows the whole. */
  readonly picture?: Picture
  /** 1 names a thing, 2 says why, 3 reasons from it. */
  readonly level: 1 | 2 | 3
  /** Moments that it fits; empty for those of its topic. */
  readonly moments: readonly Moment[]
  /** Where it holds for one edition alone. */
  readonly edition: Edition | null
  /** Where the answer comes from, or `common practice`. */
  readonly source: string
  /** Kept for assessment: never in a rehearsal. */
  readonly isKept: boolean
  /** A widely told mistake. */
  readonly isMyth: boolean
}

export type QuestionProblem = 'noAnswer' | 'rightNotThere' | 'oneOption' | 'repeated' | 'noSpot' | 'noUnit'

/** What keeps a question from being asked; empty where all is there. */
export function questionProblems(
  { expected }: Pick<Question, 'expected'>,
  spots: readonly string[],
): QuestionProblem[] {
  switch (expected.kind) {
    case 'spoken':
      return expected.model.trim() ? [] : ['noAnswer']
    case 'number':
      return [
        ...(Number.isFinite(expected.value) ? [] : (['noAnswer'] as const)),
        ...(expected.unit.trim() ? [] : (['noUnit'] as const)),
      ]
    case 'choose':
      return listProblems(expected.options, () => [
        ...(expected.right.length ? [] : (['noAnswer'] as const)),
        ...(expected.right.every((i) => i in expected.options) ? [] : (['rightNotThere'] as const)),
      ])
    case 'order':
      return listProblems(expected.items, () => [])
    case 'point':
      return spots.includes(expected.spot) ? [] : ['noSpot']
    case 'verdict':
      return expected.why.trim() ? [] : ['noAnswer']
  }
}

function listProblems(items: readonly string[], more: () => QuestionProblem[]): QuestionProblem[] {
  const said = items.map((item) => item.trim().toLowerCase())
  if (said.some((item) => item === '') || items.length < 2) return ['oneOption', ...more()]
  return [...(new Set(said).size < said.length ? (['repeated'] as const) : []), ...more()]
}
