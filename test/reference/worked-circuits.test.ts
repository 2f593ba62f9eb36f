/*
 * Circuits of every kind, worked by hand with a calculator from the tables named (all from memory of BS 7671:2018+A2:2022 and
 * the On-Site Guide unless another document is named). The arithmetic stands beside each value for a teacher to check.
 */
import { describe, expect, test } from 'vitest'
import { referenceDesign } from '#core/design/reference'
import type { StepKey } from '#core/design/model/step-keys'
import type { Task } from '#core/design/model/task'
import type { Circuit, Installation } from '#core/installation/installation'
import { RULES, aBoard, aCircuit, aTask, anInstallation, worked } from '../support/task'

/** Alone on a wall at 30 °C, so that only what a case is about makes a difference. */
const PLAIN: Partial<Task> = {
  ambientC: 30,
  grouping: { circuits: 1, arrangement: 'bunched' },
  cable: { kind: 'flat-twin-earth', method: 'C' },
}
const FIXED: Partial<Task> = {
  ...PLAIN,
  use: 'fixed',
  residualA: null,
  device: { family: 'breaker', curve: 'B' },
}
const power = (powerW: number, powerFactor = 1): Task['load'] => ({ basis: 'power', powerW, powerFactor })

function expectCircuit(parts: Partial<Task>, values: Partial<Record<StepKey, number>>) {
  const design = worked(aTask(parts))
  if (!design.ok) throw new Error(`no solution: ${design.constraint.code}`)
  for (const [key, value] of Object.entries(values))
    expect(design.values[key as StepKey], key).toBeCloseTo(value, 3)
  return design
}

describe('ring finals (433.1.204, OSG 10.3.2)', () => {
  const RING: Partial<Task> = {
    ...PLAIN,
    topology: 'ring',
    load: { basis: 'current', currentA: 26, powerFactor: 1 },
    points: 10,
    isSpread: true,
    lengthM: 54,
  }
  test('54 m of 2.5/1.5 mm², the load shared evenly', () => {
    expectCircuit(RING, {
      in: 32,
      itMin: 20,
      csa: 2.5,
      voltDrop: 3.159, //   18 × 26 × 54 ÷ 1000 = 25.27; half the current over half the way, spread: ÷ 8
      r1: 0.40014, //       7.41 × 54 ÷ 1000
      rn: 0.40014,
      r2: 0.6534, //        12.10 × 54 ÷ 1000: 1.63 times r1
      r1r2: 0.26339, //     (0.40014 + 0.6534) ÷ 4
      zs: 0.66606, //       0.35 + 0.26339 × 1.20
      zsMax: 1.37,
    })
  })
  test('a 4 m unfused spur adds its whole length to the furthest point', () => {
    expectCircuit({ ...RING, spurs: 1, spurM: 4 }, { r1r2: 0.34143 }) // 0.26339 + 19.51 × 4 ÷ 1000
  })
  test('mineral cable may be 1.5 mm²; with a rewirable fuse the ring is 30 A and its legs need 20 ÷ 0.725', () => {
    expectCircuit({ ...RING, cable: { kind: 'mineral', method: 'C' } }, { csa: 1.5, it: 25 })
    expectCircuit(
      { ...RING, device: { family: 'fuse-rewirable', curve: null } },
      { in: 30, itMin: 27.586, csa: 4, zsMax: 1.04 },
    ) // 2.5 carries 27
  })
})

