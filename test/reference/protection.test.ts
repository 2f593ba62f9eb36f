/*
 * Opening times against the limits of the product standards: BS EN 60898-1 Table 7 (breakers), BS EN 61008-1 Table 1
 * (RCDs), BS EN 62606 Table 1 (arc-fault devices), BS 7671 Tables 41.2 and 41.4 (fuses); all from memory.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { openingBand, plugFuseBand } from '#core/bay/protection/band'
import { arcTimeS, rcdBand, seesDc } from '#core/bay/protection/rcd'
import { openingTimeS } from '#core/regulations/time-current'

const breaker = (curve: 'B' | 'C' | 'D') => ({ family: 'breaker', curve }) as const

describe('breakers keep to the limits of their standard', () => {
  it.each([
    ['1.13 In holds for an hour', 'B', 16, 1.13 * 16, { least: 3599 }],
    ['1.45 In opens within the hour', 'B', 16, 1.45 * 16, { most: 3601 }],
    ['2.55 In opens after 1 s at the least', 'C', 32, 2.55 * 32, { least: 0.999 }],
    ['2.55 In opens within 60 s up to 32 A', 'C', 32, 2.55 * 32, { most: 60.01 }],
    ['2.55 In opens within 120 s above 32 A', 'C', 40, 2.55 * 40, { most: 120.01 }],
    ['B: 5 In at once', 'B', 6, 30, { most: 0.1 }],
    ['C: 10 In at once', 'C', 6, 60, { most: 0.1 }],
    ['D: 20 In at once', 'D', 6, 120, { most: 0.1 }],
  ] as const)('%s', (_, curve, ratingA, currentA, limits) => {
    const { earliestS, latestS } = openingBand(breaker(curve), ratingA, currentA)
    if ('least' in limits) expect(earliestS).toBeGreaterThanOrEqual(limits.least)
    if ('most' in limits) expect(latestS).toBeLessThanOrEqual(limits.most)
  })

  it.each([
    ['B', 2.99],
    ['C', 4.99],
    ['D', 9.99],
  ] as const)('%s may not act at once below the lower end of its magnetic band', (curve, multiple) => {
    expect(openingBand(breaker(curve), 16, 16 * multiple).earliestS).toBeGreaterThan(0.05)
  })

  it('holds its rating for ever', () => expect(openingBand(breaker('B'), 16, 16).usualS).toBe(Infinity))

  it('is ordered, and never slower at a larger current', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('B' as const, 'C' as const, 'D' as const),
        fc.constantFrom(6, 16, 32, 63),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        (curve, ratingA, multiple, more) => {
          const timeBand = openingBand(breaker(curve), ratingA, ratingA * multiple)
          const two = openingBand(breaker(curve), ratingA, ratingA * multiple * more)
          expect(timeBand.earliestS).toBeLessThanOrEqual(timeBand.usualS)
          expect(timeBand.usualS).toBeLessThanOrEqual(timeBand.latestS)
          for (const key of ['earliestS', 'latestS', 'usualS'] as const)
            expect(two[key]).toBeLessThanOrEqual(timeBand[key] * (1 + 1e-12))
        },
      ),
    )
  })

  it('has opened by the time that the design chain reckons with', () => {
    for (const multiple of [1.5, 2, 2.55, 3, 5, 8])
      expect(openingBand(breaker('B'), 32, 32 * multiple).latestS).toBeLessThanOrEqual(
        openingTimeS(breaker('B'), 32, 32 * multiple) * 1.0001,
      )
  })
})

describe('fuses', () => {
  // Table 41.2 and 41.4: 230 × 0.95 ÷ Zs melts the fuse in 0.4 s and in 5 s.
  it.each([
    [32, 0.99, 0.4],
    [32, 1.7, 5],
    [20, 1.68, 0.4],
  ])('BS 88-2, %i A: the current of Zs %f Ω melts it in %f s', (ratingA, zsOhm, timeS) => {
    expect(openingBand({ family: 'fuse-gg', curve: null }, ratingA, (230 * 0.95) / zsOhm).usualS).toBeCloseTo(
      timeS,
      3,
    )
  })
  it('a 13 A plug fuse carries 13 A, and 20 A does not melt it within a minute', () => {
    expect(plugFuseBand(13, 13).latestS).toBe(Infinity)
    expect(plugFuseBand(13, 20).usualS).toBeGreaterThan(60)
  })
})

describe('RCDs', () => {
  const general = { ratedA: 0.03, type: 'A', isDelayed: false } as const
  it('do not act below half of IΔn and always at IΔn, whatever the specimen', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1, noNaN: true }), (share) => {
        expect(rcdBand(general, 0.0149, share)).toBeUndefined()
        expect(rcdBand(general, 0.03, share)!.latestS).toBeLessThanOrEqual(0.3)
      }),
    )
  })
  it('30 mA at 150 mA within 40 ms', () => expect(rcdBand(general, 0.15)!.latestS).toBeLessThanOrEqual(0.04))
  it('a delayed device waits 130 ms and no longer than 500 ms at IΔn', () => {
    const { earliestS, latestS, usualS } = rcdBand({ ratedA: 0.1, type: 'A', isDelayed: true }, 0.1)!
    expect([earliestS, latestS]).toEqual([0.13, 0.5])
    expect(usualS).toBeGreaterThan(earliestS)
    expect(usualS).toBeLessThan(latestS)
  })
  it('type AC is blind to pulsating direct current, type B sees all', () => {
    expect(seesDc('AC', 'pulsating')).toBe(false)
    expect(seesDc('A', 'pulsating')).toBe(true)
    expect(seesDc('B', 'smooth')).toBe(true)
  })
  it('an arc of 10 A is ended within a quarter of a second, one of 1 A is not seen', () => {
    expect(arcTimeS(10)).toBe(0.25)
    expect(arcTimeS(1)).toBeUndefined()
  })
})
