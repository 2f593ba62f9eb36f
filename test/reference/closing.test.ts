/* What closes most: the integer programme solved by HiGHS against every plan there is, and against a bound on
   larger groups. */
import loadHighs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { MINUTE_WORTH, greedyChoices, planOf, type Choice } from '#core/assessment/closing/plan'
import type { ClosingExercise, ClosingProblem, Want } from '#core/assessment/closing/problem'
import { programmeOf } from '#core/assessment/closing/program'
import { CABLE_TYPES, SHOWN_NOTHING } from '#core/assessment/outcomes/shows'

let highs: Awaited<ReturnType<typeof loadHighs>>
beforeAll(async () => {
  highs = await loadHighs()
})

const random = (seed: number) => () => (seed = (seed * 48271) % 2147483647) / 2147483647
const CODES = ['A1', 'A2', 'B1', 'B2', 'B3', 'C1']

function aProblem(seed: number, people: number, exercises: number): ClosingProblem {
  const next = random(seed)
  const some = <T>(all: readonly T[], share: number): T[] => all.filter(() => next() < share)
  const wants = (): Want[] => [
    ...some(CODES, 0.7).map((code) => ({
      key: `criterion ${code}`,
      more: 1 + Math.floor(next() * 2),
      weight: next() < 0.2 ? 3 : 1,
    })),
    { key: 'free Q', more: 2, weight: 1, byMembers: some(CABLE_TYPES, 0.6) },
    { key: 'member Q singles', more: 1, weight: 1 },
    { key: 'job S', more: 1, weight: 1 },
  ]
  return {
    sorts: { Q: 'cable' },
    settings: { S: ['commercial'] },
    people: Array.from({ length: people }, (_, id) => ({
      id,
      name: `P${id}`,
      wants: wants(),
      had: some([...Array(exercises).keys()], 0.15),
    })),
    exercises: Array.from({ length: exercises }, (_, id): ClosingExercise => ({
      id,
      code: `E${id}`,
      title: '',
      minutes: 30 + 15 * Math.floor(next() * 5),
      criteria: some(CODES, 0.4),
      shown: {
        ...SHOWN_NOTHING,
        setting: next() < 0.5 ? 'commercial' : 'domestic',
        cables: some(CABLE_TYPES, 0.3),
      },
    })),
  }
}
const value = (problem: ClosingProblem, choices: readonly Choice[]): number => {
  const { worth, minutes } = planOf(problem, choices)
  return worth - MINUTE_WORTH * minutes
}
function solved(problem: ClosingProblem, limits: { bays: number; hours: number }) {
  const programme = programmeOf(problem, limits)
  const found = highs.solve(programme.text, { output_flag: false, mip_rel_gap: 0 })
  const columns = found.Columns as Readonly<Record<string, { readonly Primal?: number }>>
  return {
    status: found.Status,
    bound: found.ObjectiveValue,
    choices: programme.choicesOf((name) => columns[name]?.Primal ?? 0),
  }
}

/** Every plan there is, within the limits. */
function best(problem: ClosingProblem, limits: { bays: number; hours: number }): number {
  const pairs = problem.people.flatMap(({ id, had }) =>
    problem.exercises
      .filter((one) => !had.includes(one.id))
      .map((one) => ({ person: id, exercise: one.id, minutes: one.minutes })),
  )
  let most = 0
  for (let mask = 0; mask < 2 ** pairs.length; mask += 1) {
    const chosen = pairs.filter((_, i) => (mask >> i) & 1)
    const total = chosen.reduce((sum, { minutes }) => sum + minutes, 0)
    if (total > limits.bays * limits.hours * 60) continue
    const tooLong = problem.people.some(
      ({ id }) =>
        chosen.filter(({ person }) => person === id).reduce((sum, { minutes }) => sum + minutes, 0) >
        limits.hours * 60,
    )
    if (!tooLong) most = Math.max(most, value(problem, chosen))
  }
  return most
}

describe('small groups, against every plan', () => {
  it.each(Array.from({ length: 24 }, (_, i) => i + 1))('group %i', (seed) => {
    const problem = aProblem(seed, 3, 4)
    const limits = { bays: 1 + (seed % 2), hours: 2 }
    const { status, choices, bound } = solved(problem, limits)
    expect(status).toBe('Optimal')
    expect(value(problem, choices)).toBeCloseTo(best(problem, limits), 6)
    // What the programme counts is what the plan is worth.
    expect(bound).toBeCloseTo(value(problem, choices), 6)
  })
})

describe('a class of twenty and thirty exercises', () => {
  const problem = aProblem(7, 20, 30)
  const limits = { bays: 8, hours: 3 }
  it('the first plan keeps the limits and closes nine tenths of the best', () => {
    const first = greedyChoices(problem, limits)
    const { choices } = solved(problem, limits)
    expect(planOf(problem, first).minutes).toBeLessThanOrEqual(8 * 3 * 60)
    expect(planOf(problem, choices).minutes).toBeLessThanOrEqual(8 * 3 * 60)
    expect(value(problem, choices)).toBeGreaterThanOrEqual(value(problem, first) - 1e-9)
    expect(value(problem, first)).toBeGreaterThan(0.9 * value(problem, choices))
  })
  it('each choice says what it closes, and what the next best would close less', () => {
    const plan = planOf(problem, solved(problem, limits).choices)
    for (const task of plan.tasks) {
      expect(task.fills.length).toBeGreaterThan(0)
      if (task.second) expect(task.second.less).toBeGreaterThan(-1e-6)
    }
  })
})

it('nobody lacks anything, or no exercise helps: an empty plan, not an error', () => {
  const nothing = { ...aProblem(3, 2, 3), people: [{ id: 0, name: 'P', wants: [], had: [] }] }
  expect(solved(nothing, { bays: 2, hours: 2 }).choices).toEqual([])
  expect(greedyChoices(nothing, { bays: 2, hours: 2 })).toEqual([])
})