describe('fixed loads on their own circuit', () => {
  test('cooker of 9.5 kW with a socket on its unit (OSG Table A2)', () => {
    expectCircuit(
      { ...FIXED, use: 'cooker', load: { basis: 'cooker', powerW: 9500, hasSocket: true }, lengthM: 14 },
      { ib: 24.3913, in: 25, csa: 2.5, zs: 0.67777 },
    )
    // 9500 ÷ 230 = 41.304; 10 + 0.3 × 31.304 + 5 = 24.391 · Zs = 0.35 + 19.51 × 14 × 1.2 ÷ 1000
  })
  test('shower of 8.5 kW in a bathroom', () => {
    expectCircuit(
      { ...PLAIN, use: 'shower', load: power(8500), lengthM: 12, location: 'bathroom' },
      { ib: 36.9565, in: 40, csa: 6, it: 47, residual: 0.03, zsMax: 1.09 },
    )
  })
  test('immersion heater of 3 kW, its cable 100 mm deep in loft insulation (Table 52.2)', () => {
    expectCircuit(
      { ...FIXED, use: 'immersion', load: power(3000), lengthM: 11, insulationMm: 100 },
      { ib: 13.0435, in: 16, ci: 0.78, itMin: 20.5128, csa: 2.5 },
    ) // 1.5 carries 20
  })
  test('the same behind a 15 A rewirable fuse (433.1.202, Table 41.2)', () => {
    expectCircuit(
      {
        ...FIXED,
        use: 'immersion',
        load: power(3000),
        lengthM: 11,
        device: { family: 'fuse-rewirable', curve: null },
      },
      { in: 15, cf: 0.725, itMin: 20.6897, csa: 2.5, zsMax: 2.43, breaking: 2000 },
    )
  })
  test('heater of 6 kW behind a BS 88-3 fuse of 32 A: time from the melting line through 0.91 Ω and 1.60 Ω', () => {
    // Ia = 218.5 ÷ 0.91 = 240.1 A in 0.4 s, 218.5 ÷ 1.6 = 136.6 A in 5 s; If = 230 ÷ 0.6508 = 353.4 A
    // t = 5 × (353.4 ÷ 136.6)^−(ln 12.5 ÷ ln 1.758) = 5 × 2.588^−4.476
    expectCircuit(
      { ...FIXED, load: power(6000), lengthM: 15, device: { family: 'fuse-cartridge', curve: null } },
      { in: 32, csa: 4, zs: 0.65078, zsMax: 0.91, faultCurrent: 353.422, time: 0.0708 },
    )
  })
  test('a buried feed of 16 A: ground 15 °C, and 0.9 for the ground (Tables 4B2, 4E4A)', () => {
    expectCircuit(
      {
        ...FIXED,
        use: 'fixed',
        load: { basis: 'current', currentA: 15, powerFactor: 1 },
        lengthM: 30,
        cable: { kind: 'armoured-90', method: 'D' },
        ambientC: 15,
      },
      {
        ca: 1.04,
        cf: 0.9,
        itMin: 17.094, //  16 ÷ (1.04 × 0.9)
        csa: 2.5, //                          1.5 carries 25 A but drops 31 × 15 × 30 = 13.95 V; 2.5: 19 → 8.55 V
        r1r2: 0.4863, //                      (7.41 + 8.80) × 30 ÷ 1000, armour as cpc (BS 5467)
        r1r2Hot: 0.6198, //                   (7.41 × 1.28 + 8.80 × 1.27) × 30 ÷ 1000: armour 80 °C, 1 + 0.0045 × 60
      },
    )
  })
})

describe('motors (552.1.1; BS EN 60898-1 Table 7)', () => {
  const MOTOR: Task['load'] = {
    basis: 'motor',
    powerW: 1100,
    powerFactor: 0.8,
    efficiency: 0.78,
    startMultiple: 6,
  }
  test('1.1 kW single phase starts at 46 A: C10 stays quiet to 50 A, type B must be 16 A for its 48 A', () => {
    const ib = { ib: 7.6644, start: 45.9866 } // 1100 ÷ (230 × 0.8 × 0.78); × 6
    expectCircuit(
      { ...FIXED, use: 'motor', load: MOTOR, device: { family: 'breaker', curve: 'C' } },
      { ...ib, in: 10 },
    )
    expectCircuit({ ...FIXED, use: 'motor', load: MOTOR }, { ...ib, in: 16 })
  })
  test('4 kW three phase in conduit: √3 × 400, three loaded conductors, 20 V allowed', () => {
    const design = expectCircuit(
      {
        ...FIXED,
        use: 'motor',
        phases: 3,
        load: { basis: 'motor', powerW: 4000, powerFactor: 0.82, efficiency: 0.85, startMultiple: 6 },
        cable: { kind: 'singles-in-conduit', method: 'B' },
        lengthM: 18,
        device: { family: 'breaker', curve: 'D' },
      },
      {
        ib: 8.28336, //      4000 ÷ (√3 × 400 × 0.82 × 0.85)
        in: 10,
        csa: 1.5,
        it: 15.5, //  Table 4D1A, three loaded
        voltDrop: 3.7275, // 25 × 8.28336 × 18 ÷ 1000
        voltDropTotal: 0.00932,
      },
    )
    expect(design.governs).toBe('area')
  })
})

