/* Conduit: geometry against closed forms and an independent numerical length; supports against On-Site Guide Tables D1 and D3 (from memory of them, as listed beside each);
   cutting lists against exhaustive search and the bound L2 of Martello and Toth (1990, from memory). Joists: building regulations guidance as quoted in the On-Site Guide 7.3, from memory. Tolerance, draw points, allowances: common practice, no source. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { arcMm, calibrate, gainMm, offsetShrinkMm, offsetSlopeMm, tangentMm } from '#core/containment/bending'
import { drawSections, pullOf } from '#core/containment/draw'
import { runProblems } from '#core/containment/check'
import { cutStock, lowerBound } from '#core/containment/cutting'
import { readRun } from '#core/containment/form'
import { routeOf } from '#core/containment/route'
import { runFromCircuit } from '#core/containment/from-circuit'
import { aCircuit } from '../support/task'
import { cornersOf, lengthOf, plus, type Vector } from '#core/containment/geometry'
import { type ContainmentRun, type Detour, type Direction } from '#core/containment/containment-run'
import { clipSpacingMm, holeProblems, isInZone, notchProblems } from '#core/containment/surface'
import { expansionMm, spacingMm, supportsOf } from '#core/containment/supports'
import { developedMm, tubesOf } from '#core/containment/tubes'
import { runSentence } from '#words/containment'
import { FORMER, offset, run, straight } from '../support/run'

const bridge: Detour = { kind: 'bridge', atMm: 300, heightMm: 50, angleDeg: 45, towards: 'out', flatMm: 120 }

/**
 * Length along a polyline whose corners are rounded to a radius, sampled point by point; knows nothing of
 * tangents or gains.
 */
function sampledLength(corners: readonly Vector[], radius: number): number {
  const points: Vector[] = [corners[0]!]
  for (let i = 1; i < corners.length - 1; i += 1) {
    const [a, b, c] = [corners[i - 1]!, corners[i]!, corners[i + 1]!]
    const unit = (v: Vector) => plus([0, 0, 0], v, 1 / lengthOf(v))
    const [u, w] = [unit(plus(a, b, -1)), unit(plus(c, b, -1))]
    const half = Math.acos(u[0] * w[0] + u[1] * w[1] + u[2] * w[2]) / 2
    const centre = plus(b, unit(plus(u, w)), radius / Math.sin(half))
    const from = plus(b, u, radius / Math.tan(half))
    const to = plus(b, w, radius / Math.tan(half))
    for (let k = 0; k <= 2000; k += 1) {
      const mix = plus(plus([0, 0, 0], from, 1 - k / 2000), to, k / 2000)
      points.push(plus(centre, unit(plus(mix, centre, -1)), radius))
    }
  }
  points.push(corners.at(-1)!)
  return points.slice(1).reduce((sum, point, i) => sum + lengthOf(plus(point, points[i]!, -1)), 0)
}

