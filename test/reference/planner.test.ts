/* A session planned: the integer programme solved by HiGHS against every plan that there is, and against its
   own bound on a whole group. */
import loadHighs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { conflictsOf } from '#core/planning/conflicts'
import { costOf } from '#core/planning/cost'
import { firstPlan } from '#core/planning/first-plan'
import { planProgramme } from '#core/planning/program'
import {
  endOf,
  lengthsOf,
  type Placement,
  type PlanTask,
  type SessionFrame,
  type SessionProblem,
} from '#core/planning/session'

let highs: Awaited<ReturnType<typeof loadHighs>>
beforeAll(async () => {
  highs = await loadHighs()
})
const random = (seed: number) => () => (seed = (seed * 48271) % 2147483647) / 2147483647

const FRAME: SessionFrame = {
  minutes: 150,
  step: 15,
  bays: [1, 2],
  assessors: [{ id: 91, from: 0, to: 150 }],
  instruments: [71],
  desks: 9,
  absent: [],
  now: 0,
}
function aProblem(seed: number, tasks: number, frame: SessionFrame = FRAME): SessionProblem {
  const next = random(seed)
  const some = (...lengths: number[]) => lengths[Math.floor(next() * lengths.length)]!
  return {
    frame,
    fixed: [],
    tasks: Array.from({ length: tasks }, (_, i): PlanTask => ({
      id: `t${i}`,
      people: [next() < 0.3 && i > 0 ? i - 1 : i],
      exercise: 1,
      minutes: { design: some(0, 15, 30), build: some(15, 30), dead: some(10, 15), live: some(15, 20) },
      isRepeat: next() < 0.3,
      isLocked: false,
    })),
  }
}

function solve(problem: SessionProblem, options: Record<string, number> = {}) {
  const programme = planProgramme(problem)
  const found = highs.solve(programme.text, { output_flag: false, time_limit: 20, ...options })
  const columns = found.Columns as Readonly<Record<string, { readonly Primal?: number }>>
  return { plan: programme.planOf((variable) => columns[variable]?.Primal ?? 0), status: found.Status }
}

/** The least that any plan costs, found by trying every one of them. */
function leastOfAll(problem: SessionProblem): number {
  const { frame, tasks } = problem
  const options = tasks.map((task) => {
    const lengths = lengthsOf(task, frame.step)
    const all: (Placement | null)[] = [null]
    for (let start = lengths.design; start + lengths.bay + lengths.live <= frame.minutes; start += frame.step)
      for (let live = start + lengths.bay; live + lengths.live <= frame.minutes; live += frame.step)
        for (const bay of frame.bays)
          all.push({ task: task.id, bay, start, live, assessor: 91, instrument: 71, liveInstrument: 71 })
    return all
  })
  let least = Infinity
  const walk = (i: number, plan: readonly Placement[]): void => {
    if (i === tasks.length) {
      least = Math.min(least, costOf(problem, plan).total)
      return
    }
    for (const option of options[i]!) {
      if (option === null) {
        // What follows somebody's earlier task has no place without it.
        walk(i + 1, plan)
        continue
      }
      const next = [...plan, option]
      const before = tasks
        .slice(0, i)
        .filter(({ people }) => people.some((one) => tasks[i]!.people.includes(one)))
      const ends = before.map(({ id, minutes }) => {
        const at = plan.find(({ task }) => task === id)
        return at ? endOf(at, lengthsOf({ minutes }, frame.step)) : Infinity
      })
      if (Math.max(0, ...ends) > option.start - lengthsOf(tasks[i]!, frame.step).design) continue
      const wrong = conflictsOf(frame, tasks.slice(0, i + 1), next).filter(({ code }) => code !== 'unplanned')
      if (wrong.length === 0) walk(i + 1, next)
    }
  }
  walk(0, [])
  return least
}

const real = (problem: SessionProblem, plan: readonly Placement[]) =>
  conflictsOf(problem.frame, problem.tasks, plan).filter(({ code }) => code !== 'unplanned')