describe('other cables and ways of laying', () => {
  test('three-phase charger of 15 kW in a warm conduit: 25 ÷ 0.94 = 26.6 A, 4 mm² carries 28 (Table 4D1A)', () => {
    expectCircuit(
      {
        ...FIXED,
        phases: 3,
        load: power(15_000, 0.92),
        cable: { kind: 'singles-in-conduit', method: 'B' },
        ambientC: 35,
        lengthM: 24,
        device: { family: 'breaker', curve: 'C' },
      },
      { ib: 23.533, in: 25, itMin: 26.5957, csa: 4, voltDrop: 5.3655, zsMax: 0.87 },
    )
  })
  test('emergency lighting in fire-resistant cable, twelve points in a row: (n + 1) ÷ 2n of the drop', () => {
    expectCircuit(
      {
        ...FIXED,
        use: 'lighting',
        load: { basis: 'lamps', count: 12, eachW: 36, isDischarge: true },
        points: 12,
        isSpread: true,
        lengthM: 40,
        cable: { kind: 'fire-resistant', method: 'C' },
      },
      {
        ib: 3.3809,
        in: 6,
        csa: 1, //      12 × 36 × 1.8 ÷ 230
        voltDrop: 3.2231, //               44 × 3.3809 × 40 ÷ 1000 × 13 ÷ 24
      },
    )
  })
  test('two circuits together in trunking, on tray in free air, in an insulated wall (Tables 4D1A, 4D2A, 4D5, 4C1)', () => {
    const load: Task['load'] = { basis: 'current', currentA: 18, powerFactor: 1 }
    const pair: Partial<Task> = {
      ...FIXED,
      load,
      lengthM: 10,
      grouping: { circuits: 2, arrangement: 'bunched' },
    } // 20 ÷ 0.8 = 25 A
    expectCircuit({ ...pair, cable: { kind: 'singles-in-trunking', method: 'B' } }, { csa: 4, it: 32 }) //  2.5 carries 24
    expectCircuit({ ...pair, cable: { kind: 'multicore', method: 'E' } }, { csa: 2.5, it: 30 })
    expectCircuit({ ...pair, cable: { kind: 'flat-twin-earth', method: 'A' } }, { csa: 4, it: 26 })
    expectCircuit({ ...pair, cable: { kind: 'mineral', method: 'C' } }, { csa: 1.5, it: 25 })
    expectCircuit({ ...pair, cable: { kind: 'armoured-70', method: 'E' } }, { csa: 2.5, it: 31 })
  })
  test('a lightly loaded cable stays cooler: Ct of Appendix 4, 6.1', () => {
    // 2.5 mm², It 27 A, 12.609 A: 12.609² ÷ 27² = 0.2181; (300 − (1 − 0.2181) × 40) ÷ 300 = 0.8957
    expectCircuit(
      {
        ...PLAIN,
        warmDrop: 'corrected',
        load: power(2900),
        lengthM: 50,
        device: { family: 'rcbo', curve: 'B' },
      },
      { csa: 2.5, ct: 0.8957, voltDrop: 10.1648 },
    ) // 18 × 12.609 × 50 ÷ 1000 × Ct
  })
  test('the conductor is chosen with the drop as the centre counts it: corrected, a size below is enough', () => {
    const long: Partial<Task> = {
      ...PLAIN,
      load: power(2900),
      lengthM: 56,
      device: { family: 'rcbo', curve: 'B' },
    }
    // 18 × 12.609 × 56 ÷ 1000 = 12.71 V > 11.5 V; × Ct 0.8957 = 11.38 V.
    expectCircuit({ ...long, warmDrop: 'corrected' }, { csa: 2.5, ct: 0.8957, voltDrop: 11.3846 })
    // 11 × 12.609 × 56 ÷ 1000.
    expectCircuit({ ...long, warmDrop: 'tabulated' }, { csa: 4, voltDrop: 7.7671 })
  })
})

