/* Benches of first principles against worked examples and tables, and the judgement of a prediction. */
import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { startOf } from '#core/principles/bench'
import { BENCHES, BENCH_CODES, benchOf } from '#core/principles/benches'
import { judgePrediction } from '#core/principles/prediction'
import { QUANTITIES } from '#core/units/quantity'
import { benchFigure, benchTextOf, predictionSays } from '#words/principles'

const { rheostat, lamps, heat, warmth, run, drum, price, line } = BENCHES

describe('what the benches come to', () => {
  it('12 V over 6 Ω and 6 Ω: 1 A, half of the voltage and 6 W each; Ohm’s law, first principles', () => {
    expect(rheostat.work({ volt: 12, lampOhm: 6, rheostatOhm: 6 })).toEqual({
      current: 1,
      lampVolt: 6,
      lampPower: 6,
      rheostatPower: 6,
    })
  })
  it('two lamps of 60 W in series take a quarter each, side by side all of it; first principles', () => {
    expect(lamps.work({ count: 2, watt: 60, beside: 0 }).lampPower).toBeCloseTo(15, 9)
    expect(lamps.work({ count: 2, watt: 60, beside: 1 })).toMatchObject({ lampVolt: 230 })
    expect(lamps.work({ count: 2, watt: 60, beside: 1 }).whole).toBeCloseTo(120, 9)
  })
  it('16 A through 20 m of 1.5 mm²: 2 × 20 × 12.1 mΩ, 124 W; IEC 60228 class 1, from memory', () => {
    const { ohm, lost, drop } = heat.work({ areaMm2: 1.5, current: 16, lengthM: 20 })
    expect(ohm).toBeCloseTo(0.484, 3)
    expect(lost).toBeCloseTo(16 ** 2 * 0.484, 0)
    expect(drop).toBeCloseTo(16 * 0.484, 2)
  })
  it('copper at 70 °C has a fifth more than at 20 °C; 0.004 per kelvin, from memory of BS 7671 Appendix 3 guidance', () => {
    const { more, ohm, cold } = warmth.work({ areaMm2: 2.5, lengthM: 100, conductorC: 70 })
    expect(more).toBeCloseTo(0.2, 9)
    expect(cold).toBeCloseTo(0.741, 3)
    expect(ohm / cold).toBeCloseTo(1.2, 9)
  })
  it('one load at the end drops what the table says: 18 mV/A/m of 2.5 mm²; BS 7671 Table 4D5, from memory', () => {
    const { drop } = run.work({ areaMm2: 2.5, loads: 1, each: 6, spacingM: 30 })
    expect((1000 * drop) / (6 * 30)).toBeCloseTo(18, 0)
  })
  it('loads along a run drop (n + 1) ÷ 2n of the same current taken at its end; first principles', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 5, max: 30 }), (loads, spacingM) => {
        const along = run.work({ areaMm2: 4, loads, each: 2, spacingM }).drop
        const atEnd = run.work({ areaMm2: 4, loads: 1, each: 2 * loads, spacingM: spacingM * loads }).drop
        expect(along / atEnd).toBeCloseTo((loads + 1) / (2 * loads), 9)
      }),
    )
  })
  it('a drum at 13 A stretched out, and at 5 A wound up, is equally warm, and below 70 °C', () => {
    const { hottest: stretched, rise } = drum.work({ current: 13, wound: 0 })
    expect(benchFigure(rise, drum.figures.rise)).toBe('40 K')
    expect(stretched).toBeCloseTo(65, 9)
    expect(drum.work({ current: 5, wound: 100 }).hottest).toBeCloseTo(stretched, 9)
    expect(drum.work({ current: 13, wound: 100 }).hottest).toBeGreaterThan(200)
  })
  it('3 kW for two hours a day, 30 days at 25 p: 180 kWh, £45; first principles', () => {
    expect(price.work({ watt: 3000, hours: 2, days: 30, pence: 25 })).toMatchObject({ taken: 180, cost: 45 })
    expect(benchFigure(45, 'money')).toBe('£45.00')
  })
  it('ten times the voltage, a hundredth of the loss; a line loses no more than is sent', () => {
    const at = (ratio: number) => line.work({ kilowatt: 10, ohm: 0.5, ratio }).lost
    expect(at(1)).toBeCloseTo((10_000 / 230) ** 2 * 0.5, 6)
    expect(at(10) / at(1)).toBeCloseTo(0.01, 9)
    const most = line.work({ kilowatt: 40, ohm: 2, ratio: 1 })
    expect([most.lost, most.arrives]).toEqual([40_000, 0])
  })
})

test('every bench, wherever its knobs stand, has figures that can be written, and words for each of them', () => {
  for (const code of BENCH_CODES) {
    const one = benchOf(code)
    const text = benchTextOf(code)
    const turned = Object.entries(one.knobs).map(([key, knob]) => {
      expect(text.knobs, `${code} ${key}`).toHaveProperty(key)
      return 'choices' in knob
        ? fc.tuple(fc.constant(key), fc.constantFrom(...knob.choices))
        : fc.tuple(
            fc.constant(key),
            fc
              .integer({ min: 0, max: Math.round((knob.most - knob.least) / knob.step) })
              .map((i) => knob.least + i * knob.step),
          )
    })
    fc.assert(
      fc.property(fc.tuple(...turned), (pairs) => {
        const figures = one.work(Object.fromEntries(pairs))
        expect(Object.keys(figures).sort()).toEqual(Object.keys(one.figures).sort())
        for (const [key, value] of Object.entries(figures)) {
          expect(Number.isFinite(value), `${code} ${key}`).toBe(true)
          expect(QUANTITIES).toHaveProperty(one.figures[key]!)
          expect(text.figures).toHaveProperty(key)
        }
      }),
      { numRuns: 30 },
    )
    for (const [key, knob] of Object.entries(one.knobs)) {
      const { start } = knob
      if ('choices' in knob) expect(knob.choices, `${code} ${key}`).toContain(start)
      else expect(start >= knob.least && start <= knob.most, `${code} ${key}`).toBe(true)
    }
    expect(one.work(startOf(one))).toHaveProperty(one.asked)
  }
})

describe('a prediction', () => {
  it('is right to within 5 %; a shifted point, twice and half are told apart from the rest', () => {
    expect(judgePrediction(1.04, 1)).toEqual({ is: 'right' })
    expect(judgePrediction(1.06, 1)).toMatchObject({ is: 'off' })
    expect(judgePrediction(10, 1)).toEqual({ is: 'tenfold', times: 10 })
    expect(judgePrediction(0.001, 1)).toEqual({ is: 'tenfold', times: 0.001 })
    expect(judgePrediction(2, 1)).toEqual({ is: 'double' })
    expect(judgePrediction(0.5, 1)).toEqual({ is: 'half' })
    expect(judgePrediction(0, 0)).toEqual({ is: 'right' })
    expect(judgePrediction(3, 0)).toEqual({ is: 'off', share: Infinity })
    expect(judgePrediction(0, 3)).toEqual({ is: 'off', share: -1 })
  })
  it('is answered in words that say where to look', () => {
    expect(predictionSays({ is: 'tenfold', times: 0.001 })).toBe(
      'The figures are right, the decimal point is not: 1000 times too little. Look at the units.',
    )
    expect(predictionSays({ is: 'off', share: 0.304 })).toBe('30 % too much.')
    expect(predictionSays({ is: 'off', share: 10.2 })).toBe('11 times as much as comes out.')
    expect(predictionSays({ is: 'half' })).toMatch(/out and back/)
  })
})
