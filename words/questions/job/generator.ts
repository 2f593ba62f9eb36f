import type { Expected, Question } from '#core/questions/question'
import type { BoardDesign, CircuitDesign } from '#core/design/reference'
import type { StepKey } from '#core/design/model/step-keys'
import type { JobMaterial, JobTest } from '#core/questions/material'
import type { Moment, Topic } from '#core/questions/topics'
import { COMMON } from '../make'

/** What a generator makes of one piece of material. */
export interface Made {
  readonly text: string
  readonly expected: Expected
  readonly plain?: string
  readonly also?: readonly string[]
  readonly prompts?: readonly string[]
  readonly follow?: string
  readonly source?: string
  /** Where they are fewer than those of its generator. */
  readonly moments?: readonly Moment[]
}

/** Reads a job and asks about it: wording and answer. Where it finds no material it makes nothing. */
export interface JobGenerator {
  readonly code: string
  readonly topic: Topic
  readonly level: Question['level']
  readonly moments: readonly Moment[]
  /** It simulates the bay: tens of milliseconds. */
  readonly isSimulated: boolean
  readonly make: (material: JobMaterial) => readonly (readonly [about: string, made: Made])[]
}

interface Head {
  readonly code: string
  readonly topic: Topic
  readonly level: Question['level']
  readonly moments?: readonly Moment[]
}
const headOf = ({ code, topic, level, moments = [] }: Head) => ({ code, topic, level, moments })

/** About each circuit. */
export const ofCircuit = (
  head: Head,
  make: (circuit: CircuitDesign, job: JobMaterial) => Made | null,
): JobGenerator => ({
  ...headOf(head),
  isSimulated: false,
  make: (job) =>
    job.circuits
      .filter(({ stopped }) => !stopped)
      .flatMap((circuit) => {
        const made = make(circuit, job)
        return made ? [[circuit.scope, made] as const] : []
      }),
})

/** About each board. */
export const ofBoard = (
  head: Head,
  make: (board: BoardDesign, job: JobMaterial) => Made | null,
): JobGenerator => ({
  ...headOf(head),
  isSimulated: false,
  make: (job) =>
    job.boards
      .filter(({ stopped }) => !stopped)
      .flatMap((board) => {
        const made = make(board, job)
        return made ? [[board.scope, made] as const] : []
      }),
})

/** About the tests that are still to be made, one of each kind: those come next. */
export const ofNextTest = (
  head: Head,
  make: (test: JobTest, job: JobMaterial) => Made | null,
): JobGenerator => ({
  ...headOf(head),
  isSimulated: false,
  make: (job) =>
    nextTests(job).flatMap((test) => {
      const made = make(test, job)
      const moments: readonly Moment[] = test.isDead ? ['dead'] : ['live', 'energise']
      return made ? [[test.key, { ...made, moments }] as const] : []
    }),
})

/** One of each kind that is asked and not made yet: the dead ones first, then the live ones. */
function nextTests({ tests }: JobMaterial): JobTest[] {
  const open = tests.filter(({ isAsked, typed }) => isAsked && !typed.trim())
  const isDead = open.some((test) => test.isDead)
  const next = open.filter((test) => test.isDead === isDead)
  return [...new Map(next.reverse().map((test) => [test.kind, test])).values()].reverse()
}

/** About the job as a whole. */
export const ofJob = (head: Head, make: (job: JobMaterial) => Made | null): JobGenerator => ({
  ...headOf(head),
  isSimulated: false,
  make: (job) => {
    const made = make(job)
    return made ? [['job', made]] : []
  },
})

export const spokenAs = (model: string): Expected => ({ kind: 'spoken', model })
export const numberAs = (value: number, unit: string, within = 0): Expected => ({
  kind: 'number',
  value,
  unit,
  within,
})
export const verdictAs = (isTrue: boolean, why: string): Expected => ({
  kind: 'verdict',
  verdict: isTrue ? 'true' : 'false',
  why,
})
/** One right option among wrong ones; laid out by their letters. Null where nothing wrong is left to choose. */
export function chooseAs(right: string, others: readonly string[]): Expected | null {
  const options = [...new Set([right, ...others])].sort((a, b) => (a < b ? -1 : 1))
  return options.length < 2 ? null : { kind: 'choose', options, right: [options.indexOf(right)] }
}

export const nameOf = ({ circuit }: CircuitDesign): string => circuit.name
export const valueOf = ({ values }: { readonly values: Partial<Record<StepKey, number>> }, step: StepKey) =>
  values[step]
/** A figure to so many places, as somebody would say it. */
export const round = (value: number, places = 2): number => Number(value.toFixed(places))

/** The question as it is asked. */
export const questionOf = (generator: JobGenerator, about: string, made: Made): Question => ({
  code: `job-${generator.code}-${about.replace(/[^A-Za-z0-9]+/g, '-')}`,
  text: made.text,
  plain: made.plain ?? '',
  expected: made.expected,
  also: made.also ?? [],
  prompts: made.prompts ?? [],
  follow: made.follow ?? '',
  topic: generator.topic,
  level: generator.level,
  moments: made.moments ?? generator.moments,
  edition: null,
  source: made.source ?? COMMON,
  isKept: false,
  isMyth: false,
})
