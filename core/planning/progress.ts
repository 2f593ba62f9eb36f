import { endOf, lengthsOf, type Placement, type PlanTask } from './session'

/** How somebody stands against the plan. */
export interface AgainstPlan {
  readonly task: string
  readonly bay: number
  readonly people: readonly number[]
  readonly exercise: number
  /** What should be going on now. */
  readonly should: 'before' | 'design' | 'build' | 'dead' | 'live' | 'done'
  /** Minutes behind; below zero ahead. */
  readonly late: number
  readonly start: number
  readonly live: number
  readonly end: number
}

/** Where an attempt stands, as far as a plan is concerned. */
export type Doing = 'none' | 'design' | 'dead' | 'permission' | 'live' | 'done'

/** The plan against what is going on at a minute of the session. */
export function againstPlan(
  tasks: readonly PlanTask[],
  placements: readonly Placement[],
  step: number,
  { minute, doing }: { readonly minute: number; readonly doing: (task: PlanTask) => Doing },
): AgainstPlan[] {
  return placements.flatMap((at) => {
    const task = tasks.find(({ id }) => id === at.task)
    if (!task) return []
    const lengths = lengthsOf(task, step)
    const end = endOf(at, lengths)
    const ends: readonly (readonly [AgainstPlan['should'], number])[] = [
      ['before', at.start - lengths.design],
      ['design', at.start],
      ['build', at.start + lengths.build],
      ['dead', at.live],
      ['live', end],
    ]
    const should = ends.find(([, until]) => minute < until)?.[0] ?? 'done'
    // Late by how long the stage they are still in should have been over.
    const over: Readonly<Record<Doing, number>> = {
      none: at.start - lengths.design,
      design: at.start,
      dead: at.live,
      permission: at.live,
      live: end,
      done: Infinity,
    }
    const late = Math.max(0, minute - over[doing(task)])
    const { bay, start, live } = at
    return [
      { task: task.id, bay, people: task.people, exercise: task.exercise, should, late, start, live, end },
    ]
  })
}

/** Minutes of a bay without anybody until the session ends, from now on: the longest gap of each. */
export function freeBays(
  bays: readonly number[],
  plan: readonly AgainstPlan[],
  minute: number,
  until: number,
): { readonly bay: number; readonly from: number; readonly to: number }[] {
  return bays.map((bay) => {
    const taken = plan.filter((one) => one.bay === bay && one.end > minute).sort((a, b) => a.start - b.start)
    const edges = [...taken.map(({ start, end }) => [start, end] as const), [until, until] as const]
    let from = minute
    let best = { from: minute, to: minute }
    for (const [start, end] of edges) {
      if (start - from > best.to - best.from) best = { from, to: start }
      from = Math.max(from, end)
    }
    return { bay, ...best }
  })
}
