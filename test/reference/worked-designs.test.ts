/*
 * Whole designs worked by hand with a calculator from the tables (BS 7671:2018+A2:2022 and the On-Site Guide, from
 * memory). The arithmetic stands beside each value, so that a teacher can check it.
 */
import { expect, test } from 'vitest'
import type { StepKey } from '#core/design/model/step-keys'
import type { Task } from '#core/design/model/task'
import { aTask, expectedByKind, worked as workTask } from '../support/task'

function expectDesign(task: Task, worked: Partial<Record<StepKey, number>>) {
  const design = workTask(task)
  if (!design.ok) throw new Error(`no solution: ${design.constraint.code}`)
  for (const [key, value] of Object.entries(worked))
    expect(design.values[key as StepKey], key).toBeCloseTo(value, 3)
  return design
}

test('socket radial in conduit, 2.9 kW, 28 m, 35 °C, two circuits: decided by current', () => {
  const design = expectDesign(aTask(), {
    ib: 12.6087, //        2900 ÷ 230
    in: 16,
    ca: 0.94, //           Table 4B1, 35 °C
    cg: 0.8, //            Table 4C1, 2 bunched
    itMin: 21.2766, //     16 ÷ (0.94 × 0.80)
    csa: 2.5, //           Table 4D1A method B: 1.5 → 17.5 A, 2.5 → 24 A
    it: 24,
    voltDrop: 6.3548, //   18 × 12.6087 × 28 ÷ 1000; limit 11.5 V
    r1r2: 0.41496, //      (7.41 + 7.41) × 28 ÷ 1000
    r1r2Hot: 0.49795, //   × 1.20
    zs: 0.84795, //        0.35 + 0.49795
    residual: 0.03, //     411.3.3
    zsMax: 2.73, //        Table 41.3, B16
    breaking: 6000,
  })
  expect(design.governs).toBe('capacity')
})

test('shed lighting in flat cable, 8 A over 60 m: decided by voltage drop', () => {
  const task = aTask({
    use: 'lighting',
    load: { basis: 'current', currentA: 8, powerFactor: 1 },
    lengthM: 60,
    cable: { kind: 'flat-twin-earth', method: 'C' },
    ambientC: 30,
    grouping: { circuits: 1, arrangement: 'bunched' },
    device: { family: 'breaker', curve: 'B' },
    residualA: null,
    supply: { arrangement: 'TN-S', zeOhm: 0.8, ipfA: 700 },
  })
  const design = expectDesign(task, {
    ib: 8,
    in: 10,
    itMin: 10, //          10 ÷ (1 × 1); 1.0 mm² carries 16 A
    csa: 4, //             ΔU limit 6.9 V: 1.0 → 44·8·60 = 21.1 V, 1.5 → 13.9 V, 2.5 → 8.64 V, 4 → 5.28 V
    it: 37,
    voltDrop: 5.28,
    r1r2: 1.0026, //       (4.61 + 12.10) × 60 ÷ 1000
    zs: 2.00312, //        0.8 + 1.0026 × 1.20
    residual: 0, //        industrial lighting, not concealed, TN
    zsMax: 4.37, //        B10
  })
  expect(design.governs).toBe('voltDrop')
})

test('workshop machine on a D breaker at a TN-S bay: decided by the fault loop', () => {
  const task = aTask({
    use: 'fixed',
    load: { basis: 'power', powerW: 2760, powerFactor: 0.8 },
    lengthM: 21,
    cable: { kind: 'flat-twin-earth', method: 'C' },
    ambientC: 30,
    grouping: { circuits: 1, arrangement: 'bunched' },
    device: { family: 'breaker', curve: 'D' },
    residualA: null,
    supply: { arrangement: 'TN-S', zeOhm: 0.3, ipfA: 900 },
  })
  const design = expectDesign(task, {
    ib: 15, //             2760 ÷ (230 × 0.8)
    in: 16,
    csa: 6, //             Zs limit 0.68 Ω: 2.5 → 0.3 + 19.51·21·1.2/1000 = 0.79, 4 → 0.3 + 16.71·… = 0.72, 6 → 0.56
    voltDrop: 2.2995, //   7.3 × 15 × 21 ÷ 1000
    zs: 0.56435, //        0.3 + 10.49 × 21 × 1.2 ÷ 1000
    zsMax: 0.68,
  })
  expect(design.governs).toBe('loop')
})

