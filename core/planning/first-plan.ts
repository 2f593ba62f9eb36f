import { assign, type Timed } from './assign'
import { costOf } from './cost'
import {
  lengthsOf,
  presentTasks,
  tasksBefore,
  type Placement,
  type PlanTask,
  type SessionProblem,
  type TaskLengths,
} from './session'
import { assessorsAt, stepsOf, usageOf, use, type Usage } from './usage'

/** So many orders are tried; each takes less than a millisecond. */
const TRIES = 120

/** A stream of numbers from 0 to 1, the same for the same seed: D. H. Lehmer's generator, 48271 and 2³¹ − 1. */
function numbers(seed: number): () => number {
  let state = (Math.abs(Math.trunc(seed)) % 2147483646) + 1
  return () => (state = (state * 48271) % 2147483647) / 2147483647
}

/**
 * A good plan at once: tasks in some order, each as early as everything allows, repeats and long ones first; the
 * best of
 * many orders. Seeded, so that the same problem gives the same plan.
 */
export function firstPlan(problem: SessionProblem, seed = 1): Placement[] {
  const next = numbers(seed)
  const fixed = new Set(problem.fixed.map(({ task }) => task))
  const free = presentTasks(problem).filter(({ id }) => !fixed.has(id))
  const long = (task: PlanTask) => {
    const { design, bay, live } = lengthsOf(task, problem.frame.step)
    return design + bay + live
  }
  const usual = [...free].sort((a, b) => Number(b.isRepeat) - Number(a.isRepeat) || long(b) - long(a))
  let best = planInOrder(problem, usual)
  let least = costOf(problem, best).total
  for (let i = 0; i < TRIES && least > 0; i += 1) {
    const order = [...usual]
      .map((task, rank) => ({ task, key: rank + (next() - 0.5) * usual.length * (i % 2 === 0 ? 0.4 : 1.6) }))
      .sort((a, b) => a.key - b.key)
      .map(({ task }) => task)
    const plan = planInOrder(problem, order)
    const { total } = costOf(problem, plan)
    if (total < least) [best, least] = [plan, total]
  }
  return best
}

/** Places tasks one after the other, each at the earliest time at which everything it needs is free. */
export function planInOrder(problem: SessionProblem, order: readonly PlanTask[]): Placement[] {
  const { frame } = problem
  const all = presentTasks(problem)
  const byId = new Map(all.map((task) => [task.id, task]))
  const fixed = problem.fixed.filter(({ task }) => byId.has(task))
  const usage = usageOf(frame, byId, fixed)
  const done = new Map(
    fixed.map((one) => [one.task, one.live + lengthsOf(byId.get(one.task)!, frame.step).live]),
  )
  const timed: Timed[] = []
  // Tasks of one person keep their order, whatever order they come in.
  const waiting = [...order]
  while (waiting.length > 0) {
    const at = waiting.findIndex((task) =>
      tasksBefore(all, all.indexOf(task)).every(
        ({ id }) => done.has(id) || !waiting.some((other) => other.id === id),
      ),
    )
    const [task] = waiting.splice(Math.max(0, at), 1)
    const before = tasksBefore(all, all.indexOf(task!))
    // What comes after something that has no place has none either.
    if (before.some(({ id }) => !done.has(id))) continue
    const free = Math.max(frame.now, ...before.map(({ id }) => done.get(id)!))
    const lengths = lengthsOf(task!, frame.step)
    const found = earliest(problem, usage, lengths, free)
    if (!found) continue
    timed.push({ task: task!.id, ...found })
    use(
      usage,
      { ...found, task: task!.id, bay: 0, assessor: null, instrument: null, liveInstrument: null },
      lengths,
      { step: frame.step },
    )
    done.set(task!.id, found.live + lengths.live)
  }
  return assign(frame, byId, fixed, timed).filter(({ bay }) => bay !== 0)
}

/** The earliest start and live time with a bay all the while, an instrument for tests and an assessor for live work. */
function earliest(
  { frame }: SessionProblem,
  usage: Usage,
  lengths: TaskLengths,
  free: number,
): { readonly start: number; readonly live: number } | null {
  const { step } = frame
  const n = stepsOf(frame)
  const from = Math.ceil((free + lengths.design) / step)
  const isFree = (line: Int16Array, most: number, first: number, last: number): boolean => {
    for (let i = first; i < last; i += 1) if (line[i]! >= most) return false
    return true
  }
  const [bay, build, live, design] = [lengths.bay, lengths.build, lengths.live, lengths.design].map(
    (m) => m / step,
  )
  for (let start = from; start + bay! + live! <= n; start += 1) {
    if (!isFree(usage.desks, frame.desks, start - design!, start)) continue
    if (!isFree(usage.bays, frame.bays.length, start, start + bay!)) continue
    if (!isFree(usage.instruments, frame.instruments.length, start + build!, start + bay!)) continue
    for (let at = start + bay!; at + live! <= n; at += 1) {
      if (!isFree(usage.bays, frame.bays.length, start, at + live!)) break
      const people = assessorsAt(frame, at * step, (at + live!) * step)
      if (!isFree(usage.assessors, people, at, at + live!)) continue
      if (!isFree(usage.instruments, frame.instruments.length, at, at + live!)) continue
      return { start: start * step, live: at * step }
    }
  }
  return null
}
