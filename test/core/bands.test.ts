/* Expected readings of any bay: the band holds the value, follows the length, and the limit follows the policy. */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { Task } from '#core/design/model/task'
import type { ReadingKey } from '#core/testing/kinds/kinds'
import { tasks } from '../support/arbitrary'
import { expectedByKind, worked } from '../support/task'

const csaOf = (task: Task) => worked(task).steps.find(({ key }) => key === 'csa')?.value
const expectedAt = (task: Task) => (worked(task).ok ? expectedByKind(task) : undefined)

test('every band holds its own value and is wider than the last digit of the instrument', () => {
  fc.assert(
    fc.property(tasks, (task) => {
      const readings = expectedAt(task)
      fc.pre(readings !== undefined)
      expect(readings!.size).toBeGreaterThanOrEqual(7)
      for (const { value, low, high } of readings!.values()) {
        if (value === undefined || high === undefined) continue
        expect(low).toBeLessThan(value)
        expect(high).toBeGreaterThan(value)
        // The last place is 0.01 Ω; a band of a very short run is cut off at zero.
        expect(high - low).toBeGreaterThan(0.02)
      }
    }),
  )
})

test('a longer run moves the bands of R1 + R2 and Zs up, and leaves Ze and insulation alone', () => {
  fc.assert(
    fc.property(tasks, (task) => {
      const [near, far] = [expectedAt(task), expectedAt({ ...task, lengthM: task.lengthM * 1.4 })]
      const sameCable = csaOf(task) === csaOf({ ...task, lengthM: task.lengthM * 1.4 })
      fc.pre(near !== undefined && far !== undefined && sameCable)
      for (const key of ['r1r2', 'zs'] as ReadingKey[]) {
        expect(far!.get(key)!.low).toBeGreaterThan(near!.get(key)!.low - 1e-12)
        expect(far!.get(key)!.high!).toBeGreaterThan(near!.get(key)!.high!)
      }
      expect(far!.get('ze')).toEqual(near!.get('ze'))
      expect(far!.get('irLE')!.low).toBe(near!.get('irLE')!.low)
    }),
  )
})

test('Zs stays Ze + (R1 + R2), and what the loop leaves after Ze is the limit of R1 + R2, under both policies', () => {
  fc.assert(
    fc.property(
      tasks,
      fc.constantFrom('eighty-percent' as const, 'corrected' as const),
      (any, measuredZs) => {
        const task = { ...any, measuredZs }
        const readings = expectedAt(task)
        fc.pre(readings !== undefined)
        const [r1r2, zs] = [readings!.get('r1r2')!, readings!.get('zs')!]
        // Tails, earthing conductor and the device's own contacts lie between: a small breaker has some tens
        // of milliohms.
        const tailsOhm = zs.value! - r1r2.value! - task.supply.zeOhm
        // The bonded pipe, 20 Ω to earth, lies beside the earth of the supply: Ze² ÷ (Ze + 20) less.
        const { zeOhm, arrangement } = task.supply
        const besideOhm = arrangement === 'TT' ? 0 : zeOhm ** 2 / (zeOhm + 20)
        expect(tailsOhm).toBeGreaterThanOrEqual(-besideOhm - 1e-3)
        expect(tailsOhm).toBeLessThan(0.06)
        expect(r1r2.limit!.value).toBeCloseTo(Math.max(0, zs.limit!.value - task.supply.zeOhm), 9)
      },
    ),
  )
})

test('own correction never judges the design itself too hot: a circuit as designed passes its own measured limit', () => {
  fc.assert(
    fc.property(tasks, (any) => {
      const readings = expectedAt({ ...any, measuredZs: 'corrected' })
      fc.pre(readings !== undefined)
      const zs = readings!.get('zs')!
      // But for the bay's tails and contacts, which the design does not know.
      expect(zs.value!).toBeLessThanOrEqual(zs.limit!.value + 0.06)
    }),
  )
})