describe('a session planned', () => {
  it.each([1, 2, 3, 4, 5, 6])(
    'three tasks, one instrument, one assessor: no plan at all is cheaper (seed %s)',
    (seed) => {
      const problem = aProblem(seed * 7919, 3)
      const { plan } = solve(problem)
      expect(real(problem, plan)).toEqual([])
      expect(costOf(problem, plan).total).toBe(leastOfAll(problem))
    },
  )
  it.each([11, 12, 13, 14, 15, 16, 17, 18])(
    'the first plan holds, and is never better than the best (seed %s)',
    (seed) => {
      const frame = {
        ...FRAME,
        minutes: 240,
        bays: [1, 2, 3],
        assessors: [
          { id: 91, from: 30, to: 150 },
          { id: 92, from: 120, to: 240 },
        ],
      }
      const problem = aProblem(seed * 104_729, 7, frame)
      const first = firstPlan(problem, seed)
      expect(real(problem, first)).toEqual([])
      const { plan } = solve(problem)
      expect(costOf(problem, first).total).toBeGreaterThanOrEqual(costOf(problem, plan).total)
      expect(firstPlan(problem, seed)).toEqual(first)
    },
  )
  it('eighteen people, sixteen bays, one assessor, three instruments: within a twentieth of the bound', () => {
    const frame = {
      ...FRAME,
      minutes: 375,
      desks: 18,
      bays: Array.from({ length: 16 }, (_, i) => i + 1),
      instruments: [71, 72, 73],
    }
    const problem: SessionProblem = {
      frame: { ...frame, assessors: [{ id: 91, from: 0, to: 375 }] },
      fixed: [],
      tasks: Array.from({ length: 18 }, (_, i) => ({
        id: `t${i}`,
        people: [i],
        exercise: 1,
        minutes: { design: 30, build: 30, dead: 20, live: 15 },
        isRepeat: i < 2,
        isLocked: false,
      })),
    }
    const first = firstPlan(problem)
    expect(real(problem, first)).toEqual([])
    expect(costOf(problem, first).unplanned).toEqual([])
    // One assessor stands beside one at a time for 15 min: the k-th waits at least 15 (k − 1) min from the first
    // that is ready.
    const bound = Array.from({ length: 18 }, (_, k) => 15 * k).reduce((sum, one) => sum + one, 0)
    expect(costOf(problem, first).waiting).toBeGreaterThanOrEqual(bound)
    const { plan } = solve(problem, { mip_rel_gap: 0.05 })
    expect(costOf(problem, plan).waiting).toBeLessThanOrEqual(bound * 1.05)
    expect(costOf(problem, plan).total).toBeLessThanOrEqual(costOf(problem, first).total)
  }, 60_000)
  it('sixty people in eight bays: as many as go, said who does not', () => {
    const problem: SessionProblem = {
      frame: {
        ...FRAME,
        minutes: 180,
        bays: [1, 2, 3, 4, 5, 6, 7, 8],
        assessors: [{ id: 91, from: 0, to: 180 }],
        instruments: [71, 72, 73, 74],
      },
      fixed: [],
      tasks: Array.from({ length: 60 }, (_, i) => ({
        id: `t${i}`,
        people: [i],
        exercise: 1,
        minutes: { design: 15, build: 30, dead: 15, live: 15 },
        isRepeat: i >= 55,
        isLocked: false,
      })),
    }
    const plan = firstPlan(problem)
    expect(real(problem, plan)).toEqual([])
    // One assessor, 15 min each, none before 60 min: eight fit into what is left.
    expect(plan).toHaveLength(8)
    expect(costOf(problem, plan).unplanned).toHaveLength(52)
    expect(plan.filter(({ task }) => Number(task.slice(1)) >= 55)).toHaveLength(5)
  })
  it('live tests are not handed from one assessor to another halfway', () => {
    const shifts: SessionFrame = {
      ...FRAME,
      assessors: [
        { id: 91, from: 0, to: 75 },
        { id: 92, from: 75, to: 150 },
      ],
    }
    for (const seed of [3, 8, 21]) {
      const asked = aProblem(seed, 3, shifts)
      const tasks = asked.tasks.map((task) => ({ ...task, minutes: { ...task.minutes, live: 30 } }))
      const problem = { ...asked, tasks }
      for (const plan of [solve(problem).plan, firstPlan(problem)]) {
        const against = conflictsOf(shifts, tasks, plan).filter(({ code }) => code !== 'unplanned')
        expect(against).toEqual([])
        for (const { live } of plan) expect(live + 30 <= 75 || live >= 75).toBe(true)
      }
    }
  })
})
