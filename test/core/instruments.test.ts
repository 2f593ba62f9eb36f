/* Instruments on a bay as it is built. Expected values are worked by hand beside each check. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { deadState, workingState } from '#core/bay/behaviour/state'
import { readClamp } from '#core/bay/instruments/clamp'
import { readContinuity } from '#core/bay/instruments/continuity'
import { readInsulation } from '#core/bay/instruments/insulation'
import { readFaultCurrent, readLoop } from '#core/bay/instruments/loop'
import { readTripTime } from '#core/bay/instruments/rcd-test'
import { freeEnd, prepare, type Bench, type Setup } from '#core/bay/instruments/setup'
import { takeReading, type InstrumentCode } from '#core/bay/instruments/take'
import { displaySentences, displayWords } from '#words/instruments'
import { readIndicator, readRotation, readSocketTester, readVoltage } from '#core/bay/instruments/voltage'
import { freshId, withLeak, withWire } from '#core/bay/faults/edit'
import type { Rig } from '#core/bay/model/rig'
import { aBay, rigOf, splitBoard, wireBetween, withFault } from '../support/bay'
import { anElectronicLoad } from '../support/bay-parts'
import { aBoard, aCircuit, anInstallation } from '../support/task'

const dead = (rig: Rig, setup?: Partial<Setup>) =>
  prepare(
    rig,
    { ...deadState(rig), closed: workingState(rig).closed, thrown: { c2p0: true }, inUse: {} },
    { freed: [], links: [], ...setup },
  )
const live = (rig: Rig) => prepare(rig, { ...workingState(rig), inUse: {} })

/** Line, neutral and earth of both ends of a ring, hanging free at the board. */
function ringEnds(rig: Rig) {
  const at = (from: string) =>
    rig.wires
      .filter((wire) => wire.run === 'c1run' && [wire.from, wire.to].some((ref) => ref.startsWith(from)))
      .map((wire) => ({
        wire: wire.id,
        end: wire.from.startsWith(from) ? ('from' as const) : ('to' as const),
      }))
  const [l, n, e] = [at('b1w1.'), at('b1nA.'), at('b1e.')]
  const ref = (which: typeof l, i: number) => freeEnd(which[i]!.wire, which[i]!.end)
  return {
    freed: [...l, ...n, ...e],
    l: [ref(l, 0), ref(l, 1)],
    n: [ref(n, 0), ref(n, 1)],
    e: [ref(e, 0), ref(e, 1)],
  } as const
}

// On-Site Guide Table I1, from memory: 2.5 mm² 7.41 and 1.5 mm² 12.10 mΩ/m; ring of 42 m in 2.5/1.5 flat cable.
const R1 = 42 * 7.41e-3
const R2 = 42 * 12.1e-3

