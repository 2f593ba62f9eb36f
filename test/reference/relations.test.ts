/* Tables checked by relations that do not depend on them, and printed values not used elsewhere. All from memory of the documents named. */
import { expect, test } from 'vitest'
import { METHODS } from '#core/regulations/cables/cable'
import {
  shippedBook,
  bondingIn,
  bookOf,
  deviceZsOhm,
  disconnectionS,
  sizesIn,
} from '#core/regulations/book/book'
import { CABLES } from '#core/regulations/cables/sizes'
import { conduitFactor, conduitTerms, trunkingTerms } from '#core/regulations/book/drawn-in'
import { CURVES, DEVICES, MAGNETIC_BAND } from '#core/regulations/devices'
import { cookerCurrentA, cookerFullA } from '#core/regulations/book/demand-rules'
import { PREMISES } from '#core/regulations/diversity'
import { tabulatedCpcMm2 } from '#core/regulations/earthing'
import { EDITIONS, editionOn } from '#core/regulations/editions'
import { AMBIENT_FACTOR, GROUND_FACTOR, GROUPING_FACTOR } from '#core/regulations/factors'
import { FUSE_LOOP_OHM, fuseCurrentA, fuseTimeS, type FuseFamily } from '#core/regulations/fuses'
import { breakerEnergyA2s } from '#core/regulations/book/let-through'
import { neededRcdType, rcdTimeS } from '#core/regulations/rcd'
import { searchLibrary } from '#words/library/search'
import { openingTimeS } from '#core/regulations/time-current'

test('ratings rise with the area, fall with a third loaded conductor, and follow the order of cooling', () => {
  // Colder ways first: in free air, clipped, enclosed on a wall, in an insulated wall (BS 7671 Table 4A2).
  const ORDER = ['E', 'C', 'B', 'A'] as const
  for (const cable of Object.values(CABLES)) {
    for (const method of METHODS)
      for (const phases of [1, 3] as const) {
        const rows = sizesIn(shippedBook(), cable.kind, method, phases)
        for (let i = 1; i < rows.length; i += 1)
          expect(rows[i]!.ratingA, `${cable.kind} ${method}`).toBeGreaterThan(rows[i - 1]!.ratingA)
        if (phases === 3)
          rows.forEach((row, i) =>
            expect(row.ratingA).toBeLessThan(sizesIn(shippedBook(), cable.kind, method, 1)[i]!.ratingA),
          )
      }
    const cooler = ORDER.filter((method) => cable.methods.includes(method))
    for (let m = 1; m < cooler.length; m += 1)
      sizesIn(shippedBook(), cable.kind, cooler[m]!, 1).forEach((row, i) =>
        expect(row.ratingA, `${cable.kind} ${cooler[m]}`).toBeLessThan(
          sizesIn(shippedBook(), cable.kind, cooler[m - 1]!, 1)[i]!.ratingA,
        ),
      )
  }
})

test('a hotter insulation carries more: about √(60 ÷ 40) at the same ambient, a little less for higher resistance (BS 7671 Appendix 4)', () => {
  sizesIn(shippedBook(), 'armoured-90', 'C', 1).forEach((row, i) => {
    const ratio = row.ratingA / sizesIn(shippedBook(), 'armoured-70', 'C', 1)[i]!.ratingA
    expect(ratio, `${row.lineMm2} mm²`).toBeGreaterThan(1.2)
    expect(ratio, `${row.lineMm2} mm²`).toBeLessThan(1.32)
  })
})

test('ambient and ground factors follow the square root of the temperature rise left, from 30 °C air and 20 °C ground', () => {
  for (const conductor of [70, 90] as const) {
    for (const [c, factor] of AMBIENT_FACTOR[conductor])
      expect(Math.abs(factor - Math.sqrt((conductor - c) / (conductor - 30))), `air ${c}`).toBeLessThan(0.036)
    for (const [c, factor] of GROUND_FACTOR[conductor])
      expect(Math.abs(factor - Math.sqrt((conductor - c) / (conductor - 20))), `ground ${c}`).toBeLessThan(
        0.02,
      )
  }
})

test('grouped cables never share less heat than fewer would: total current rises, current of each falls', () => {
  for (const row of Object.values(GROUPING_FACTOR))
    row.forEach((factor, i) => {
      if (i === 0) return
      expect(factor).toBeLessThanOrEqual(row[i - 1]!)
      expect(factor * (i + 1)).toBeGreaterThan(row[i - 1]! * i)
    })
})

test('armour: resistance times area is the resistivity of galvanised steel wire, 0.14 to 0.16 Ω·mm²/m (BS 5467)', () => {
  for (const kind of ['armoured-70', 'armoured-90'] as const)
    for (const phases of [1, 3] as const) {
      CABLES[kind].cpc.areaMm2[phases]!.forEach((area, i) => {
        const resistivity = area * CABLES[kind].cpc.ohmPerM[phases]![i]!
        expect(resistivity, `${kind} ${area} mm²`).toBeGreaterThan(0.14)
        expect(resistivity, `${kind} ${area} mm²`).toBeLessThan(0.165)
      })
    }
})

