import { endOf, lengthsOf, presentTasks, tasksBefore, type Placement, type SessionProblem } from './session'

/** What a plan costs. */
export interface PlanCost {
  /** Tasks that have no place. */
  readonly unplanned: readonly string[]
  /** Minutes that people wait: for a bay, an instrument, an assessor. */
  readonly waiting: number
  /** When the last one is done, minutes from the beginning; 0 where nothing is planned. */
  readonly end: number
  /** One figure to compare plans by: an unplanned task is dearer than any waiting. */
  readonly total: number
}

/** A task that is not planned costs as much as so many minutes of waiting, a repeat twice that. */
export const UNPLANNED_COST = 2000
export const unplannedCost = (isRepeat: boolean): number => (isRepeat ? 2 : 1) * UNPLANNED_COST

/**
 * Waiting of one task, minutes: from when its people could have begun until it is done, less what it takes. Before the
 * first task people come at the beginning, or at what is now.
 */
export function waitingOf(
  problem: SessionProblem,
  placements: ReadonlyMap<string, Placement>,
  at: number,
): number {
  const tasks = presentTasks(problem)
  const task = tasks[at]!
  const placement = placements.get(task.id)
  if (!placement) return 0
  const { step } = problem.frame
  const lengths = lengthsOf(task, step)
  const free = Math.max(
    0,
    ...tasksBefore(tasks, at).map((before) => {
      const earlier = placements.get(before.id)
      return earlier ? endOf(earlier, lengthsOf(before, step)) : 0
    }),
  )
  return Math.max(0, placement.live - free - lengths.design - lengths.bay)
}

export function costOf(problem: SessionProblem, plan: readonly Placement[]): PlanCost {
  const placements = new Map(plan.map((placement) => [placement.task, placement]))
  const tasks = presentTasks(problem)
  const missing = tasks.filter(({ id }) => !placements.has(id))
  const waiting = tasks.reduce((sum, _, i) => sum + waitingOf(problem, placements, i), 0)
  const ends = tasks.flatMap((task) => {
    const placement = placements.get(task.id)
    return placement ? [endOf(placement, lengthsOf(task, problem.frame.step))] : []
  })
  return {
    unplanned: missing.map(({ id }) => id),
    waiting,
    end: Math.max(0, ...ends),
    total: waiting + missing.reduce((sum, { isRepeat }) => sum + unplannedCost(isRepeat), 0),
  }
}
