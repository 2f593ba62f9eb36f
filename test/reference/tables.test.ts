/* Tables of the core against published ones. Every expected value: from memory of the document named above it. */
import { expect, test } from 'vitest'
import type { CableKind, Method } from '#core/regulations/cables/cable'
import { CABLES, pairOhmPerM } from '#core/regulations/cables/sizes'
import { COPPER_OHM_PER_M, copperMultiplier } from '#core/regulations/conductors'
import { shippedBook, breakerZsOhm, rcdZsOhm, sizeIn } from '#core/regulations/book/book'
import type { Curve } from '#core/regulations/devices'
import { AMBIENT_FACTOR, GROUPING_FACTOR } from '#core/regulations/factors'

// BS 7671:2018 Table 41.3, maximum Zs at 230 V with Cmin 0.95, Ω; the printed values, not the formula.
test.each<[Curve, number, number]>([
  ['B', 6, 7.28],
  ['B', 10, 4.37],
  ['B', 16, 2.73],
  ['B', 20, 2.19],
  ['B', 25, 1.75],
  ['B', 32, 1.37],
  ['B', 40, 1.09],
  ['B', 50, 0.87],
  ['B', 63, 0.69],
  ['C', 6, 3.64],
  ['C', 10, 2.19],
  ['C', 16, 1.37],
  ['C', 20, 1.09],
  ['C', 25, 0.87],
  ['C', 32, 0.68],
  ['C', 40, 0.55],
  ['C', 50, 0.44],
  ['C', 63, 0.35],
  ['D', 6, 1.82],
  ['D', 10, 1.09],
  ['D', 16, 0.68],
  ['D', 20, 0.55],
  ['D', 25, 0.44],
  ['D', 32, 0.34],
])('Table 41.3: %s%d may have %d Ω', (curve, rating, ohm) => {
  // The printed table rounds some entries down; a hundredth is its last place.
  expect(Math.abs(breakerZsOhm(shippedBook(), curve, rating) - ohm)).toBeLessThanOrEqual(0.0101)
})

// BS 7671:2018 Table 41.5, maximum Zs for RCDs at 50 V, Ω.
test.each([
  [0.03, 1667],
  [0.1, 500],
  [0.3, 167],
])('Table 41.5: %d A allows %d Ω', (residual, ohm) => {
  expect(rcdZsOhm(shippedBook(), residual)).toBe(ohm)
})

// BS 7671:2018 Tables 4D5 and 4D1A, A.
test.each<[CableKind, Method, number, number]>([
  ['flat-twin-earth', 'C', 1, 16],
  ['flat-twin-earth', 'C', 1.5, 20],
  ['flat-twin-earth', 'C', 2.5, 27],
  ['flat-twin-earth', 'C', 4, 37],
  ['flat-twin-earth', 'C', 6, 47],
  ['flat-twin-earth', 'C', 10, 64],
  ['flat-twin-earth', 'C', 16, 85],
  ['flat-twin-earth', '100', 2.5, 21],
  ['flat-twin-earth', '101', 2.5, 17],
  ['flat-twin-earth', '102', 6, 35],
  ['flat-twin-earth', '103', 2.5, 13.5],
  ['flat-twin-earth', 'A', 2.5, 20],
  ['singles-in-conduit', 'B', 1.5, 17.5],
  ['singles-in-conduit', 'B', 2.5, 24],
  ['singles-in-conduit', 'B', 4, 32],
  ['singles-in-conduit', 'B', 10, 57],
  ['singles-in-conduit', 'A', 2.5, 20],
])('ratings: %s, method %s, %d mm² carries %d A', (kind, method, area, ampere) => {
  expect(sizeIn(shippedBook(), kind, method, 1, area)!.ratingA).toBe(ampere)
})

// On-Site Guide Appendix I, Table I1, r1 + r2 in mΩ/m at 20 °C for the usual pairs.
test.each([
  [1, 1, 36.2],
  [1.5, 1, 30.2],
  [2.5, 1.5, 19.51],
  [4, 1.5, 16.71],
  [6, 2.5, 10.49],
  [10, 4, 6.44],
  [16, 6, 4.23],
  [2.5, 2.5, 14.82],
])('Table I1: %d/%d mm² has %d mΩ/m', (lineMm2, cpcMm2, milliohm) => {
  const kind = lineMm2 === cpcMm2 ? 'multicore' : 'flat-twin-earth'
  const size = sizeIn(shippedBook(), kind, 'C', 1, lineMm2)!
  expect(size.cpcMm2).toBe(cpcMm2)
  expect(pairOhmPerM(size) * 1e3).toBeCloseTo(milliohm, 6)
})

// BS EN 60228 gives resistance by area with copper at 58 MS/m; strand lay and tinning allow up to some per
// cent more.
test('conductor resistances follow the resistivity of copper, 17.241 nΩm (IEC 60028)', () => {
  for (const [area, ohm] of Object.entries(COPPER_OHM_PER_M)) {
    const solid = 17.241e-9 / (Number(area) * 1e-6)
    expect(ohm / solid, `${area} mm²`).toBeGreaterThan(1)
    expect(ohm / solid, `${area} mm²`).toBeLessThan(1.09)
  }
})

// The volt drop column is both conductors at operating temperature: 2 × r × (234.5 + θ) ÷ 254.5 (BS EN
// 60228), printed to two figures;
// reactance adds a little from 25 mm² upward, and mineral conductors are made a little fuller.
test('mV/A/m equals twice the hot conductor resistance to the printed figures; √3 ÷ 2 of it for three phases', () => {
  for (const cable of Object.values(CABLES)) {
    const toService = (234.5 + cable.conductorC) / (234.5 + 20)
    cable.lineMm2.forEach((area, i) => {
      const single = cable.voltDropVPerAm[1]![i]!
      expect(
        Math.abs(single / (2 * COPPER_OHM_PER_M[area]! * toService) - 1),
        `${cable.kind} ${area} mm²`,
      ).toBeLessThan(cable.kind === 'mineral' ? 0.1 : 0.06)
      const three = cable.voltDropVPerAm[3]?.[i]
      if (three !== undefined)
        expect(Math.abs(three / single - Math.sqrt(3) / 2), `${cable.kind} ${area} mm²`).toBeLessThan(0.05)
    })
  }
})

test('the hot multiplier 1.20 is the coefficient 0.004 over 50 K (On-Site Guide Table I3)', () => {
  expect([copperMultiplier(70), copperMultiplier(90)]).toEqual([1.2, 1.28])
})

// BS 7671 Appendix 4: Ca = √((70 − θ) ÷ (70 − 30)), the physical ground of Table 4B1, printed to two places.
test('ambient factors follow the square root of the temperature rise left', () => {
  for (const [ambient, factor] of AMBIENT_FACTOR[70])
    expect(Math.abs(factor - Math.sqrt((70 - ambient) / 40)), `${ambient} °C`).toBeLessThan(0.036)
})

// BS 7671 Table 4C1, rows 1 and 2.
test('grouping factors', () => {
  expect(GROUPING_FACTOR.bunched.slice(1, 6)).toEqual([0.8, 0.7, 0.65, 0.6, 0.57])
  expect(GROUPING_FACTOR['single-layer'].slice(1, 6)).toEqual([0.85, 0.79, 0.75, 0.73, 0.72])
})