// BS 7671:2018 Appendix 3, Figures 3A1 to 3A3: prospective currents for 0.4 s and 5 s, A.
test.each<[FuseFamily, number, number | undefined, number]>([
  ['gg', 6, 28, 18],
  ['gg', 16, 90, 55],
  ['gg', 20, 130, 79],
  ['gg', 25, 170, 100],
  ['gg', 63, undefined, 280],
  ['gg', 80, undefined, 400],
  ['cartridge', 5, 22, 15],
  ['cartridge', 20, 113, 68],
  ['rewirable', 5, 24, 13],
  ['rewirable', 20, 130, 60],
  ['rewirable', 30, 210, 87],
  ['plug', 13, 95, 60],
])('fuse %s %d A melts at %s A in 0.4 s and %d A in 5 s', (family, rating, fastA, slowA) => {
  if (fastA !== undefined) expect(Math.abs(fuseCurrentA(family, rating, 0.4)! / fastA - 1)).toBeLessThan(0.03)
  expect(Math.abs(fuseCurrentA(family, rating, 5)! / slowA - 1)).toBeLessThan(0.03)
})

test('a fuse melts sooner at more current; between its printed points the line meets both', () => {
  for (const [family, { slow }] of Object.entries(FUSE_LOOP_OHM))
    for (const rating of Object.keys(slow).map(Number)) {
      const at = (timeS: number) => fuseCurrentA(family as FuseFamily, rating, timeS)!
      expect(fuseTimeS(family as FuseFamily, rating, at(1))).toBeCloseTo(1, 6)
      expect(at(0.4)).toBeGreaterThan(at(1))
      expect(at(1)).toBeGreaterThan(at(5))
      expect(at(5)).toBeGreaterThan(1.45 * rating * 0.95) // above the conventional fusing current
    }
})

test('breakers: an hour at 1.45 In, a minute at 2.55 In, a tenth of a second at the top of the magnetic band (BS EN 60898-1 Table 7)', () => {
  for (const curve of CURVES) {
    const time = (multiple: number) => openingTimeS({ family: 'breaker', curve }, 32, 32 * multiple)
    expect(time(1.13)).toBe(3600)
    expect(time(1.45)).toBeCloseTo(3600, 6)
    expect(time(2.55)).toBeCloseTo(60, 6)
    expect(time(MAGNETIC_BAND[curve][1])).toBe(0.1)
    for (let m = 1.2; m < 25; m += 0.1) expect(time(m + 0.1)).toBeLessThanOrEqual(time(m))
  }
})

test('let-through: never above a full tenth of a second, the printed energies at the printed fault levels (BS EN 60898-1 Annex ZA)', () => {
  expect(breakerEnergyA2s(shippedBook(), 'B', 32, 3000)).toBe(18_000)
  expect(breakerEnergyA2s(shippedBook(), 'C', 16, 6000)).toBe(42_000)
  for (const curve of CURVES)
    for (const amps of [200, 400, 800, 1600, 3200, 6400]) {
      expect(breakerEnergyA2s(shippedBook(), curve, 20, amps)).toBeLessThanOrEqual(amps ** 2 * 0.1)
      expect(breakerEnergyA2s(shippedBook(), curve, 20, amps * 1.2)).toBeGreaterThan(
        breakerEnergyA2s(shippedBook(), curve, 20, amps),
      )
    }
})

test('a device for every rating has a limit for both times, and the longer time allows at least as much', () => {
  for (const [family, { ratingsA, fuse }] of Object.entries(DEVICES))
    for (const rating of ratingsA) {
      const device = { family: family as keyof typeof DEVICES, curve: fuse === null ? ('B' as const) : null }
      expect(deviceZsOhm(shippedBook(), device, rating, 5)!).toBeGreaterThanOrEqual(
        deviceZsOhm(shippedBook(), device, rating, 0.4)!,
      )
    }
})

// On-Site Guide Appendix E, Tables E1 to E6.
test('conduit and trunking: printed factors and terms', () => {
  const near = (
    betweenBoxesM: number,
    bends: number,
    printed: Partial<Record<16 | 20 | 25 | 32, number>>,
  ) => {
    // The line through the table's reciprocals meets every printed factor to a unit.
    for (const [size, factor] of Object.entries(printed))
      expect(
        Math.abs(conduitFactor(shippedBook().values, Number(size) as 16, { betweenBoxesM, bends }) - factor),
        `${size} mm, ${betweenBoxesM} m`,
      ).toBeLessThan(1.3)
  }
  near(10, 0, { 16: 150, 20: 244, 25: 442, 32: 783 })
  near(3.5, 0, { 16: 179, 20: 290, 25: 521, 32: 911 })
  near(1, 1, { 16: 188, 20: 303, 25: 543, 32: 947 })
  near(2, 1, { 20: 286 })
  near(3, 2, { 20: 233 })
  near(3, 0, { 16: 290, 20: 460, 25: 800, 32: 1400 })
  // Six 2.5 mm² over 5 m with a bend: 6 × 30 = 180.
  expect(conduitTerms(shippedBook().values, Array(6).fill(2.5), { betweenBoxesM: 5, bends: 1 })).toBe(180)
  expect(conduitTerms(shippedBook().values, [35], { betweenBoxesM: 5, bends: 1 })).toBeUndefined()
  expect(trunkingTerms(shippedBook().values, [2.5, 2.5, 2.5])).toBeCloseTo(35.7, 9)
})