describe('bends', () => {
  it('closed forms: tangent R tan θ/2, arc R θ, gain of a right angle 0.4292 R', () => {
    expect(tangentMm(FORMER, 90)).toBeCloseTo(80, 9)
    expect(arcMm(FORMER, 90)).toBeCloseTo(125.66, 2)
    expect(gainMm(FORMER, 90)).toBeCloseTo(0.4292 * 80, 1)
  })
  it('an offset of 100 mm: slope 200 at 30° and 141 at 45°; it takes 27 and 41 mm from the run', () => {
    expect(
      [offsetSlopeMm(100, 30), offsetSlopeMm(100, 45), offsetShrinkMm(100, 30), offsetShrinkMm(100, 45)].map(
        Math.round,
      ),
    ).toEqual([200, 141, 27, 41])
  })
  it('one test piece tells radius, gain and start; what cannot be is said', () => {
    const piece = (R: number, start: number, mark: number, length: number, outside: number) => {
      const a = mark + start + R
      return {
        lengthMm: length,
        markMm: mark,
        outsideMm: outside,
        markedLegMm: a + outside / 2,
        otherLegMm: length - a + gainMm({ radiusMm: R }, 90) + outside / 2,
      }
    }
    const known = calibrate(piece(85, -12, 250, 600, 20))
    if (!known.ok) throw new Error(known.problem)
    expect(known.former.radiusMm).toBeCloseTo(85, 6)
    expect(known.former.startMm).toBeCloseTo(-12, 6)
    expect(
      calibrate({ lengthMm: 600, markMm: 250, markedLegMm: 300, otherLegMm: 300, outsideMm: 20 }),
    ).toEqual({ ok: false, problem: 'noGain' })
    expect(calibrate(piece(25, 0, 250, 600, 20))).toMatchObject({ problem: 'tooTight' })
  })
  it('any run in three planes: the tubes are as long as the way along their centre line, measured point by point', () => {
    const direction = fc.constantFrom<Direction>('right', 'up', 'out', 'down')
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            to: direction,
            lengthMm: fc.integer({ min: 260, max: 900 }),
            setDeg: fc.constantFrom(90, 60, 45, 30),
          }),
          { minLength: 2, maxLength: 4 },
        ),
        (parts) => {
          const containmentRun = run(
            parts.map((part, i) =>
              straight(part.to, part.lengthMm, i === parts.length - 1 ? 'end' : 'bend', {
                setDeg: part.setDeg,
              }),
            ),
          )
          fc.pre(runProblems(containmentRun, FORMER, 9).filter(({ code }) => code !== 'tooLong').length === 0)
          expect(developedMm(containmentRun, FORMER)).toBeCloseTo(
            sampledLength(
              cornersOf(containmentRun).map(({ at }) => at),
              FORMER.radiusMm,
            ),
            1,
          )
        },
      ),
      { numRuns: 60 },
    )
    for (const detour of [offset, bridge]) {
      const containmentRun = run([straight('right', 900, 'end', { detour })])
      expect(developedMm(containmentRun, FORMER)).toBeCloseTo(
        sampledLength(
          cornersOf(containmentRun).map(({ at }) => at),
          FORMER.radiusMm,
        ),
        1,
      )
    }
  })
  it('marks: each begins where the straight before it ends; an offset’s second set is turned half round', () => {
    const [tube] = tubesOf(run([straight('right', 600), straight('up', 400, 'end')]), FORMER)
    expect(tube!.bends).toHaveLength(1)
    expect(tube!.bends[0]).toMatchObject({ fromMm: 16 + 600 - 80, towards: 'up', bendToDeg: 94 })
    expect(tube!.cutMm).toBeCloseTo(16 + 520 + 125.66 + 320 + 16, 1)
    const coupled = tubesOf(run([straight('right', 2000, 'coupler'), straight('right', 2000, 'end')]), FORMER)
    expect(coupled.map(({ cutMm }) => cutMm)).toEqual([2032, 2032])
    const [shifted] = tubesOf(run([straight('right', 900, 'end', { detour: offset })]), FORMER)
    expect(shifted!.bends.map(({ rollDeg, towards }) => [rollDeg, towards])).toEqual([
      [null, 'out'],
      [180, 'back'],
    ])
    const [turned] = tubesOf(
      run([straight('right', 500), straight('up', 500), straight('out', 500, 'end')]),
      FORMER,
    )
    expect([90, 270]).toContain(turned!.bends[1]!.rollDeg)
  })
})