describe('ring final circuit, On-Site Guide 10.3.2 (from memory)', () => {
  const rig = aBay()
  const ends = ringEnds(rig)
  it('end to end: r1 = rn = 0.31 Ω, r2 = 0.51 Ω, whose ratio is that of the areas', () => {
    const bench = dead(rig, { freed: ends.freed })
    expect(readContinuity(bench, { at: ends.l[0]!, to: ends.l[1]! }).value).toBe(0.31)
    expect(readContinuity(bench, { at: ends.n[0]!, to: ends.n[1]! }).value).toBe(0.31)
    expect(readContinuity(bench, { at: ends.e[0]!, to: ends.e[1]! }).value).toBe(0.51)
    expect(R2 / R1).toBeCloseTo(1.67, 1)
    // An end that hangs free belongs to nothing else.
    expect(readContinuity(bench, { at: ends.l[0]!, to: 'b1w1.L out' }).isOver).toBe(true)
  })
  it('cross-connected line to neutral: (r1 + rn)/4 at every socket', () => {
    const bench = dead(rig, {
      freed: ends.freed,
      links: [
        [ends.l[0]!, ends.n[1]!],
        [ends.l[1]!, ends.n[0]!],
      ],
    })
    for (let i = 1; i <= 6; i += 1)
      expect(readContinuity(bench, { at: `c1p${i}.L`, to: `c1p${i}.N` }).value).toBeCloseTo((R1 + R1) / 4, 1)
  })
  it('cross-connected line to earth: (r1 + r2)/4 in the middle and never more', () => {
    const bench = dead(rig, {
      freed: ends.freed,
      links: [
        [ends.l[0]!, ends.e[1]!],
        [ends.l[1]!, ends.e[0]!],
      ],
    })
    const readings = [1, 2, 3, 4, 5, 6].map(
      (i) => readContinuity(bench, { at: `c1p${i}.L`, to: `c1p${i}.E` }).value!,
    )
    // The display has steps of 0.01 Ω and the two links 1 mΩ each.
    expect(Math.abs(Math.max(...readings) - (R1 + R2) / 4)).toBeLessThan(0.006)
    expect(Math.min(...readings)).toBeGreaterThan((R1 + R2) / 4 - 0.03)
  })
  it('cross-connected to the wrong ends: the reading climbs and falls around the ring', () => {
    const bench = dead(rig, {
      freed: ends.freed,
      links: [
        [ends.l[0]!, ends.n[0]!],
        [ends.l[1]!, ends.n[1]!],
      ],
    })
    const readings = [1, 2, 3, 4, 5, 6].map(
      (i) => readContinuity(bench, { at: `c1p${i}.L`, to: `c1p${i}.N` }).value!,
    )
    expect(Math.max(...readings) - Math.min(...readings)).toBeGreaterThan(0.05)
  })
  it('an open leg shows end to end', () => {
    const open = withFault(rig, 'lineOpen', wireBetween(rig, 'c1p3.L', 'c1p4.L'))
    const its = ringEnds(open)
    expect(readContinuity(dead(open, { freed: its.freed }), { at: its.l[0]!, to: its.l[1]! }).isOver).toBe(
      true,
    )
  })
})

describe('continuity', () => {
  const rig = aBay()
  const link = { links: [['b1w2.L out', 'b1e.1'] as const] }
  // Lighting: 18 m of 1.0/1.0 or 1.5/1.0 as designed; the link at the board makes one loop of line and cpc.
  it('R1 + R2 at the far lamp by a link at the board, with the switch on; nothing with it off', () => {
    const wire = rig.wires.find(({ run, colour }) => run === 'c2run' && colour === 'brown')!
    const expected = 18 * ({ 1: 18.1e-3, 1.5: 12.1e-3 }[wire.areaMm2]! + 18.1e-3)
    expect(readContinuity(dead(rig, link), { at: 'c2p2.L', to: 'c2p2.E' }).value).toBeCloseTo(expected, 1)
    const off = { ...dead(rig, link), state: { ...deadState(rig), inUse: {} } }
    expect(readContinuity(off, { at: 'c2p2.L', to: 'c2p2.E' }).isOver).toBe(true)
  })
  it('leads that were not nulled add their resistance and are named', () => {
    const reading = readContinuity(
      dead(rig, link),
      { at: 'c2p1.L', to: 'c2p1.E' },
      { ohm: 0.08, nulledOhm: 0 },
    )
    const nulled = readContinuity(dead(rig, link), { at: 'c2p1.L', to: 'c2p1.E' })
    expect(reading.value! - nulled.value!).toBeCloseTo(0.08, 6)
    expect(reading.hazards.map(({ code }) => code)).toEqual(['leads'])
  })
  it('is refused on a live circuit', () => {
    const reading = readContinuity(live(rig), { at: 'c1p1.L', to: 'c1p1.N' })
    expect(reading.value).toBeUndefined()
    expect(reading.hazards).toEqual([{ code: 'live', params: { volt: 230 } }])
  })
  it('cannot see a neutral on the wrong RCD’s bar', () => {
    const wrong = withFault(rig, 'neutralOnOtherBar', `${wireBetween(rig, 'b1nB', 'c2p1')} b1nA`)
    expect(readContinuity(dead(wrong, link), { at: 'c2p2.L', to: 'c2p2.E' }).value).toBe(
      readContinuity(dead(rig, link), { at: 'c2p2.L', to: 'c2p2.E' }).value,
    )
  })
  it('a second conductor beside the first never raises a resistance', () => {
    const wires = rig.wires.filter(({ run }) => run !== null)
    fc.assert(
      fc.property(fc.constantFrom(...wires), fc.constantFrom(...wires), (a, b) => {
        if (a.to === b.to) return
        const more = withWire(rig, { ...a, id: freshId(rig, 'more'), from: a.to, to: b.to, lengthM: 5 })
        const at = { at: 'c1p4.L', to: 'c1p4.E' }
        const [before, after] = [readContinuity(dead(rig), at), readContinuity(dead(more), at)]
        if (!before.isOver) expect(after.value!).toBeLessThanOrEqual(before.value!)
      }),
      { numRuns: 60 },
    )
  })
})