test('trunking terms are the area over the insulation, π ÷ 4 × d² (BS EN 50525-2-31 diameters, from memory)', () => {
  for (const [area, diameter] of [
    [1.5, 3.2],
    [2.5, 3.9],
    [4, 4.6],
    [6, 5.2],
    [10, 6.7],
    [16, 7.8],
  ] as const) {
    expect(
      Math.abs(trunkingTerms(shippedBook().values, [area])! / ((Math.PI / 4) * diameter ** 2) - 1),
      `${area} mm²`,
    ).toBeLessThan(0.02)
  }
})

// BS 7671 Tables 54.7 and 54.8, 544.1.1.
test('earthing and bonding', () => {
  expect([6, 16, 25, 35, 50, 70].map(tabulatedCpcMm2)).toEqual([6, 16, 16, 16, 25, 35])
  expect(
    [25, 35, 50, 95, 150, 200].map((neutral) => bondingIn(shippedBook(), 'TN-C-S', neutral, 16)),
  ).toEqual([10, 10, 16, 25, 35, undefined])
  expect([6, 10, 16, 35, 70].map((earthing) => bondingIn(shippedBook(), 'TN-S', 25, earthing))).toEqual([
    6, 6, 10, 25, 25,
  ])
})

// On-Site Guide Appendix A.
test('diversity', () => {
  expect(cookerCurrentA(shippedBook(), 41.3, true)).toBeCloseTo(24.39, 2)
  expect(cookerCurrentA(shippedBook(), 8, false)).toBe(8)
  for (const full of [6, 10, 41.3])
    for (const socket of [true, false])
      expect(cookerFullA(shippedBook(), cookerCurrentA(shippedBook(), full, socket), socket)).toBeCloseTo(
        full,
        9,
      )
  expect(PREMISES).toContain('guest-house')
})

test('times by system, use and edition (BS 7671 Table 41.1, 411.3.2)', () => {
  expect(disconnectionS(bookOf('18-A2'), 'TN-S', 'fixed', 40)).toBe(5)
  expect(disconnectionS(bookOf('18-A2'), 'TN-S', 'sockets', 40)).toBe(0.4)
  expect(disconnectionS(bookOf('17-A3'), 'TN-S', 'sockets', 40)).toBe(5)
  expect(disconnectionS(bookOf('18'), 'TT', 'fixed', 20)).toBe(0.2)
  expect(disconnectionS(bookOf('18'), 'TT', 'distribution', 20)).toBe(1)
})

test('RCDs: type by load and edition (531.3.3), opening times (BS EN 61008-1 Table 1)', () => {
  expect(EDITIONS.map((edition) => neededRcdType('none', edition, false))).toEqual(['AC', 'AC', 'A', 'A'])
  expect(neededRcdType('none', '18-A2', true)).toBe('AC')
  expect(
    (['pulsating', 'mixed', 'smooth'] as const).map((content) => neededRcdType(content, '18', true)),
  ).toEqual(['A', 'F', 'B'])
  expect([0.029, 0.03, 0.06, 0.15].map((amps) => rcdTimeS(0.03, false, amps))).toEqual([
    undefined,
    0.3,
    0.15,
    0.04,
  ])
  expect(rcdTimeS(0.1, true, 0.1)).toBe(0.5)
})

test('which edition held on a day', () => {
  expect(['2014-03-01', '2016-05-01', '2019-01-01', '2022-09-27', '2022-09-28'].map(editionOn)).toEqual([
    undefined,
    '17-A3',
    '18',
    '18',
    '18-A2',
  ])
})

test('where does 1.37 Ω come from? The library answers with the table and the derivation', () => {
  const { values } = searchLibrary('Where does 1.37 Ω come from?')
  expect(values.map(({ row, column, cell }) => `${row} ${column}: ${cell.derivation}`)).toEqual([
    '16 A type C: 230 × 0.95 ÷ (10 × 16)',
    '32 A type B: 230 × 0.95 ÷ (5 × 32)',
  ])
  expect(searchLibrary('rcd sockets').entries.map(({ id }) => id)).toContain('rcd-sockets')
  expect(searchLibrary('4D5').entries.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['rating-flat-twin-earth', 'drop-flat-twin-earth']),
  )
  expect(searchLibrary('zzz')).toEqual({ entries: [], values: [] })
})
