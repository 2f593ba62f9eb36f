/* Trunking against plane geometry worked another way: both sides of the run as offset lines that are brought to meet. Sizes and factors: On-Site Guide Tables E5 and E6, from memory. Mitres at half the turn: common practice, no source. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawRun } from '#core/containment/drawing'
import { billOf } from '#core/containment/bill'
import { runProblems } from '#core/containment/check'
import { readRun, type RunFields } from '#core/containment/form'
import { cornersOf } from '#core/containment/geometry'
import {
  SIZES,
  sizeOf,
  stockMm,
  usualFormer,
  type ContainmentRun,
  type Direction,
  type Straight,
} from '#core/containment/containment-run'
import { supportsOf } from '#core/containment/supports'
import { developedMm, tubesOf } from '#core/containment/tubes'

const FORMER = usualFormer({ material: 'pvc', sizeMm: 20 })
const straight = (to: Direction, lengthMm: number, parts: Partial<Straight> = {}): Straight => ({
  to,
  setDeg: 90,
  lengthMm,
  then: 'bend',
  detour: null,
  ...parts,
})
const trunking = (straights: readonly Straight[], parts: Partial<ContainmentRun> = {}): ContainmentRun => ({
  name: 'T',
  made: 'trunking',
  material: 'pvc',
  sizeMm: 50,
  depthMm: 50,
  straights,
  ...parts,
})

type P = readonly [number, number]
/**
 * The corners of every piece of a flat run of this width: its two sides as lines beside the centre line,
 * brought to meet at the corners, square at the ends.
 */
function outlines(points: readonly P[], width: number): P[][] {
  const legs = points.slice(1).map((b, i) => {
    const a = points[i]!
    const l = Math.hypot(b[0] - a[0], b[1] - a[1])
    return { a, b, u: [(b[0] - a[0]) / l, (b[1] - a[1]) / l] as P }
  })
  const beside = (i: number, side: number): { p: P; u: P } => {
    const { a, u } = legs[i]!
    return { p: [a[0] - u[1] * side, a[1] + u[0] * side], u }
  }
  const meet = (entry: { p: P; u: P }, other: { p: P; u: P }): P => {
    const det = entry.u[0] * other.u[1] - entry.u[1] * other.u[0]
    const t = ((other.p[0] - entry.p[0]) * other.u[1] - (other.p[1] - entry.p[1]) * other.u[0]) / det
    return [entry.p[0] + entry.u[0] * t, entry.p[1] + entry.u[1] * t]
  }
  return legs.map(({ a, b, u }, i) =>
    [1, -1].flatMap((sign): P[] => {
      const side = (sign * width) / 2
      const square = (at: P): P => [at[0] - u[1] * side, at[1] + u[0] * side]
      return [
        i === 0 ? square(a) : meet(beside(i - 1, side), beside(i, side)),
        i === legs.length - 1 ? square(b) : meet(beside(i, side), beside(i + 1, side)),
      ]
    }),
  )
}