describe('what cannot be made is said at its piece, with the nearest that works', () => {
  const cases: readonly (readonly [string, ContainmentRun, number, string, number | null])[] = [
    [
      'a straight too short for two bends',
      run([straight('right', 500), straight('up', 150), straight('right', 500, 'end')]),
      1,
      'short',
      180,
    ],
    [
      'a leg shorter than the former allows before a box',
      run([straight('right', 90), straight('up', 500, 'end')]),
      0,
      'short',
      110,
    ],
    [
      'a run that crosses itself',
      run([
        straight('right', 800, 'box'),
        straight('up', 300, 'box'),
        straight('left', 500, 'box'),
        straight('down', 600, 'end'),
      ]),
      3,
      'crosses',
      null,
    ],
    [
      'a run that turns back',
      run([straight('right', 500), straight('left', 300, 'end')]),
      1,
      'turnsBack',
      null,
    ],
    [
      'a run that goes straight on after a bend',
      run([straight('right', 500), straight('right', 300, 'end')]),
      1,
      'turnsBack',
      null,
    ],
    [
      'a coupler at a corner',
      run([straight('right', 500, 'coupler'), straight('up', 300, 'end')]),
      1,
      'couplerTurns',
      null,
    ],
    ['a tube longer than is sold', run([straight('right', 3200, 'end')]), 0, 'tooLong', 3000],
    [
      'sets of a bridge too close',
      run([straight('right', 1200, 'end', { detour: { ...bridge, heightMm: 40 } })]),
      0,
      'detourTight',
      62,
    ],
    [
      'a bridge too short on top',
      run([straight('right', 1200, 'end', { detour: { ...bridge, heightMm: 90, flatMm: 60 } })]),
      0,
      'flatShort',
      87,
    ],
    [
      'a detour past the end',
      run([straight('right', 380, 'end', { detour: offset })]),
      0,
      'detourOutside',
      434,
    ],
    [
      'three right angles without a draw point',
      run([straight('right', 500), straight('up', 500), straight('right', 500), straight('up', 500, 'end')]),
      3,
      'tooManyBends',
      2,
    ],
  ]
  it.each(cases)('%s', (_, containmentRun, at, code, nearest) => {
    const problem = runProblems(containmentRun, FORMER).find((runProblem) => runProblem.code === code)
    expect(problem).toMatchObject({ straight: at, nearest })
    expect(runSentence(problem!).length).toBeGreaterThan(15)
  })
  it('tray is cut to its corners, and what is not bent is never too short for a bend', () => {
    const tray = run([straight('right', 500), straight('up', 60), straight('right', 400, 'end')], {
      made: 'tray',
    })
    expect(runProblems(tray, FORMER)).toEqual([])
    expect(tubesOf(tray, FORMER).map(({ cutMm, bends }) => [cutMm, bends.length])).toEqual([
      [500, 0],
      [60, 0],
      [400, 0],
    ])
  })
  it('the design gets the whole length and the worst way between draw points', () => {
    expect(
      routeOf(
        run([
          straight('right', 1000),
          straight('up', 2000, 'box'),
          straight('right', 1500, 'end', { detour: bridge }),
        ]),
      ),
    ).toEqual({ lengthM: 4.5, betweenBoxesM: 3, bends: 2 })
  })
  it('a route of an exercise is as long as it says, with its bends between boxes, and can be made', () => {
    const circuit = aCircuit({ lengthM: 15, run: { betweenBoxesM: 5, bends: 2 } })
    const { sheet } = readRun(runFromCircuit('T-9', circuit))
    expect(sheet!.run.straights.reduce((sum, { lengthMm }) => sum + lengthMm, 0)).toBeCloseTo(15_000, -2)
    expect(sheet!.run.straights.filter(({ then }) => then === 'bend')).toHaveLength(6)
    expect(runProblems(sheet!.run, sheet!.former).filter(({ code }) => code !== 'tooLong')).toEqual([])
  })
  it('boxes of a sheet that cannot be read are named', () => {
    const { sheet, problems } = readRun({
      order: 's1',
      's1.length': 'long',
      's1.detour': 'offset',
      's1.height': '60',
      areas: '6×2.5 what',
    })
    expect(sheet).toBeUndefined()
    expect(Object.keys(problems).sort()).toEqual(['areas', 's1.at', 's1.length'])
    expect(readRun({ order: 's1', 's1.length': '1,5', areas: '4x2.5 1.5' }).sheet!.areasMm2).toEqual([
      2.5, 2.5, 2.5, 2.5, 1.5,
    ])
  })
})

