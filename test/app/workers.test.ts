/* What workers of the page hand over: something usable at once, then the best that was found, never worse than the
   first; run here as they stand, with the channel to the page replaced. */
import { createRequire } from 'node:module'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Arranged } from '#core/arrangement/arrange'
import type { SeatedCircuit } from '#core/arrangement/board'
import { USUAL_WEIGHTS, WISHES } from '#core/arrangement/wishes'
import { SHOWN_NOTHING } from '#core/assessment/outcomes/shows'
import type { ClosingPlan } from '#core/assessment/closing/plan'
import type { ClosingProblem } from '#core/assessment/closing/problem'
import { costOf } from '#core/planning/cost'
import type { Placement, PlanTask, SessionProblem } from '#core/planning/session'
import type { ArrangeOffer } from '~/workers/arrange.worker'
import type { ClosingOffer } from '~/workers/closing.worker'
import type { DeskOffer } from '~/workers/desk.worker'
import type { PlannerOffer } from '~/utils/planner-offer'
import { assignmentOf } from '#core/exercise/assignment'
import { aCircuit, anExercise, anInstallation } from '../support/task'

/** What the last worker that was loaded offers. */
const page = vi.hoisted(() => ({ offer: null as unknown, solved: 0 }))
vi.mock('comlink', () => ({ expose: (offer: unknown) => void (page.offer = offer) }))
vi.mock('highs/runtime?url', () => ({ default: createRequire(import.meta.url).resolve('highs/runtime') }))
vi.mock('highs', async (original) => {
  const { default: load } = await original<typeof import('highs')>()
  return { default: (...given: Parameters<typeof load>) => ((page.solved += 1), load(...given)) }
})
async function offerOf<T>(load: () => Promise<unknown>): Promise<T> {
  await load()
  return page.offer as T
}
beforeEach(() => {
  vi.resetModules()
  page.solved = 0
})

describe('the planner', () => {
  const planner = () => offerOf<PlannerOffer>(() => import('~/workers/planner.worker'))
  const aTask = (id: number, parts: Partial<PlanTask['minutes']> = {}): PlanTask => ({
    id: `t${id}`,
    people: [id],
    exercise: 1,
    minutes: { design: 15, build: 30, dead: 15, live: 15, ...parts },
    isRepeat: false,
    isLocked: false,
  })
  const aSession = (tasks: readonly PlanTask[], bays: readonly number[]): SessionProblem => ({
    frame: {
      minutes: 180,
      step: 15,
      bays,
      assessors: [{ id: 91, from: 0, to: 180 }],
      instruments: [71],
      desks: 9,
      absent: [],
      now: 0,
    },
    tasks,
    fixed: [],
  })

  it('hands a first plan over before it looks for the best, which waits no longer', async () => {
    const session = aSession(
      [
        aTask(1, { design: 0, build: 45 }),
        aTask(2, { design: 30 }),
        aTask(3, { live: 30 }),
        aTask(4, { design: 0, dead: 30 }),
      ],
      [1, 2],
    )
    const { planSession } = await planner()
    const firsts: (readonly Placement[])[] = []
    const { plan, isProved } = await planSession(session, (first) => {
      expect(page.solved).toBe(0)
      firsts.push(first)
    })
    expect(firsts).toHaveLength(1)
    expect(isProved).toBe(true)
    expect(costOf(session, plan).total).toBeLessThanOrEqual(costOf(session, firsts[0]!).total)
    expect(plan.map(({ task }) => task).toSorted()).toEqual(['t1', 't2', 't3', 't4'])
  })
  it('looks no further where nobody waits', async () => {
    const session = aSession([aTask(1, { design: 0 })], [1])
    const { planSession } = await planner()
    const { plan, isProved } = await planSession(session, () => undefined)
    expect({ isProved, planned: plan.length, solved: page.solved }).toEqual({
      isProved: true,
      planned: 1,
      solved: 0,
    })
  })
})

