/* Cutting lists against HiGHS, an open mixed-integer solver (Huangfu and Hall, 2018), of the registry: bin packing as an assignment model for one bay,
   the pattern relaxation of Gilmore and Gomory (1961, from memory) for a session. */
import fc from 'fast-check'
import loadHighs from 'highs'
import { describe, expect, it } from 'vitest'
import { cutStock, KERF_MM } from '#core/containment/cutting'

const STOCK_MM = 3000
const highs = await loadHighs()
const objective = (problem: string): number => {
  const { Status, ObjectiveValue } = highs.solve(problem, { output_flag: false })
  if (Status !== 'Optimal') throw new Error(Status)
  return ObjectiveValue
}
const pieces = (lengths: readonly number[]) => lengths.map((lengthMm, i) => ({ name: `p${i}`, lengthMm }))

/**
 * The fewest bars: x_i_b, piece i in bar b; y_b, bar b is used. A piece may stand in no bar of a higher
 * number than its own, since bars are alike.
 */
function fewestBars(lengths: readonly number[]): number {
  const all = lengths.map((_, i) => i)
  const may = (i: number, b: number) => b <= i
  const rows = [
    ...all.map(
      (i) =>
        ` one${i}: ${all
          .filter((b) => may(i, b))
          .map((b) => `x${i}_${b}`)
          .join(' + ')} = 1`,
    ),
    // A cut between two pieces and none at the end: every piece and the bar are longer by one.
    ...all.map(
      (b) =>
        ` bar${b}: ${all
          .filter((i) => may(i, b))
          .map((i) => `${lengths[i]! + KERF_MM} x${i}_${b}`)
          .join(' + ')} - ${STOCK_MM + KERF_MM} y${b} <= 0`,
    ),
  ]
  const names = [
    ...all.map((b) => `y${b}`),
    ...all.flatMap((i) => all.filter((b) => may(i, b)).map((b) => `x${i}_${b}`)),
  ]
  return Math.round(
    objective(
      `Minimize\n obj: ${all.map((b) => `y${b}`).join(' + ')}\nSubject To\n${rows.join('\n')}\nBinary\n ${names.join(' ')}\nEnd`,
    ),
  )
}

/** Every way to fill a bar from these kinds of piece to which none can be added. */
function patterns(kinds: readonly number[]): number[][] {
  const found: number[][] = []
  const fill = (at: number, left: number, own: number[]): void => {
    if (at === kinds.length) {
      if (kinds.every((kind) => kind + KERF_MM > left)) found.push([...own])
      return
    }
    for (let n = 0; n * (kinds[at]! + KERF_MM) <= left; n += 1)
      fill(at + 1, left - n * (kinds[at]! + KERF_MM), [...own, n])
  }
  fill(0, STOCK_MM + KERF_MM, [])
  return found
}

/** No plan can have fewer bars than this: bars of every pattern, in fractions too. */
function relaxation(kinds: readonly number[], each: number): number {
  const ways = patterns(kinds)
  const rows = kinds.map(
    (_, k) =>
      ` kind${k}: ${ways.flatMap((way, w) => (way[k]! > 0 ? [`${way[k]} z${w}`] : [])).join(' + ')} >= ${each}`,
  )
  return Math.ceil(
    objective(
      `Minimize\n obj: ${ways.map((_, w) => `z${w}`).join(' + ')}\nSubject To\n${rows.join('\n')}\nEnd`,
    ) - 1e-6,
  )
}

describe('cutting lists against an outside solver', () => {
  it('one bay, up to eleven pieces: the same number of bars, and said to be the least', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 250, max: 2400 }), { minLength: 6, maxLength: 11 }),
        (lengths) => {
          const plan = cutStock(pieces(lengths), STOCK_MM)
          expect(plan.bars.length).toBe(fewestBars(lengths))
          expect(plan.isLeast).toBe(true)
        },
      ),
      { numRuns: 25 },
    )
  })
  it.each([
    [8, [1284, 1010, 735, 640]],
    [16, [2441, 1460, 1150, 905, 780]],
    [16, [1710, 1322, 1185, 998, 862, 730]],
    [12, [1501, 1001, 999, 751]],
    // Near a third and near a quarter of a bar little fits beside a piece.
    [30, [958, 1034, 1002, 1090, 977, 921]],
    [30, [748, 739, 761, 733, 772]],
  ])(
    'a session of %i bays with %j mm: what no plan can beat, or one bar in a hundred more',
    (bays, kinds) => {
      const plan = cutStock(pieces(Array.from({ length: bays }, () => kinds).flat()), STOCK_MM)
      const least = relaxation(kinds, bays)
      expect(plan.leastBars).toBeLessThanOrEqual(least)
      expect(plan.bars.length).toBeGreaterThanOrEqual(least)
      expect(plan.bars.length).toBeLessThanOrEqual(Math.max(least, Math.ceil(least * 1.01)))
      if (plan.isLeast) expect(plan.bars.length).toBe(least)
    },
  )
})