test('TT shelter: the RCD sets the maximum permitted Zs, the breaker could never', () => {
  const task = aTask({
    supply: { arrangement: 'TT', zeOhm: 84, ipfA: 900 },
    use: 'fixed',
    load: { basis: 'power', powerW: 1150, powerFactor: 1 },
  })
  expectDesign(task, {
    in: 6,
    residual: 0.3, //      411.5.2; 300 mA is the largest that 50 ÷ IΔn = 167 Ω still allows above 84.5 Ω
    zsMax: 167,
  })
})

test('expected readings of the first design: bands hold the value, limits come from policy and table', () => {
  const task = aTask()
  const readings = expectedByKind(task)
  const continuity = readings.get('r1r2')!
  // Of the larger of both: 9 % for length (± 5 %), air (10 K, ± 4 %) and ohmmeter (± 2 %) together, and 0.03
  // Ω of digits.
  expect(continuity.low).toBeCloseTo((0.41496 - 0.03) / 1.09, 4)
  expect(continuity.high).toBeCloseTo((0.41496 + 0.03) / 0.91, 4)
  // Beside Ze and R1 + R2 the bay's own tails: 2 × 1.2 m of 25 mm² and 1.2 m of 16 mm² twice, about 0.007 Ω.
  expect(readings.get('zs')!.value).toBeCloseTo(0.35 + 0.41496 + 0.0067, 3)
  expect(readings.get('zs')!.limit!.value).toBeCloseTo(0.8 * 2.73, 3) // 80 % rule
  const expectedReading = expectedByKind({ ...task, measuredZs: 'corrected' }).get('zs')!
  expect(expectedReading.limit!.value).toBeCloseTo(0.35 + (2.73 - 0.35) / 1.2, 3)
  expect(readings.get('irLE')!.limit).toEqual({ kind: 'minimum', value: 1e6 }) // BS 7671 Table 64
  expect(readings.get('rcdTime')!.limit!.value).toBe(0.3) // 643.8, general type
})

test('the same run in every way of laying it: a hotter, more crowded route never takes a smaller conductor', () => {
  // 20 A device, 2.5 mm² carries: C 27, 102 21, A 20, 101 17, 103 13.5 (Table 4D5). Ambient and grouping
  // divide it further.
  const laid = (method: 'C' | '102' | '101' | '103', ambientC: number, circuits: number) => {
    const design = workTask(
      aTask({
        load: { basis: 'current', currentA: 18, powerFactor: 1 },
        lengthM: 10,
        cable: { kind: 'flat-twin-earth', method },
        ambientC,
        grouping: { circuits, arrangement: 'bunched' },
      }),
    )
    return design.ok ? design.values.csa : undefined
  }
  expect(laid('C', 30, 1)).toBe(1.5) //    20 ≥ 20
  expect(laid('C', 35, 1)).toBe(2.5) //    20 ÷ 0.94 = 21.3 ≤ 27
  expect(laid('C', 30, 3)).toBe(4) //      20 ÷ 0.70 = 28.6 ≤ 37
  expect(laid('102', 30, 1)).toBe(2.5) //  20 ≤ 21
  expect(laid('101', 30, 1)).toBe(4) //    20 ≤ 22
  expect(laid('103', 30, 1)).toBe(6) //    20 ≤ 23.5
  expect(laid('103', 40, 2)).toBe(10) //   20 ÷ (0.87 × 0.80) = 28.7 ≤ 32
  expect(laid('103', 50, 6)).toBeUndefined() // 20 ÷ (0.71 × 0.57) = 49.4 > 42.5
})

test('the three magnetic curves of one circuit: limits in the proportion 4 : 2 : 1, prospective trip current 5, 10, 20 In', () => {
  const limits = (['B', 'C', 'D'] as const).map((curve) => {
    const design = workTask(
      aTask({
        device: { family: 'rcbo', curve },
        lengthM: 8,
        supply: { arrangement: 'TN-C-S', zeOhm: 0.2, ipfA: 1000 },
      }),
    )
    if (!design.ok) throw new Error('no solution')
    return design.values.zsMax
  })
  expect(limits).toEqual([2.73, 1.37, 0.68])
  // 218.5 V through the limit drives the current that the curve needs; the table's last place is 0.01 Ω.
  limits.forEach((ohm, i) => expect(218.5 / ohm / 16).toBeCloseTo([5, 10, 20][i]!, 0))
})

test('a supply with a larger fault current needs the larger breaking capacity', () => {
  const capacity = (ipfA: number) => {
    const design = workTask(aTask({ supply: { arrangement: 'TN-C-S', zeOhm: 0.1, ipfA } }))
    return design.ok ? design.values.breaking : design.constraint.code
  }
  expect([1600, 6000, 6001, 10_000, 10_001].map(capacity)).toEqual([6000, 6000, 10_000, 10_000, 'breaking'])
})
