/* The best arrangement against every arrangement there is, and its bound. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { randomLcg } from 'd3-random'
import { anneal } from '#core/arrangement/anneal'
import { arrange, type Arranged } from '#core/arrangement/arrange'
import type { SeatedCircuit } from '#core/arrangement/board'
import { lowerBound } from '#core/arrangement/bound'
import { exactRow } from '#core/arrangement/exact-row'
import { lossW } from '#core/arrangement/heat'
import { asTheyCome } from '#core/arrangement/marked'
import { measure } from '#core/arrangement/measure'
import { quickTotal } from '#core/arrangement/quick-total'
import { costsOf, totalOf, USUAL_WEIGHTS, WISHES } from '#core/arrangement/wishes'
import { boundSays } from '#words/arrangement'
import {
  alone,
  board,
  circuit,
  everySeating,
  least,
  someCircuit,
  someCircuits,
  someWeights,
  THREE,
} from '../support/arrangement'

describe('the best arrangement', () => {
  it('of a six-way board is the best of all there are', () => {
    fc.assert(
      fc.property(
        someCircuits(6),
        fc.constantFrom(board({ sections: 2, reach: 3 }), board({ sections: 1, reach: 2 }), THREE),
        someWeights,
        (all, at, weights) => {
          const circuits = alone(all, at)
          const found = arrange(circuits, at, weights) as Arranged
          expect(found.isProved).toBe(true)
          expect(found.total).toBeCloseTo(least(circuits, at, weights), 9)
          expect(totalOf(costsOf(circuits, at, found.seating), weights)).toBeCloseTo(found.total, 9)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('of nine seats on three lines with devices of three poles, an SPD among them, is the best of all there are', () => {
    const at = board({ phases: 3, ways: 3, reach: 4 })
    const wide = fc.constantFrom<readonly Partial<SeatedCircuit>[]>(
      [{ currentA: 12, heatW: 3, hasLead: true, area: 'yard' }],
      (['device', 'spd'] as const).map((surge) => ({ currentA: 0, heatW: 0, surge })),
    )
    fc.assert(
      fc.property(
        fc.array(someCircuit, { minLength: 1, maxLength: 4 }),
        wide,
        someWeights,
        (all, of, weights) => {
          const singles = all.slice(0, 9 - 3 * of.length)
          const circuits = [
            ...singles,
            ...of.map((one): SeatedCircuit => circuit({ ...one, phases: 3, isShared: false })),
          ]
          const ways = everySeating(of.length, 3)
          const totals = everySeating(singles.length, 9 - 3 * of.length).flatMap((row) =>
            ways.map((way) => {
              const rest = [...row]
              const seating = way.flatMap((one) =>
                one === null ? rest.splice(0, 3) : [0, 1, 2].map(() => singles.length + one),
              )
              return totalOf(costsOf(circuits, at, seating), weights)
            }),
          )
          const found = arrange(circuits, at, weights) as Arranged
          expect(found.isProved).toBe(true)
          expect(found.total).toBeCloseTo(Math.min(...totals), 9)
        },
      ),
      { numRuns: 40 },
    )
  })
  it('of a consumer unit whose circuits share two RCDs is proved, and no long search finds a better one', () => {
    const at = board({ ways: 14, sections: 2, reach: 5 })
    for (const seed of [0.2, 0.7]) {
      const random = randomLcg(seed)
      const circuits = Array.from({ length: 10 }, (_, i) =>
        circuit({
          heatW: 6 * random(),
          area: ['ground', 'first', 'yard'][i % 3]!,
          hasLead: i % 4 === 0,
          isShared: i !== 7,
          leakageMA: 4 * random(),
        }),
      ).concat((['device', 'spd'] as const).map((surge) => circuit({ heatW: 0, isShared: false, surge })))
      const found = arrange(circuits, at, USUAL_WEIGHTS) as Arranged
      expect(found.isProved).toBe(true)
      const cost = quickTotal(circuits, at, USUAL_WEIGHTS)
      const searched = anneal(asTheyCome(circuits, at), { circuits, board: at, cost, random, moves: 200_000 })
      expect(cost(searched)).toBeGreaterThanOrEqual(found.total - 1e-9)
      // Stopped at once it still knows what nothing can be below.
      const stopped = exactRow(circuits, at, USUAL_WEIGHTS, { known: 99, mostWork: 1e9, mostSteps: 0 })!
      expect(stopped.seating).toBeNull()
      expect(stopped.bound).toBeGreaterThan(0)
      expect(stopped.bound).toBeLessThanOrEqual(found.total + 1e-9)
    }
  })
  it('of six circuits on nine seats is the best of all there are', () => {
    const nine = board({ phases: 3, ways: 3, reach: 6 })
    const circuits = [30, 22, 16, 9, 7, 4].map((currentA, i) =>
      circuit({ currentA, heatW: currentA / 5, area: i % 2 ? 'ground' : 'first', hasLead: i < 2 }),
    )
    const found = arrange(circuits, nine, USUAL_WEIGHTS) as Arranged
    expect(found.isProved).toBe(true)
    expect(found.total).toBeCloseTo(least(circuits, nine), 9)
  })
  it('no seating of six falls below the bound, whatever is wished', () => {
    fc.assert(
      fc.property(
        someCircuits(5),
        fc.constantFrom(
          board({ sections: 1, reach: 1 }),
          board({ sections: 2, reach: 2 }),
          board({ sections: 2, reach: 3 }),
          THREE,
          board({ phases: 3, ways: 2, reach: 3 }),
        ),
        someWeights,
        (all, at, weights) => {
          const circuits = alone(all, at)
          const totals = everySeating(circuits.length, 6).map((seating) =>
            totalOf(costsOf(circuits, at, seating), weights),
          )
          const least = Math.min(...totals) + 1e-9
          expect(lowerBound(circuits, at, weights)).toBeLessThanOrEqual(least)
          expect(lowerBound(circuits, at, weights, true)).toBeLessThanOrEqual(least)
        },
      ),
      { numRuns: 120 },
    )
  })
  it('of a usual consumer unit of ten ways is proved, and the words say how far', () => {
    const circuits = [26, 16, 5, 20, 11, 8, 3, 14].map((currentA, i) =>
      circuit({
        currentA,
        ratingA: 32,
        heatW: lossW(32, currentA),
        area: i % 2 ? 'ground' : 'first',
        isShared: false,
      }),
    )
    const found = arrange(circuits, board({ ways: 10, reach: 12 }), USUAL_WEIGHTS) as Arranged
    expect(found.isProved).toBe(true)
    expect(boundSays(found)).toMatch(/^Proved: nothing that can be seated/)
    expect(boundSays({ total: 2, bound: 2, isProved: true })).toBe(
      'Proved: nothing that can be seated meets these wishes better.',
    )
    expect(boundSays({ total: 2, bound: 1.9, isProved: false })).toBe(
      'Best found: 2.00. Nothing can be below 1.90, which is 5.0 % less.',
    )
  })
  it('keeps the three poles of a device in one way, each seat taken once; the same board gives the same', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(someCircuit, fc.constantFrom(1, 1, 3)), { minLength: 1, maxLength: 9 }),
        (list) => {
          const circuits = list.map(([one, phases]): SeatedCircuit => ({ ...one, phases: phases as 1 | 3 }))
          const at = board({ phases: 3, ways: 12 })
          const found = arrange(circuits, at, USUAL_WEIGHTS, 5000) as Arranged
          expect(arrange(circuits, at, USUAL_WEIGHTS, 5000)).toEqual(found)
          circuits.forEach(({ phases }, place) => {
            const seats = found.seating.flatMap((one, seat) => (one === place ? [seat] : []))
            expect(seats).toHaveLength(phases)
            if (phases === 3) expect(seats.map((seat) => seat - seats[0]!)).toEqual([0, 1, 2])
            if (phases === 3) expect(seats[0]! % 3).toBe(0)
          })
        },
      ),
      { numRuns: 8 },
    )
  })
  it('thirty-six circuits on twelve ways: the neutral carries less than a twentieth of a line', () => {
    const circuits = Array.from({ length: 36 }, (_, i) => circuit({ currentA: 3 + ((i * 7) % 17) }))
    const found = arrange(circuits, board({ phases: 3, ways: 12 }), {
      ...USUAL_WEIGHTS,
      blast: 0,
    }) as Arranged
    const { linesA, neutralA } = measure(circuits, board({ phases: 3, ways: 12 }), found.seating)
    expect(neutralA).toBeLessThan(linesA[0]! / 20)
  })
  it('a wish that is not asked for costs the others nothing more', () => {
    const circuits = [20, 20, 5, 5].map((currentA, i) =>
      circuit({ currentA, heatW: currentA / 4, area: i < 2 ? 'ground' : 'first' }),
    )
    const all = arrange(circuits, THREE, USUAL_WEIGHTS) as Arranged
    for (const wish of WISHES) {
      const without = { ...USUAL_WEIGHTS, [wish]: 0 }
      const found = arrange(circuits, THREE, without) as Arranged
      expect(totalOf(found.costs, without)).toBeLessThanOrEqual(totalOf(all.costs, without) + 1e-9)
    }
  })
})