describe('insulation', () => {
  const rig = aBay()
  it('new work reads off the range', () => {
    const reading = readInsulation(dead(rig), { at: 'b1w1.L out', to: 'b1e.1' })
    expect(reading).toMatchObject({ isOver: true, value: 999e6 })
  })
  it('several paths read their parallel value: 20, 50 and 2 MΩ make 1.75 MΩ', () => {
    const leaky = [20e6, 50e6, 2e6].reduce(
      (made, ohm, i) => withLeak(made, { id: `leak${i}`, from: `c1p${i + 1}.L`, to: `c1p${i + 1}.E`, ohm }),
      rig,
    )
    expect(readInsulation(dead(leaky), { at: 'b1w1.L out', to: 'b1e.1' }).value! / 1e6).toBeCloseTo(
      1 / (1 / 20 + 1 / 50 + 1 / 2),
      1,
    )
  })
  it('a lamp left in reads nothing between line and neutral', () => {
    const left = { ...dead(rig), state: { ...dead(rig).state, inUse: { c2p1: true } } }
    expect(readInsulation(left, { at: 'b1w2.L out', to: 'b1nB.1' }).value).toBe(0)
  })
  it('an arrester left in pulls a 500 V test down and leaves one of 250 V alone', () => {
    const arrested: Rig = {
      ...rig,
      parts: [
        ...rig.parts,
        {
          kind: 'arrester',
          id: 'spd',
          name: 'Surge protection',
          board: 'b1',
          circuit: null,
          poles: ['L', 'N'],
          clampV: 430,
        },
      ],
    }
    const joined = withWire(
      withWire(arrested, {
        id: 's1',
        from: 'spd.L',
        to: 'b1w1.L in',
        areaMm2: 6,
        lengthM: 0.3,
        colour: 'brown',
        run: null,
      }),
      {
        id: 's2',
        from: 'spd.E',
        to: 'b1e.8',
        areaMm2: 16,
        lengthM: 0.3,
        colour: 'green-and-yellow',
        run: null,
      },
    )
    const probes = { at: 'b1w1.L out', to: 'b1e.1' }
    const left = { ...dead(joined), state: { ...dead(joined).state, inUse: { spd: true } } }
    expect(readInsulation(left, probes, 500).value).toBeLessThan(1e6)
    expect(readInsulation(left, probes, 250).value).toBeGreaterThan(100e6)
    expect(readInsulation(dead(joined), probes, 500).value).toBeGreaterThan(100e6)
  })
  it('warns of the electronics that it reaches', () => {
    const driver = anElectronicLoad(rig, 'c1p1', 1e-3)
    const left = { ...dead(driver), state: { ...dead(driver).state, inUse: { c1p1: true } } }
    expect(readInsulation(left, { at: 'b1w1.L out', to: 'b1nA.2' }).hazards.map(({ code }) => code)).toEqual([
      'electronics',
    ])
  })
})

