import fc from 'fast-check'
import { expect, test } from 'vitest'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { difficultyOf, loadSize, makeVariants } from '#core/exercise/variants'
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
  })
  expect(makeVariants(anExercise({ installation: around(aTask({ lengthM: 480 })) }), 5)).toMatchObject({
    ok: false,
    reason: 'baseUnsolvable',
  })
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
