import {
  endOf,
  lengthsOf,
  type Placement,
  type PlanTask,
  type SessionFrame,
  type TaskLengths,
} from './session'

/** How much of everything is in use, step by step of a session. */
export interface Usage {
  readonly bays: Int16Array
  readonly instruments: Int16Array
  readonly assessors: Int16Array
  readonly desks: Int16Array
}

export const stepsOf = ({ minutes, step }: SessionFrame): number => Math.floor(minutes / step)

export function emptyUsage(frame: SessionFrame): Usage {
  const n = stepsOf(frame)
  const line = () => new Int16Array(n)
  return { bays: line(), instruments: line(), assessors: line(), desks: line() }
}

function fill(line: Int16Array, from: number, to: number, step: number, by: number): void {
  const last = Math.min(line.length, to / step)
  for (let i = Math.max(0, from / step); i < last; i += 1) line[i]! += by
}

/** Adds a placed task to what is in use, or with −1 takes it away again. */
export function use(
  usage: Usage,
  placement: Placement,
  lengths: TaskLengths,
  { step, by = 1 }: { readonly step: number; readonly by?: 1 | -1 },
): void {
  const { start, live } = placement
  fill(usage.desks, start - lengths.design, start, step, by)
  fill(usage.bays, start, endOf(placement, lengths), step, by)
  fill(usage.instruments, start + lengths.build, start + lengths.bay, step, by)
  fill(usage.instruments, live, live + lengths.live, step, by)
  fill(usage.assessors, live, live + lengths.live, step, by)
}

/** Assessors who can stand at a bay from one moment to another. */
export const assessorsAt = ({ assessors }: SessionFrame, from: number, to: number): number =>
  assessors.filter((one) => one.from <= from && one.to >= to).length

/** What a whole plan uses. */
export function usageOf(
  frame: SessionFrame,
  tasks: ReadonlyMap<string, PlanTask>,
  placements: readonly Placement[],
): Usage {
  const usage = emptyUsage(frame)
  for (const placement of placements) {
    const task = tasks.get(placement.task)
    if (task) use(usage, placement, lengthsOf(task, frame.step), { step: frame.step })
  }
  return usage
}
