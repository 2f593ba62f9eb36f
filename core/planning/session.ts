/** Minutes that one task takes, part by part; whole numbers. */
export interface StageMinutes {
  /** At a desk. */
  readonly design: number
  /** Wiring at the bay. */
  readonly build: number
  /** Dead tests at the bay, with an instrument. */
  readonly dead: number
  /** Live tests at the bay, with an instrument and an assessor beside it. */
  readonly live: number
}

/** One task of one person or of a pair. */
export interface PlanTask {
  readonly id: string
  readonly people: readonly number[]
  readonly exercise: number
  readonly minutes: StageMinutes
  /** Done before, not met: planned first. */
  readonly isRepeat: boolean
  /** Where it must stay. */
  readonly isLocked: boolean
}

/** Where and when a task is done, minutes from the beginning of the session. */
export interface Placement {
  readonly task: string
  readonly bay: number
  /** When wiring begins. */
  readonly start: number
  /** When live tests begin; not before wiring and dead tests are done. */
  readonly live: number
  readonly assessor: number | null
  /** For dead tests, and for live tests: it may be another one. */
  readonly instrument: number | null
  readonly liveInstrument: number | null
}

/** Somebody who may stand beside live work, and when. */
export interface AssessorTime {
  readonly id: number
  readonly from: number
  readonly to: number
}

/** What a session has to go round. */
export interface SessionFrame {
  readonly minutes: number
  /** Grid of times, minutes. */
  readonly step: number
  /** Bays that may be used. */
  readonly bays: readonly number[]
  readonly assessors: readonly AssessorTime[]
  /** Instruments in calibration on the day. */
  readonly instruments: readonly number[]
  /** Desks for designs. */
  readonly desks: number
  /** Not here today. */
  readonly absent: readonly number[]
  /** Nothing is begun before this any more: what has gone by on the day. */
  readonly now: number
}

export interface SessionProblem {
  readonly frame: SessionFrame
  readonly tasks: readonly PlanTask[]
  /** Those that stay as they are: locked, or begun. */
  readonly fixed: readonly Placement[]
}

const up = (minutes: number, step: number): number => Math.ceil(minutes / step - 1e-9) * step

/** A task's lengths on the grid of the session, minutes: each rounded up, so that nothing is planned too short. */
export interface TaskLengths {
  readonly design: number
  readonly build: number
  /** Wiring and dead tests together. */
  readonly bay: number
  readonly live: number
}
export function lengthsOf({ minutes }: Pick<PlanTask, 'minutes'>, step: number): TaskLengths {
  const build = up(minutes.build, step)
  return {
    design: up(minutes.design, step),
    build,
    bay: build + up(minutes.dead, step),
    live: up(minutes.live, step),
  }
}

export const endOf = (placement: Placement, lengths: TaskLengths): number => placement.live + lengths.live

/** Tasks of people who are here. */
export const presentTasks = ({ frame, tasks }: Pick<SessionProblem, 'frame' | 'tasks'>): PlanTask[] =>
  tasks.filter(({ people }) => people.length > 0 && people.every((person) => !frame.absent.includes(person)))

/** What comes before a task for its people: the earlier tasks of the list that share somebody. */
export const tasksBefore = (tasks: readonly PlanTask[], at: number): PlanTask[] =>
  tasks.slice(0, at).filter(({ people }) => people.some((person) => tasks[at]!.people.includes(person)))