describe('supports, draw points, surfaces', () => {
  it.each([
    ['steel', 16, 0.75, 1.0],
    ['steel', 20, 1.75, 2.0],
    ['steel', 25, 1.75, 2.0],
    ['steel', 32, 2.0, 2.25],
    ['pvc', 16, 0.75, 1.0],
    ['pvc', 20, 1.5, 1.75],
    ['pvc', 32, 1.75, 2.0],
  ] as const)(
    '%s %d mm: %d m across, %d m upright (On-Site Guide Table D3, from memory)',
    (material, sizeMm, across, upright) => {
      expect([
        spacingMm({ made: 'conduit', material, sizeMm }, false),
        spacingMm({ made: 'conduit', material, sizeMm }, true),
      ]).toEqual([across * 1000, upright * 1000])
    },
  )
  it('saddles stand off every bend, near it, and never farther apart than the table says', () => {
    const containmentRun = run([straight('right', 2600), straight('up', 900, 'end')])
    const places = supportsOf(containmentRun, FORMER)
      .filter((support) => support.straight === 0)
      .map(({ atMm }) => atMm)
    expect(places[0]).toBe(150)
    expect(places.at(-1)).toBe(2600 - 80 - 150)
    for (const [i, place] of places.entries())
      if (i > 0) expect(place - places[i - 1]!).toBeLessThanOrEqual(1500)
  })
  it('two right angles within five metres pull fair, four hard, two metres with two easily; a box begins anew', () => {
    const pull = (rightAngles: number, lengthMm: number) => pullOf({ rightAngles, lengthMm }).pull
    expect([0, 1, 2, 4].map((n) => pull(n, 5000))).toEqual(['easy', 'easy', 'fair', 'hard'])
    expect([pull(2, 2000), pull(2, 10_000), pull(0, 9000)]).toEqual(['easy', 'hard', 'easy'])
    expect(
      drawSections(
        run([
          straight('right', 500),
          straight('up', 500, 'box'),
          straight('right', 500),
          straight('up', 500, 'end'),
        ]),
      ).map(({ rightAngles }) => Math.round(rightAngles)),
    ).toEqual([1, 1])
  })
  it('clips by diameter (On-Site Guide Table D1, from memory), zones of 150 mm (522.6.202), PVC grows 0.07 mm a metre and kelvin', () => {
    expect(
      [
        [8, false],
        [8, true],
        [12, false],
        [18, true],
      ].map(([mm, upright]) => clipSpacingMm(mm as number, upright as boolean)),
    ).toEqual([250, 400, 300, 450])
    expect(isInZone({ fromTopMm: 140, fromCornerMm: 900, inLineWithAccessory: false })).toBe(true)
    expect(isInZone({ fromTopMm: 400, fromCornerMm: 900, inLineWithAccessory: false })).toBe(false)
    expect(expansionMm(3000, 30)).toBeCloseTo(6.3, 1)
  })
  it('joists: holes in the middle depth between 0.25 and 0.4 of the span, notches between 0.07 and 0.25', () => {
    const joist = { spanMm: 4000, depthMm: 200 }
    expect(holeProblems(joist, { fromSupportMm: 1200, diameterMm: 25, toNextMm: 100 })).toEqual([])
    expect(holeProblems(joist, { fromSupportMm: 2000, diameterMm: 60, toNextMm: 100 })).toEqual([
      'holePlace',
      'holeSize',
      'tooClose',
    ])
    expect(notchProblems(joist, { fromSupportMm: 500, depthMm: 25 })).toEqual([])
    expect(notchProblems(joist, { fromSupportMm: 1500, depthMm: 30 })).toEqual(['notchPlace', 'notchDepth'])
  })
})

describe('cutting lists', () => {
  const pieces = (lengths: readonly number[]) => lengths.map((lengthMm, i) => ({ name: `p${i}`, lengthMm }))
  /** Every way to share pieces among bars. */
  function exhaustive(lengths: readonly number[], stock: number, kerf: number): number {
    let best = lengths.length
    const bars: number[] = []
    const place = (i: number): void => {
      if (bars.length >= best) return
      if (i === lengths.length) return void (best = bars.length)
      for (let b = 0; b < bars.length; b += 1)
        if (bars[b]! + lengths[i]! + kerf <= stock + kerf) {
          bars[b]! += lengths[i]! + kerf
          place(i + 1)
          bars[b]! -= lengths[i]! + kerf
        }
      bars.push(lengths[i]! + kerf)
      place(i + 1)
      bars.pop()
    }
    place(0)
    return best
  }
  it('few pieces: as few bars as looking at every plan finds', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 200, max: 2900 }), { minLength: 1, maxLength: 8 }),
        (lengths) => {
          const plan = cutStock(pieces(lengths), 3000)
          expect(plan.bars.length).toBe(exhaustive(lengths, 3000, 2))
          expect(plan.bars.flatMap((bar) => bar.pieces).length).toBe(lengths.length)
          for (const { pieces: own, leftMm } of plan.bars)
            expect(
              own.reduce((sum, { lengthMm }) => sum + lengthMm, 0) + 2 * (own.length - 1) + leftMm,
            ).toBeLessThanOrEqual(3000 + 1e-6)
          expect(plan.leastBars).toBeLessThanOrEqual(plan.bars.length)
        },
      ),
      { numRuns: 120 },
    )
  })
  it('sixteen bays of twelve pieces: within 2 % of the bound, within a second', () => {
    const lengths = Array.from({ length: 192 }, (_, i) => 260 + ((i * 7919) % 1240))
    const start = performance.now()
    const plan = cutStock(pieces(lengths), 3000)
    expect(performance.now() - start).toBeLessThan(1000)
    expect(plan.bars.length).toBeLessThanOrEqual(
      Math.ceil(
        lowerBound(
          lengths.map((length) => length + 2),
          3002,
        ) * 1.02,
      ),
    )
  })
  it('a piece longer than a bar is named and left out', () => {
    expect(cutStock(pieces([3100, 900]), 3000)).toMatchObject({
      tooLong: [{ lengthMm: 3100 }],
      bars: [{ pieces: [{ lengthMm: 900 }] }],
    })
  })
})