describe('mitred trunking', () => {
  it('any flat run: each piece is as long as its outline, its long side on the outside of the turn', () => {
    const flat = fc.array(
      fc.record({
        to: fc.constantFrom<Direction>('right', 'up', 'left', 'down'),
        lengthMm: fc.integer({ min: 300, max: 1500 }),
        setDeg: fc.constantFrom(90, 60, 45, 30),
      }),
      { minLength: 2, maxLength: 5 },
    )
    fc.assert(
      fc.property(flat, fc.constantFrom(...SIZES.trunking), (parts, { sizeMm, depthMm }) => {
        const run = trunking(
          parts.map(({ to, lengthMm, setDeg }, i) =>
            straight(to, lengthMm, { setDeg, then: i === parts.length - 1 ? 'end' : 'bend' }),
          ),
          { sizeMm, depthMm },
        )
        fc.pre(runProblems(run, FORMER).every(({ code }) => code === 'tooManyBends'))
        const corners = cornersOf(run)
        const shapes = outlines(
          corners.map(({ at }): P => [at[0], at[1]]),
          sizeMm,
        )
        tubesOf(run, FORMER).forEach((piece, i) => {
          const [a, b] = [corners[i]!.at, corners[i + 1]!.at]
          const u: P = [
            (b[0] - a[0]) / Math.hypot(b[0] - a[0], b[1] - a[1]),
            (b[1] - a[1]) / Math.hypot(b[0] - a[0], b[1] - a[1]),
          ]
          const along = shapes[i]!.map((p) => p[0] * u[0] + p[1] * u[1])
          expect(piece.cutMm).toBeCloseTo(Math.max(...along) - Math.min(...along), 6)
        })
        expect(developedMm(run, FORMER)).toBeCloseTo(
          run.straights.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
          6,
        )
      }),
      { numRuns: 80 },
    )
  })
  it('right, then up: half the width at 45° on either piece, long below and on the right', () => {
    const [across, up] = tubesOf(
      trunking([straight('right', 900), straight('up', 600, { then: 'end' })], { sizeMm: 100, depthMm: 75 }),
      FORMER,
    )
    expect(across).toMatchObject({ cutMm: 950, mitres: [null, { cutDeg: 45, longSide: 'down' }] })
    expect(across!.mitres[1]!.extraMm).toBeCloseTo(50, 9)
    expect(up).toMatchObject({ cutMm: 650, mitres: [{ cutDeg: 45, longSide: 'right' }, null] })
  })
  it('off the wall it is the depth that is cut across', () => {
    const [across, out] = tubesOf(
      trunking([straight('right', 900), straight('out', 400, { then: 'end' })], { sizeMm: 100, depthMm: 75 }),
      FORMER,
    )
    expect(across!.mitres[1]).toMatchObject({ longSide: 'back' })
    expect(across!.mitres[1]!.extraMm).toBeCloseTo(37.5, 9)
    expect(out!.mitres[0]).toMatchObject({ longSide: 'right' })
  })
  it('a box takes square ends; tray is made up and cut on its centre line', () => {
    const boxed = tubesOf(
      trunking([straight('right', 900, { then: 'box' }), straight('up', 600, { then: 'end' })]),
      FORMER,
    )
    expect(boxed.map(({ cutMm, mitres }) => [cutMm, mitres])).toEqual([
      [900, [null, null]],
      [600, [null, null]],
    ])
    expect(
      tubesOf(
        trunking([straight('right', 900), straight('up', 600, { then: 'end' })], {
          made: 'tray',
          sizeMm: 150,
          depthMm: 25,
        }),
        FORMER,
      ).map(({ cutMm }) => cutMm),
    ).toEqual([900, 600])
  })
  it('a leg shorter than its mitres, and one longer than a length, are told with what works', () => {
    const short = trunking(
      [straight('right', 500), straight('up', 60), straight('left', 500, { then: 'end' })],
      { sizeMm: 100, depthMm: 50 },
    )
    expect(runProblems(short, FORMER)).toContainEqual({ straight: 1, code: 'short', nearest: 101 })
    expect(
      runProblems(trunking([straight('right', 2990), straight('up', 500, { then: 'end' })]), FORMER),
    ).toContainEqual({ straight: 0, code: 'tooLong', nearest: 3000 })
  })
  it('fixings are counted from the corner itself, corners in the bill', () => {
    const { sheet } = readRun({
      made: 'trunking',
      size: '75x50',
      bays: '3',
      order: 's1 s2',
      's1.to': 'right',
      's1.length': '1600',
      's1.then': 'bend',
      's2.to': 'up',
      's2.length': '700',
    })
    const places = supportsOf(sheet!.run, FORMER)
      .filter(({ straight: own }) => own === 0)
      .map(({ atMm }) => atMm)
    expect([places[0], places.at(-1)]).toEqual([150, 1450])
    expect(billOf(sheet!, tubesOf(sheet!.run, FORMER), supportsOf(sheet!.run, FORMER))).toContainEqual({
      name: 'mitred corners, their edges deburred',
      count: 3,
    })
  })
  it('three corners between boxes are no matter where cables are laid in, and are drawn as corners', () => {
    const straights = [
      straight('right', 500),
      straight('up', 500),
      straight('right', 500),
      straight('up', 500, { then: 'end' }),
    ]
    expect(runProblems(trunking(straights), FORMER)).toEqual([])
    expect(drawRun(trunking(straights), FORMER).path).not.toContain('Q')
    expect(
      drawRun(trunking(straights, { made: 'conduit', sizeMm: 20, depthMm: 20 }), FORMER).path.match(/Q/g),
    ).toHaveLength(3)
  })
})

describe('sizes', () => {
  it('a size that this kind does not come in becomes its usual one, and no other box is touched', () => {
    const fields: RunFields = {
      made: 'trunking',
      size: '20',
      order: 's1',
      's1.to': 'right',
      's1.length': '500',
    }
    expect(sizeOf(readRun(fields).sheet!.run).code).toBe('50x50')
    expect(sizeOf(readRun({ ...fields, made: 'conduit' }).sheet!.run).code).toBe('20')
    expect(sizeOf(readRun({ ...fields, made: 'tray', size: '300' }).sheet!.run)).toMatchObject({
      sizeMm: 300,
      words: '300 mm',
    })
    for (const made of ['conduit', 'trunking', 'tray'] as const)
      for (const size of SIZES[made]) expect(sizeOf({ made, ...size })).toBe(size)
  })
  it('lengths: steel conduit 3.75 m, everything else 3 m; common practice, no source', () => {
    expect([
      stockMm({ made: 'conduit', material: 'steel' }),
      stockMm({ made: 'conduit', material: 'pvc' }),
      stockMm({ made: 'trunking', material: 'steel' }),
    ]).toEqual([3750, 3000, 3000])
  })
})