describe('what closes most', () => {
  const closer = () => offerOf<ClosingOffer>(() => import('~/workers/closing.worker'))
  /** Two exercises that each give half, and one that gives both in less time than the two together. */
  const problem: ClosingProblem = {
    sorts: {},
    settings: {},
    people: [1, 2].map((id) => ({
      id,
      name: `P${id}`,
      had: [],
      wants: ['A1', 'A2'].map((code) => ({ key: `criterion ${code}`, more: 1, weight: 1 })),
    })),
    exercises: [
      { id: 1, criteria: ['A1'], minutes: 60 },
      { id: 2, criteria: ['A2'], minutes: 60 },
      { id: 3, criteria: ['A1', 'A2'], minutes: 90 },
    ].map((one) => ({ ...one, code: `E${one.id}`, title: '', shown: SHOWN_NOTHING })),
  }
  it('gives a first plan at once and the best after it: the one exercise that does for both', async () => {
    const { close } = await closer()
    const firsts: ClosingPlan[] = []
    const { plan, isProved } = await close(problem, { bays: 2, hours: 1.5 }, (first) => {
      expect(page.solved).toBe(0)
      firsts.push(first)
    })
    expect(firsts).toHaveLength(1)
    expect(isProved).toBe(true)
    expect(plan.worth).toBe(4)
    expect(plan.worth).toBeGreaterThanOrEqual(firsts[0]!.worth)
  })
  it('closes nothing where there is no time', async () => {
    const { close } = await closer()
    expect((await close(problem, { bays: 1, hours: 0 }, () => undefined)).plan.worth).toBe(0)
  })
})

describe('the arrangement of a board', () => {
  const arranger = () => offerOf<ArrangeOffer>(() => import('~/workers/arrange.worker'))
  const seated = (count: number): SeatedCircuit[] =>
    Array.from({ length: count }, (_, i) => ({
      id: `c${i}`,
      name: `Circuit ${i}`,
      phases: 1,
      currentA: [32, 6, 16, 20][i % 4]!,
      thirdShare: 0,
      ratingA: [32, 6, 16, 20][i % 4]!,
      heatW: 1 + (i % 3),
      area: ['shop', 'store'][i % 2]!,
      hasLead: false,
      isShared: false,
      leakageMA: 1,
    }))
  const board = { phases: 3, ways: 4, sections: 0, reach: 6 } as const

  it('shows a good one, then the best, and what comes out without each wish that counts', async () => {
    const { arrangeAll } = await arranger()
    const shown: Arranged[] = []
    const { best, without } = arrangeAll(seated(6), board, USUAL_WEIGHTS, (one) =>
      shown.push(one as Arranged),
    )
    expect(shown).toHaveLength(2)
    expect((best as Arranged).total).toBe(shown[1]!.total)
    expect(shown[1]!.total).toBeLessThanOrEqual(shown[0]!.total)
    expect(Object.keys(without).toSorted()).toEqual(
      WISHES.filter((wish) => USUAL_WEIGHTS[wish] > 0).toSorted(),
    )
    // Without a wish, what is left of the others is never worse than with it.
    for (const one of Object.values(without))
      expect(one.total).toBeLessThanOrEqual((best as Arranged).total + 1e-9)
  })
  it('says at once what does not fit, and looks no further', async () => {
    const { arrangeAll } = await arranger()
    const shown: unknown[] = []
    const { best, without } = arrangeAll(seated(20), board, USUAL_WEIGHTS, (one) => shown.push(one))
    expect(best).toHaveProperty('code')
    expect([shown.length, without]).toEqual([1, {}])
  })
})

describe('the desk', () => {
  it('says what the tests that are asked should show, and nothing of a bay that cannot be built', async () => {
    const { expectedOf } = await offerOf<DeskOffer>(() => import('~/workers/desk.worker'))
    const sound = expectedOf(assignmentOf(anExercise({ tests: 'c1' })))
    expect(sound.map(({ key }) => key)).toContain('c1.r1r2@c1p4')
    for (const { value, low, high } of sound)
      if (value !== undefined) expect(low <= value && value <= (high ?? Infinity)).toBe(true)
    const unbuilt = anInstallation({ circuits: [aCircuit({ lengthM: 4000 })] })
    expect(expectedOf(assignmentOf(anExercise({ installation: unbuilt, tests: 'c1' })))).toEqual([])
    expect(expectedOf(assignmentOf(anExercise({ tests: null })))).toEqual([])
  })
})
