import { assign, type Timed } from './assign'
import { unplannedCost } from './cost'
import { lengthsOf, presentTasks, tasksBefore, type Placement, type SessionProblem } from './session'
import { assessorsAt, stepsOf, usageOf } from './usage'

/** The integer programme as text in LP form, and how to read its answer. */
export interface PlanProgramme {
  readonly text: string
  readonly planOf: (value: (variable: string) => number) => Placement[]
}

/** A line of LP text may hold only so many characters. */
const TERMS_A_LINE = 10
interface Term {
  readonly by: number
  readonly of: string
}
const sum = (terms: readonly Term[]): string =>
  terms
    .map(({ by, of }, i) => {
      const plus = i === 0 ? '' : '+'
      const sign = by < 0 ? '-' : plus
      const figure = Math.abs(by) === 1 ? '' : `${Math.abs(by)} `
      return `${i > 0 && i % TERMS_A_LINE === 0 ? '\n  ' : ''} ${sign} ${figure}${of}`
    })
    .join('')

interface Part {
  readonly id: string
  readonly isRepeat: boolean
  /** In steps. */
  readonly design: number
  readonly build: number
  readonly bay: number
  readonly live: number
  readonly earliest: number
  /** Steps at which live tests may begin: one assessor is there until their end. */
  readonly lives: readonly number[]
  readonly before: readonly number[]
}
const S = (i: number, t: number): string => `s${i}_${t}`
const L = (i: number, t: number): string => `l${i}_${t}`

/**
 * When everybody works, so that nobody waits longer than need be: `s` is one where the wiring of a task begins at
 * a step,
 * `l` one where its live tests do. Bays, instruments, desks and assessors are counted step by step; tasks of one person
 * follow each other. A task without a place costs more than any waiting.
 */
export function planProgramme(problem: SessionProblem): PlanProgramme {
  const { frame } = problem
  const all = presentTasks(problem)
  const byId = new Map(all.map((task) => [task.id, task]))
  const fixed = problem.fixed.filter(({ task }) => byId.has(task))
  const parts = partsOf(problem, new Set(fixed.map(({ task }) => task)))
  const rows = [
    ...parts.flatMap((part, i) => ownRows(parts, part, i, frame.step)),
    ...limitRows(problem, parts, usageOf(frame, byId, fixed)),
  ]
  const waiting = parts.flatMap((part, i) => costTerms(part, i, frame.step))
  // With what all would cost if none were planned, the figure is that of the plan itself.
  const worthOfAll = parts.reduce((all, { isRepeat }) => all + unplannedCost(isRepeat), 0)
  const binary = parts.flatMap((part, i) =>
    startsOf(part)
      .map((t) => S(i, t))
      .concat(part.lives.map((t) => L(i, t))),
  )
  return {
    text: [
      'Minimize',
      ` cost: ${sum([...waiting, { by: worthOfAll, of: 'one' }])}`,
      'Subject To',
      ...rows.map((row, i) => ` r${i}: ${row}`),
      'Bounds',
      ' 1 <= one <= 1',
      'Binary',
      ` ${binary.join('\n ')}`,
      'End',
    ].join('\n'),
    planOf: (value) => {
      const timed = parts.flatMap((part, i): Timed[] => {
        const start = startsOf(part).find((t) => value(S(i, t)) > 0.5)
        const live = part.lives.find((t) => value(L(i, t)) > 0.5)
        return start === undefined || live === undefined
          ? []
          : [{ task: part.id, start: start * frame.step, live: live * frame.step }]
      })
      return assign(frame, byId, fixed, timed).filter(({ bay }) => bay !== 0)
    },
  }
}

function partsOf({ frame, ...rest }: SessionProblem, fixed: ReadonlySet<string>): Part[] {
  const all = presentTasks({ frame, ...rest })
  const free = all.filter(({ id }) => !fixed.has(id))
  const doneBy = new Map(
    rest.fixed.map((one) => {
      const task = all.find(({ id }) => id === one.task)
      return [one.task, task ? one.live + lengthsOf(task, frame.step).live : 0]
    }),
  )
  return free.map((task) => {
    const lengths = lengthsOf(task, frame.step)
    const before = tasksBefore(all, all.indexOf(task))
    const begun = Math.max(frame.now, ...before.map(({ id }) => doneBy.get(id) ?? 0))
    const bay = lengths.bay / frame.step
    const earliest = Math.ceil((begun + lengths.design) / frame.step)
    return {
      id: task.id,
      isRepeat: task.isRepeat,
      design: lengths.design / frame.step,
      build: lengths.build / frame.step,
      bay,
      live: lengths.live / frame.step,
      earliest,
      lives: range(earliest + bay, stepsOf(frame) + 1).filter(
        (t) => assessorsAt(frame, t * frame.step, t * frame.step + lengths.live) > 0,
      ),
      before: before.map(({ id }) => free.findIndex((other) => other.id === id)).filter((at) => at >= 0),
    }
  })
}

const range = (from: number, to: number): number[] =>
  Array.from({ length: Math.max(0, to - from) }, (_, i) => from + i)
