import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { loadSize } from '#core/exercise/variant-circuit'
import { difficultyOf, makeVariants } from '#core/exercise/variants'
import { tooFewSays } from '#words/variants'
import { aTask, anExercise, around } from '../support/task'
import { tasks } from '../support/arbitrary'

const many = (exercise = anExercise(), count = 20) => {
  const variantsResult = makeVariants(exercise, count)
  if (!variantsResult.ok) throw new Error(variantsResult.reason)
  return variantsResult.variants
}

test('the same seed gives the same variants, another seed others', () => {
  expect(many()).toEqual(many())
  expect(many(anExercise({ variants: { seed: 8, lengthSpread: 0.18, loadSpread: 0.1 } }))).not.toEqual(many())
})

test('a latecomer gets the next variant; nobody else’s changes', () => {
  expect(many(anExercise(), 21).slice(0, 20)).toEqual(many())
})

test('every variant is solvable, of like difficulty, inside the spread, and its own', () => {
  fc.assert(
    fc.property(tasks, fc.integer({ min: 0, max: 999 }), (task, seed) => {
      const exercise = anExercise({
        installation: around(task),
        variants: { seed, lengthSpread: 0.2, loadSpread: 0.15 },
      })
      const variantsResult = makeVariants(exercise, 8)
      fc.pre(variantsResult.ok)
      if (!variantsResult.ok) return
      const base = difficultyOf(designOf(assignmentOf(exercise)))
      const seen = new Set<string>()
      for (const variant of variantsResult.variants) {
        const { lengthM, load } = variant.installation.circuits[0]!
        expect(designOf(assignmentOf(exercise, variant.installation)).ok).toBe(true)
        expect(variant.difficulty.governs).toEqual(base.governs)
        expect(Math.abs(variant.difficulty.score - base.score)).toBeLessThanOrEqual(1)
        expect(Math.abs(lengthM - task.lengthM)).toBeLessThanOrEqual(0.2 * task.lengthM + 0.5)
        seen.add(`${lengthM}/${loadSize(load)}`)
      }
      expect(seen.size).toBe(8)
    }),
    { numRuns: 40 },
  )
})

test('no spread, no variants: the refusal says how many there were', () => {
  expect(makeVariants(anExercise({ variants: { seed: 1, lengthSpread: 0, loadSpread: 0 } }), 5)).toEqual({
    ok: false,
    reason: 'tooFew',
    found: 1,
    wanted: 5,
    circuit: 'c1',
  })
  expect(makeVariants(anExercise({ installation: around(aTask({ lengthM: 480 })) }), 5)).toMatchObject({
    ok: false,
    reason: 'baseUnsolvable',
  })
})

const demo = (code: string) => JSON.parse(readFileSync(`packs/workshop/${code}.json`, 'utf8')) as Exercise

test.each(['T-01', 'T-02'])('%s: thirty variants, each its own', (code) => {
  const exercise = demo(code)
  const made = many(exercise, 30)
  for (const [i, { id }] of exercise.installation.circuits.entries()) {
    if (!exercise.asks.circuits.includes(id)) continue
    const figures = made.map(({ installation: { circuits } }) => {
      const { lengthM, load } = circuits[i]!
      return `${lengthM} ${loadSize(load)}`
    })
    expect(new Set(figures).size).toBe(30)
  }
})

test.each([
  ['T-04', 'c6'],
  ['T-05', 'c4'],
])('%s has fewer than thirty that tell a copy: the circuit that has no more is named', (code, circuit) => {
  const exercise = demo(code)
  const made = makeVariants(exercise, 30)
  expect(made).toMatchObject({ ok: false, reason: 'tooFew', circuit })
  if (made.ok) return
  const { name } = exercise.installation.circuits.find(({ id }) => id === circuit)!
  expect(tooFewSays(made, exercise.installation.circuits)).toContain(name)
  expect(many(exercise, made.found)).toHaveLength(made.found)
})

test('a task on the edge of a limit is ambiguous and no base for variants', () => {
  // 3670 W is 15.96 A: whether a 16 A device is right depends on one digit.
  const installation = around(aTask({ load: { basis: 'power', powerW: 3670, powerFactor: 1 } }))
  expect(makeVariants(anExercise({ installation }), 5)).toEqual({
    ok: false,
    reason: 'baseAmbiguous',
    found: 0,
    wanted: 5,
    circuit: 'c1',
  })
})