describe('live', () => {
  const rig = aBay()
  it('Zs at a socket is Ze + R1 + R2 of the ring’s quarter, within the accuracy', () => {
    // No RCD in the way of the test current, or it trips.
    const plain = withFault(rig, 'residualMissing', 'b1rcdA')
    const zs = readLoop(live(plain), { at: 'c1p3.L', to: 'c1p3.E' }, 'high-current').value!
    const tails = 0.35 + (R1 + R2) / 4
    expect(zs).toBeGreaterThan(tails * 0.95)
    expect(zs).toBeLessThan(tails * 1.05 + 0.02)
  })
  it('a high-current loop test trips the RCD; a no-trip test reads', () => {
    expect(readLoop(live(rig), { at: 'c1p3.L', to: 'c1p3.E' }, 'high-current').hazards).toEqual([
      { code: 'trips', params: { device: 'RCD A' } },
    ])
    expect(readLoop(live(rig), { at: 'c1p3.L', to: 'c1p3.E' }, 'no-trip').value).toBeGreaterThan(0.5)
  })
  it('prospective fault current × loop impedance is the voltage', () => {
    const at = { at: 'b1main.L in', to: 'b1main.N in' }
    const [pfc, z] = [
      readFaultCurrent(live(rig), at, 'high-current').value!,
      readLoop(live(rig), at, 'high-current').value!,
    ]
    expect(pfc * z).toBeGreaterThan(230 * 0.9)
    expect(pfc * z).toBeLessThan(230 * 1.1)
    // The intake is given as 1.6 kA; tails of a metre take a little off it.
    expect(pfc).toBeGreaterThan(1500)
    expect(pfc).toBeLessThanOrEqual(1600)
  })
  it('RCD: no trip at half, within 300 ms at once, within 40 ms at five times IΔn; the slower half-wave is slower', () => {
    const at = { at: 'c1p3.L', to: 'c1p3.E' }
    expect(readTripTime(live(rig), at, { ratedA: 0.03, multiple: 0.5 }).isOver).toBe(true)
    expect(readTripTime(live(rig), at, { ratedA: 0.03, multiple: 1 })).toMatchObject({ trips: ['b1rcdA'] })
    expect(readTripTime(live(rig), at, { ratedA: 0.03, multiple: 1 }).value).toBeLessThanOrEqual(0.3)
    expect(readTripTime(live(rig), at, { ratedA: 0.03, multiple: 5 }).value).toBeLessThanOrEqual(0.04)
    expect(
      readTripTime(live(rig), at, { ratedA: 0.03, multiple: 1, startDegrees: 180 }).value!,
    ).toBeGreaterThan(readTripTime(live(rig), at, { ratedA: 0.03, multiple: 1, startDegrees: 0 }).value!)
  })
  it('nothing works without a supply', () => {
    for (const reading of [
      readLoop(dead(rig), { at: 'c1p1.L', to: 'c1p1.E' }, 'high-current'),
      readTripTime(dead(rig), { at: 'c1p1.L', to: 'c1p1.E' }, { ratedA: 0.03, multiple: 1 }),
    ])
      expect(reading.hazards.map(({ code }) => code)).toEqual(['noSupply'])
  })
  it('nothing on the display is never silent: each instrument says in words why', () => {
    const radial = rigOf(splitBoard({ circuits: [aCircuit({ points: 2 })] }))
    const noNeutral = withFault(radial, 'neutralOpen', wireBetween(radial, 'c1p1.N', 'c1p2.N'))
    const plain = withFault(rig, 'residualMissing', 'b1rcdA')
    const request = { volt: 500, ratedA: 0.03, multiple: 1 } as const
    const says = (bench: Bench, instrument: InstrumentCode, at: string[]) =>
      displaySentences(takeReading(bench, { ...request, instrument, at }).display).join(' ')
    const [L, N] = ['c1p2.L', 'c1p2.N'] as const
    expect(says(dead(radial), 'voltage', [L, N])).toMatch(/supply of this bay is off/)
    expect(says(dead(radial), 'indicator', [L, N])).toMatch(/supply of this bay is off/)
    expect(says(live(radial), 'voltage', [N, N])).toMatch(/Test the other pairs/)
    expect(says(live(radial), 'voltage', [L, N])).toBe('')
    expect(says(dead(radial), 'loop', [L, N])).toMatch(/no supply here/)
    // Line there and neutral open: it is no lack of supply, and the voltmeter sees what floats.
    expect(says(live(noNeutral), 'loop', [L, N])).toMatch(/A conductor is open on the way/)
    expect(says(live(plain), 'rcd', ['c1p3.L', 'c1p3.E'])).toMatch(/No RCD opened/)
    expect(says(live(radial), 'rcd', ['c1p2.L', 'c1p2.E'])).toBe('')
    expect(says(dead(radial), 'clamp', [wireBetween(radial, 'c1p1.L', 'c1p2.L')])).toMatch(
      /nothing is in use/,
    )
    expect(says(live(radial), 'continuity', [L, N])).toMatch(/refuses/)
    expect(says(live(radial), 'insulation', [L, N])).toMatch(/refuses/)
    expect(
      displayWords(takeReading(dead(radial), { ...request, instrument: 'indicator', at: [L, N] }).display),
    ).toBe('no lamp lights')
    expect(
      displayWords(
        takeReading(dead(radial), { ...request, instrument: 'rotation', at: [L, N, 'c1p2.E'] }).display,
      ),
    ).toBe('no supply')
  })
  it('voltmeter, indicator and socket tester', () => {
    expect(readVoltage(live(rig), { at: 'c1p1.L', to: 'c1p1.N' }).value).toBe(230)
    expect(readIndicator(live(rig), { at: 'c1p1.L', to: 'c1p1.E' })).toBe(230)
    expect(readIndicator(live(rig), { at: 'c1p1.L', to: 'c1p1.E' }, false)).toBe(0)
    expect(readSocketTester(live(rig), 'c1p1')).toBe('right')
    expect(readSocketTester(live(withFault(rig, 'polarityAtPoint', 'c1p1')), 'c1p1')).toBe(
      'lineNeutralSwapped',
    )
    expect(
      readSocketTester(live(withFault(rig, 'earthOpen', wireBetween(rig, 'c1p2.E', 'c1p3.E'))), 'c1p3'),
    ).toBe('right')
    const radial = rigOf(splitBoard({ circuits: [aCircuit({ points: 2 })] }))
    expect(
      readSocketTester(live(withFault(radial, 'earthOpen', wireBetween(radial, 'c1p1.E', 'c1p2.E'))), 'c1p2'),
    ).toBe('noEarth')
    // As in life: neutral and earth interchanged looks right.
    expect(readSocketTester(live(withFault(radial, 'neutralAndEarth', 'c1p2')), 'c1p2')).toBe('right')
  })
  it('clamp: one conductor shows the load, line and neutral together nothing', () => {
    const loaded = prepare(rig, { ...workingState(rig), inUse: { c2p1: true } })
    const [l, n] = [wireBetween(rig, 'b1w2', 'c2p0'), wireBetween(rig, 'b1nB', 'c2p1')]
    expect(readClamp(loaded, [l]).value).toBeCloseTo(100 / 230, 2)
    expect(readClamp(loaded, [l, n]).value).toBe(0)
  })
  it('phase rotation, and what two interchanged lines do to it', () => {
    const motor = aCircuit({
      use: 'motor',
      phases: 3,
      load: { basis: 'motor', powerW: 4000, powerFactor: 0.8, efficiency: 0.85, startMultiple: 6 },
      points: 1,
      device: { family: 'breaker', curve: 'D' },
      residualA: null,
      cable: { kind: 'multicore', method: 'C' },
    })
    const three = rigOf(
      anInstallation({
        intake: { arrangement: 'TN-S', phases: 3, zeOhm: 0.3, ipfA: 3000, mainFuseA: 100, neutralMm2: 25 },
        boards: [aBoard({ phases: 3 })],
        circuits: [motor],
      }),
    )
    const lines = ['c1p1.L1', 'c1p1.L2', 'c1p1.L3'] as const
    expect(readRotation(live(three), lines)).toBe('L1-L2-L3')
    expect(readRotation(live(withFault(three, 'linesInterchanged', 'b1w1')), lines)).toBe('L1-L3-L2')
  })
})

it('an instrument never shows more than its accuracy away from the truth', () => {
  const rig = aBay()
  const bench = dead(rig, { links: [['b1w2.L out', 'b1e.1']] })
  const truth = readContinuity(bench, { at: 'c2p1.L', to: 'c2p1.E' })
  fc.assert(
    fc.property(fc.double({ min: -1, max: 1, noNaN: true }), (error) => {
      const { value, band } = readContinuity(bench, { at: 'c2p1.L', to: 'c2p1.E' }, undefined, error)
      expect(Math.abs(value! - truth.value!)).toBeLessThanOrEqual(0.02 * truth.value! + 0.02 + 0.0101)
      expect(band!.low).toBeLessThanOrEqual(truth.value!)
      expect(band!.high).toBeGreaterThanOrEqual(truth.value!)
    }),
  )
})