/** A start after which no live test may follow is none. */
const startsOf = ({ earliest, bay, lives }: Part): number[] => range(earliest, (lives.at(-1) ?? -1) - bay + 1)

/** Waiting of a task that follows another one of the same people, minutes. */
const W = (i: number): string => `w${i}`

/**
 * Waiting, minutes: live tests later than they could be; and less what it would cost to be left out. What follows
 * another
 * task waits from the end of that one.
 */
function costTerms(part: Part, i: number, step: number): Term[] {
  const worth = unplannedCost(part.isRepeat)
  const isFirst = part.before.length === 0
  const own = part.lives.map((t) => ({
    by: (isFirst ? (t - part.earliest - part.bay) * step : 0) - worth,
    of: L(i, t),
  }))
  return isFirst ? own : [...own, { by: 1, of: W(i) }]
}

function ownRows(parts: readonly Part[], part: Part, i: number, step: number): string[] {
  const [starts, lives] = [startsOf(part), part.lives]
  if (starts.length === 0 || lives.length === 0) return []
  const all = (of: (i: number, t: number) => string, times: readonly number[], by = 1) =>
    times.map((t) => ({ by, of: of(i, t) }))
  return [
    `${sum(all(S, starts))} <= 1`,
    `${sum([...all(L, lives), ...all(S, starts, -1)])} = 0`,
    // Live tests by a step only where wiring began early enough.
    ...lives.map((t) => {
      const begun = starts.filter((v) => v <= t - part.bay)
      return `${sum([
        ...all(
          L,
          lives.filter((u) => u <= t),
        ),
        ...all(S, begun, -1),
      ])} <= 0`
    }),
    ...(part.before.length > 0 ? [waitingRow(parts, part, i, step)] : []),
    // What comes after another task of the same people begins after its end.
    ...part.before.flatMap((j) => {
      const ends = parts[j]!.lives
      return starts.map((t) => {
        const ended = ends.filter((v) => v <= t - parts[j]!.live - part.design)
        const earlier = ended.map((v) => ({ by: -1, of: L(j, v) }))
        return `${sum([
          ...all(
            S,
            starts.filter((u) => u <= t),
          ),
          ...earlier,
        ])} <= 0`
      })
    }),
  ]
}

/** From the end of the task just before until this one is done, less what it takes. */
function waitingRow(parts: readonly Part[], part: Part, i: number, step: number): string {
  const j = part.before.at(-1)!
  const before = parts[j]!
  const terms = [
    ...part.lives.map((t) => ({ by: t * step, of: L(i, t) })),
    ...before.lives.map((t) => ({ by: -t * step, of: L(j, t) })),
    { by: -1, of: W(i) },
  ].filter(({ by }) => by !== 0)
  return `${sum(terms)} <= ${(before.live + part.design + part.bay) * step}`
}

/** A span that a task takes of something: from so many steps after its start (or its live tests), so long. */
interface Window {
  readonly after: typeof S
  readonly from: (part: Part) => number
  readonly long: (part: Part) => number
}
const STANDING: Window = { after: L, from: () => 0, long: ({ live }) => live }
const TESTING: Window = { after: S, from: ({ build }) => build, long: ({ bay, build }) => bay - build }
const DESIGNING: Window = { after: S, from: ({ design }) => -design, long: ({ design }) => design }

/** What is in such a span at a step. */
const within = (parts: readonly Part[], t: number, { after, from, long }: Window): Term[] =>
  parts.flatMap((part, i) =>
    (after === L ? part.lives : startsOf(part))
      .filter((u) => u + from(part) <= t && t < u + from(part) + long(part))
      .map((u) => ({ by: 1, of: after(i, u) })),
  )
/** Who has begun wiring by a step and has not ended. */
const atBays = (parts: readonly Part[], t: number): Term[] =>
  parts.flatMap((part, i) => [
    ...startsOf(part)
      .filter((u) => u <= t)
      .map((u) => ({ by: 1, of: S(i, u) })),
    ...part.lives.filter((v) => v <= t - part.live).map((v) => ({ by: -1, of: L(i, v) })),
  ])

/** No more of anything at any step than there is, less what is taken already. */
function limitRows(
  { frame }: SessionProblem,
  parts: readonly Part[],
  used: ReturnType<typeof usageOf>,
): string[] {
  const n = stepsOf(frame)
  const row = (terms: readonly Term[], most: number) =>
    terms.filter(({ by }) => by > 0).length > most ? [`${sum(terms)} <= ${most}`] : []
  return range(0, n).flatMap((t) => {
    const standing = within(parts, t, STANDING)
    const assessors = assessorsAt(frame, t * frame.step, (t + 1) * frame.step)
    return [
      ...row(atBays(parts, t), frame.bays.length - used.bays[t]!),
      ...row([...within(parts, t, TESTING), ...standing], frame.instruments.length - used.instruments[t]!),
      ...row(standing, assessors - used.assessors[t]!),
      ...row(within(parts, t, DESIGNING), frame.desks - used.desks[t]!),
    ]
  })
}
