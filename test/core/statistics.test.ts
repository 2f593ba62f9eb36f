/* Proportions and agreement against published worked examples, and against routines of another kind. */
import { describe, expect, it } from 'vitest'
import { agreement, kappa, tableOf, TOO_FEW_PAIRS, type Pair } from '#core/statistics/agreement'
import { changeOf, difference, wilson } from '#core/statistics/proportions'

describe('proportions', () => {
  it('Wilson’s interval of 81 of 263 is 0.2553 to 0.3662', () => {
    // R. G. Newcombe, Statistics in Medicine 17 (1998) 857, Table I, method 3; from memory.
    const { low, high } = wilson({ hits: 81, of: 263 })
    expect([low, high].map((value) => value.toFixed(4))).toEqual(['0.2553', '0.3662'])
  })
  it('the difference of 56/70 and 48/80 is 0.2, 0.0524 to 0.3339', () => {
    // R. G. Newcombe, Statistics in Medicine 17 (1998) 873, Table II (a), method 10; from memory.
    const { by, low, high } = difference({ hits: 56, of: 70 }, { hits: 48, of: 80 })
    expect([by, low, high].map((value) => value.toFixed(4))).toEqual(['0.2000', '0.0524', '0.3339'])
  })
  it('keeps 95 % of true differences inside, whatever they are', () => {
    let state = 42
    const next = () => (state = (state * 48271) % 2147483647) / 2147483647
    const drawn = (p: number, n: number) => Array.from({ length: n }, () => next() < p).filter(Boolean).length
    for (const [p, q] of [
      [0.5, 0.5],
      [0.2, 0.6],
      [0.9, 0.85],
    ] as const) {
      let inside = 0
      for (let run = 0; run < 2000; run += 1) {
        const { low, high } = difference({ hits: drawn(p, 40), of: 40 }, { hits: drawn(q, 50), of: 50 })
        if (low <= p - q && p - q <= high) inside += 1
      }
      expect(inside / 2000, `${p} and ${q}`).toBeGreaterThan(0.93)
      expect(inside / 2000, `${p} and ${q}`).toBeLessThan(0.98)
    }
  })
  it('says more or fewer only where chance hardly explains it, and nothing from a few', () => {
    const share = (hits: number, of: number) => ({ hits, of })
    expect(changeOf(share(10, 40), share(30, 40)).is).toBe('more')
    expect(changeOf(share(30, 40), share(10, 40)).is).toBe('fewer')
    expect(changeOf(share(18, 40), share(22, 40)).is).toBe('open')
    expect(changeOf(share(0, 11), share(40, 40))).toMatchObject({ is: 'tooFew', by: null })
  })
})

const pairsOf = (table: readonly (readonly number[])[]): Pair[] =>
  table.flatMap((row, i) => row.flatMap((n, j) => Array.from({ length: n }, (): Pair => [i, j])))

describe('agreement', () => {
  it('Cohen’s own example: κ 0.492', () => {
    // J. Cohen, Educational and Psychological Measurement 20 (1960) 37, Table 1 with 200 cases; from memory.
    const table = [[88, 14, 18], [10, 40, 10], [2, 6, 12]] // prettier-ignore
    expect(kappa(table, 'none')!.kappa).toBeCloseTo(0.492, 3)
  })
  it('psychosis, neurosis, organic: κ 0.676 with standard error 0.088, interval 0.50 to 0.85', () => {
    // J. L. Fleiss, Statistical Methods for Rates and Proportions, Table 13.1 (2nd ed.); from memory.
    const found = kappa([[75, 1, 4], [5, 4, 1], [0, 0, 10]], 'none')! // prettier-ignore
    expect(found.kappa).toBeCloseTo(0.676, 3)
    expect(found.error).toBeCloseTo(0.0877, 3)
    expect([found.low.toFixed(2), found.high.toFixed(2)]).toEqual(['0.50', '0.85'])
  })
  it('weighted or not, value and standard error agree with leaving out one pair at a time', () => {
    // Another routine: the jackknife, which knows nothing of the formula for the error.
    const table = [[22, 4, 1, 0], [5, 18, 6, 1], [0, 4, 15, 3], [1, 0, 2, 18]] // prettier-ignore
    const pairs = pairsOf(table)
    for (const weighing of ['none', 'linear', 'quadratic'] as const) {
      const whole = kappa(table, weighing)!
      const without = pairs.map(
        (_, i) =>
          kappa(
            tableOf(
              pairs.filter((__, j) => j !== i),
              4,
            ),
            weighing,
          )!.kappa,
      )
      const mean = without.reduce((sum, value) => sum + value, 0) / without.length
      const spread = without.reduce((sum, value) => sum + (value - mean) ** 2, 0)
      const error = Math.sqrt(((pairs.length - 1) / pairs.length) * spread)
      expect(whole.error / error, weighing).toBeGreaterThan(0.95)
      expect(whole.error / error, weighing).toBeLessThan(1.05)
    }
  })
  it('quadratic κ is the intraclass correlation of figures', () => {
    // Fleiss and Cohen, Educ. Psychol. Meas. 33 (1973) 613: equal up to 1/n where both have the same spread.
    const table = [[10, 2, 0], [2, 10, 2], [0, 2, 10]] // prettier-ignore
    const pairs = pairsOf(table)
    const n = pairs.length
    const mean = pairs.reduce((sum, [a, b]) => sum + a + b, 0) / (2 * n)
    const covariance = pairs.reduce((sum, [a, b]) => sum + (a - mean) * (b - mean), 0) / n
    const variance = pairs.reduce((sum, [a, b]) => sum + (a - mean) ** 2 + (b - mean) ** 2, 0) / (2 * n)
    expect(kappa(table, 'quadratic')!.kappa).toBeCloseTo(covariance / variance, 6)
  })
  it('too few say nothing; two who always say the same one thing have no κ; bias says who is kinder', () => {
    const few = Array.from({ length: TOO_FEW_PAIRS - 1 }, (): Pair => [0, 1])
    expect(agreement(few, 2)).toMatchObject({ pairs: 19, same: 0, bias: 1, plain: null })
    expect(
      agreement(
        Array.from({ length: 40 }, (): Pair => [1, 1]),
        2,
      ),
    ).toMatchObject({ same: 1, plain: null })
    expect(agreement([], 2)).toMatchObject({ pairs: 0, same: 0, bias: 0, plain: null })
  })
})
