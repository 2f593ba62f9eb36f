/* Standing leakage and neutral currents against published examples.
   30 % of IΔn: BS 7671:2018 531.3.2, from memory. Third harmonics: BS 7671 Appendix 4, 5.5 and the example that goes
   with it (a three-phase circuit of 39 A in a four-core 70 °C cable clipped to a wall), from memory. Phasor sums:
   Kirchhoff, with the law of cosines worked out here. */
import { describe, expect, it } from 'vitest'
import { adviseLeakage } from '#core/design/advisers/leakage'
import { adviseNeutral } from '#core/design/advisers/neutral'
import { shippedBook, sizesIn } from '#core/regulations/book/book'

const even = (ampere: number, powerFactor = 1) => ({ ampere, powerFactor })

describe('the neutral of three lines', () => {
  it('equal lines leave nothing', () => {
    const { neutralA } = adviseNeutral({ lines: [even(20), even(20), even(20)], thirdHarmonic: 0 })
    expect(neutralA).toBeCloseTo(0, 6)
  })
  it('one line alone comes back whole', () => {
    expect(adviseNeutral({ lines: [even(16), even(0), even(0)], thirdHarmonic: 0 }).neutralA).toBeCloseTo(16)
  })
  it.each([
    [10, 20, 30],
    [32, 20, 10],
    [60, 40, 60],
  ])('unequal lines %i, %i, %i A: √(a² + b² + c² − ab − bc − ca)', (a, b, c) => {
    const byCosines = Math.sqrt(a * a + b * b + c * c - a * b - b * c - c * a)
    const { neutralA } = adviseNeutral({ lines: [even(a), even(b), even(c)], thirdHarmonic: 0 })
    expect(neutralA).toBeCloseTo(byCosines, 6)
  })
  it('power factors turn the phasors: two equal lines at 1 and 0.5 lagging, 60° apart more or less', () => {
    const { neutralA } = adviseNeutral({ lines: [even(10), even(10, 0.5), even(0)], thirdHarmonic: 0 })
    // 120° + 60° = 180° between them: they cancel.
    expect(neutralA).toBeCloseTo(0, 6)
  })
})

describe('third harmonics: the printed example of 39 A', () => {
  const at = (thirdHarmonic: number) =>
    adviseNeutral({ lines: [even(39), even(39), even(39)], thirdHarmonic })
  /** Three loaded conductors of a multicore cable, method C. */
  const sizeFor = (ampere: number) =>
    sizesIn(shippedBook(), 'multicore', 'C', 3).find(({ ratingA }) => ratingA >= ampere)?.lineMm2
  it('none: 39 A by the line', () => {
    expect(at(0)).toMatchObject({ factor: 1, sizedBy: 'line', tabulatedA: 39 })
  })
  it('20 %: 39 ÷ 0.86 = 45 A by the line', () => {
    expect(at(0.2)).toMatchObject({ factor: 0.86, sizedBy: 'line' })
    expect(at(0.2).tabulatedA).toBeCloseTo(45.3, 1)
  })
  it('40 %: 3 × 0.4 × 39 = 46.8 A in the neutral, ÷ 0.86 = 54.4 A', () => {
    expect(at(0.4)).toMatchObject({ factor: 0.86, sizedBy: 'neutral' })
    expect(at(0.4).neutralA).toBeCloseTo(46.8, 6)
    expect(at(0.4).tabulatedA).toBeCloseTo(54.4, 1)
  })
  it('50 %: 58.5 A in the neutral, no further factor', () => {
    expect(at(0.5)).toMatchObject({ factor: 1, sizedBy: 'neutral' })
    expect(at(0.5).tabulatedA).toBeCloseTo(58.5, 6)
  })
  // √(20² + 28²) = 34.4 A
  it('unequal lines of 40, 20 and 20 A with 35 %: the neutral has less than the line, which decides', () => {
    const advice = adviseNeutral({ lines: [even(40), even(20), even(20)], thirdHarmonic: 0.35 })
    expect(advice.neutralA).toBeCloseTo(34.4, 1)
    expect(advice).toMatchObject({ sizedBy: 'line', factor: 0.86 })
    expect(advice.tabulatedA).toBeCloseTo(46.5, 1)
  })
  it('so the sizes are 6, 10, 10 and 16 mm²', () => {
    const sizes = [0, 0.2, 0.4, 0.5].map((share) => sizeFor(at(share).tabulatedA))
    expect(sizes).toEqual([6, 10, 10, 16])
  })
})

const NONE = { count: 0, eachW: 0 }

describe('standing leakage', () => {
  it('six computers of 1.5 mA are 9 mA: just what 30 mA allows; a seventh is too many', () => {
    const of = (computer: number) => adviseLeakage({ items: { computer }, heating: NONE, ratedA: 0.03 })
    expect(of(6)).toMatchObject({ isKept: true, shares: 1 })
    expect(of(6).totalA).toBeCloseTo(9e-3)
    expect(of(7)).toMatchObject({ isKept: false, shares: 2 })
  })
  it('heating counts 0.75 mA for each kW, and no appliance more than 5 mA', () => {
    const of = (count: number, eachW: number) =>
      adviseLeakage({ items: {}, heating: { count, eachW }, ratedA: 0.03 }).totalA
    expect(of(1, 2000)).toBeCloseTo(1.5e-3)
    expect(of(1, 12_000)).toBeCloseTo(5e-3)
    expect(of(3, 12_000)).toBeCloseTo(15e-3)
  })
  it('nothing leaks nothing', () => {
    expect(adviseLeakage({ items: {}, heating: NONE, ratedA: 0.03 })).toMatchObject({
      totalA: 0,
      isKept: true,
      lines: [],
    })
  })
})