describe('whole boards', () => {
  const HUT = (): Installation =>
    anInstallation({
      intake: { arrangement: 'TN-S', phases: 1, zeOhm: 0.3, ipfA: 2300, mainFuseA: 100, neutralMm2: 25 },
      boards: [aBoard(), aBoard({ id: 'b2', name: 'Signal hut', fedBy: 'c1', electrodeOhm: 80 })],
      circuits: [
        {
          ...circuit({
            ...FIXED,
            use: 'distribution',
            load: { basis: 'board' },
            lengthM: 30,
            cable: { kind: 'armoured-90', method: 'D' },
            ambientC: 20,
            device: { family: 'fuse-gg', curve: null },
          }),
          id: 'c1',
        },
        { ...circuit({ ...PLAIN, load: power(4200), lengthM: 8 }), id: 'c2', board: 'b2' },
      ],
    })
  const circuit = (parts: Partial<Task>): Circuit => aCircuit(parts as Partial<Circuit>)
  const valuesOf = (installation: Installation, scope: string) =>
    [...referenceDesign(installation, RULES).circuits, ...referenceDesign(installation, RULES).boards].find(
      (part) => part.scope === scope,
    )!.values

  test('a feed to a TT hut: demand upward, drop and fault current downward, the supply’s earth left behind', () => {
    const feed = valuesOf(HUT(), 'c1')
    expect(feed).toMatchObject({ ib: 20, in: 20, csa: 6 }) // sockets of 20 A; 4 mm² would drop 12 × 20 × 30 ÷ 1000 = 7.2 V of 5.75 V (half of 5 %)
    expect(feed.voltDropTotal).toBeCloseTo(4.74 / 230, 5) //   7.9 × 20 × 30 ÷ 1000 = 4.74 V
    // Ipf there: 230 ÷ (230 ÷ 2300 + 2 × 3.08 × 30 ÷ 1000) = 230 ÷ 0.2848
    expect(feed.ipfEnd).toBeCloseTo(807.58, 1)
    const sockets = valuesOf(HUT(), 'c2')
    expect(sockets).toMatchObject({ in: 20, csa: 1.5, residual: 0.03, zsMax: 1667, breaking: 6000 })
    // 80 + 30.2 × 8 × 1.2 ÷ 1000; 4.74 V + 29 × 18.26 × 8 ÷ 1000 = 4.24 V, over 230 V
    expect(sockets.zs).toBeCloseTo(80.28992, 4)
    expect(sockets.voltDropTotal).toBeCloseTo((4.74 + 4.23652) / 230, 5)
  })
  test('demand of a home with diversity (OSG Table A2): 66 % of lighting, 40 % of the second ring, cooker by its rule', () => {
    const ring = (id: string, way: number) => ({
      ...circuit({
        ...PLAIN,
        topology: 'ring',
        load: { basis: 'current', currentA: 20, powerFactor: 1 },
        lengthM: 50,
      }),
      id,
      way,
    })
    const home = anInstallation({
      premises: 'dwelling',
      circuits: [
        ring('c1', 1),
        ring('c2', 2),
        {
          ...circuit({
            ...PLAIN,
            use: 'cooker',
            load: { basis: 'cooker', powerW: 9500, hasSocket: true },
            lengthM: 10,
          }),
          id: 'c3',
          way: 3,
        },
        {
          ...circuit({
            ...PLAIN,
            use: 'lighting',
            load: { basis: 'lamps', count: 10, eachW: 100, isDischarge: false },
            lengthM: 30,
            isSpread: true,
            points: 10,
          }),
          id: 'c4',
          way: 4,
        },
      ],
    })
    // 32 + 0.4 × 32 + 24.391 + 0.66 × 4.348 = 72.06 A
    expect(valuesOf(home, 'b1').demand).toBeCloseTo(72.061, 2)
    // Table 54.7 for 25 mm² tails; Table 54.8 for a neutral up to 35 mm².
    expect(valuesOf(home, 'b1')).toMatchObject({
      mainSwitch: 100,
      busbar: 100,
      tails: 25,
      earthing: 16,
      bonding: 10,
    })
  })
})
