/* A board laid out: currents as phasors, warmth handed on, what an RCD takes down; the best arrangement against every
   arrangement there is. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { randomLcg } from 'd3-random'
import { anneal } from '#core/arrangement/anneal'
import { arrange, type Arranged } from '#core/arrangement/arrange'
import type { EmptyBoard, SeatedCircuit, Seating } from '#core/arrangement/board'
import { lowerBound } from '#core/arrangement/bound'
import { exactRow } from '#core/arrangement/exact-row'
import { boxesOf, laidBoard } from '#core/arrangement/from-installation'
import { swapped } from '#core/arrangement/swap'
import { lossW, ratedDiversity } from '#core/arrangement/heat'
import { asTheyCome, isSeating, markLayout } from '#core/arrangement/marked'
import { measure, neutralOf } from '#core/arrangement/measure'
import { quickTotal } from '#core/arrangement/quick-total'
import { costsOf, totalOf, USUAL_WEIGHTS, WISHES } from '#core/arrangement/wishes'
import { practiceInstallation, practiceRig, sockets } from '#core/bay/practice/installations'
import { referenceDesign } from '#core/design/reference'
import { boundSays } from '#words/arrangement'
import { splitBoard } from '../support/bay'

const circuit = (parts: Partial<SeatedCircuit> = {}): SeatedCircuit => ({
  id: 'c',
  name: 'Circuit',
  phases: 1,
  currentA: 10,
  thirdShare: 0,
  ratingA: 16,
  heatW: 2,
  area: '',
  hasLead: false,
  isShared: true,
  leakageMA: 1,
  ...parts,
})
const board = (parts: Partial<EmptyBoard> = {}): EmptyBoard => ({
  phases: 1,
  ways: 6,
  sections: 0,
  reach: 99,
  ...parts,
})
const THREE = board({ phases: 3, ways: 2 })

describe('currents', () => {
  it('equal loads on three lines leave none in the neutral; on two, as much as on one; first principles', () => {
    expect(neutralOf([10, 10, 10], 0)).toBeCloseTo(0, 9)
    expect(neutralOf([10, 10, 0], 0)).toBeCloseTo(10, 9)
    expect(neutralOf([10, 0, 0], 0)).toBeCloseTo(10, 9)
  })
  it('third harmonics of all lines add up: 20 % of each of three balanced lines is 60 % of a line', () => {
    expect(neutralOf([10, 10, 10], 3 * 2)).toBeCloseTo(6, 9)
  })
  it('a three-phase circuit loads every line and its neutral not at all', () => {
    const { linesA, neutralA } = measure([circuit({ phases: 3 })], THREE, [0, 0, 0, null, null, null])
    expect(linesA).toEqual([10, 10, 10])
    expect(neutralA).toBeCloseTo(0, 9)
  })
})

describe('warmth', () => {
  it('a pole at its rating turns its rated loss into heat, at half of it a quarter; BS EN 60898-1, from memory', () => {
    expect(lossW(32, 32)).toBe(6)
    expect(lossW(32, 16)).toBe(1.5)
  })
  it('of six circuits beside each other each carries 0.6 of its rating for hours; BS EN 61439-3, from memory', () => {
    expect([1, 2, 4, 6, 12].map(ratedDiversity)).toEqual([1, 0.8, 0.7, 0.6, 0.5])
  })
  it('comes from the neighbours too; a spare seat between two hot ones cools both', () => {
    const hot = [circuit({ heatW: 6 }), circuit({ heatW: 6 })]
    const beside = measure(hot, board({ ways: 3 }), [0, 1, null]).hottestW
    const apart = measure(hot, board({ ways: 3 }), [0, null, 1]).hottestW
    expect([beside, apart]).toEqual([9, 6])
  })
})

describe('what else is looked at', () => {
  it('a floor that one RCD takes down, a lead that does not reach, leakage by section, gaps, changes of place', () => {
    const circuits = [
      circuit({ area: 'ground' }),
      circuit({ area: 'ground', hasLead: true }),
      circuit({ area: 'first', leakageMA: 4 }),
    ]
    const split = board({ sections: 2, reach: 2 })
    // They take turns at the two RCDs, from the left.
    expect(measure(circuits, split, [0, 2, null, 1, null, null])).toMatchObject({
      downAtOnce: ['ground'],
      outOfReach: [1],
      leakageMA: [2, 4],
      gaps: 1,
      changes: 2,
    })
    expect(measure(circuits, split, [0, 1, 2, null, null, null])).toMatchObject({
      downAtOnce: [],
      outOfReach: [],
    })
    const own = circuits.map((one) => ({ ...one, isShared: false }))
    expect(measure(own, board(), [0, 2, 1, null, null, null])).toMatchObject({
      downAtOnce: [],
      leakageMA: [],
    })
  })
  it('circuits that load their device further than so many may beside each other', () => {
    const four = [16, 11, 12, 5].map((currentA) => circuit({ currentA, ratingA: 16 }))
    expect(measure(four, board(), [0, 1, 2, 3, null, null]).aboveDiversity).toEqual([0, 2])
  })
})

/** Every seating of single-phase circuits, worked out apart from the solver. */
function everySeating(n: number, seats: number): Seating[] {
  if (seats === 0) return n === 0 ? [[]] : []
  const all: Seating[] = []
  const walk = (seating: (number | null)[], left: readonly number[], spare: number) => {
    if (seating.length === seats) return void all.push(seating)
    for (const one of left)
      walk(
        [...seating, one],
        left.filter((other) => other !== one),
        spare,
      )
    if (spare > 0) walk([...seating, null], left, spare - 1)
  }
  walk(
    [],
    Array.from({ length: n }, (_, i) => i),
    seats - n,
  )
  return all
}
const someCircuit = fc.record({
  id: fc.constant('c'),
  name: fc.constant('Circuit'),
  phases: fc.constant(1 as const),
  currentA: fc.integer({ min: 1, max: 30 }),
  thirdShare: fc.constantFrom(0, 0.25),
  ratingA: fc.constant(32),
  heatW: fc.integer({ min: 0, max: 6 }),
  area: fc.constantFrom('ground', 'first', 'yard'),
  hasLead: fc.boolean(),
  isShared: fc.boolean(),
  leakageMA: fc.integer({ min: 0, max: 5 }),
})
const alone = (circuits: readonly SeatedCircuit[], { phases }: EmptyBoard) =>
  phases === 1 ? circuits : circuits.filter(({ surge }) => !surge)
/** Some circuits, on some single-phase boards with an SPD and its device beside them. */
const someCircuits = (most: number) =>
  fc
    .tuple(fc.array(someCircuit, { minLength: 1, maxLength: most }), fc.boolean())
    .map(([circuits, hasSpd]): SeatedCircuit[] => [
      ...circuits.slice(0, hasSpd ? most - 2 : most),
      ...(hasSpd ? (['device', 'spd'] as const) : []).map((surge) =>
        circuit({ currentA: 0, heatW: 0, isShared: false, surge }),
      ),
    ])
const weight = fc.constantFrom(0, 1, 6, 20)
const someWeights = fc.record({
  balance: weight,
  heat: weight,
  reach: weight,
  blast: weight,
  leakage: weight,
  together: weight,
  spares: weight,
  surge: weight,
})
const least = (circuits: readonly SeatedCircuit[], at: EmptyBoard, weights = USUAL_WEIGHTS): number =>
  Math.min(
    ...everySeating(circuits.length, at.phases * at.ways).map((seating) =>
      totalOf(costsOf(circuits, at, seating), weights),
    ),
  )

describe('the quick total', () => {
  it('is the total of all costs, whatever is seated where', () => {
    fc.assert(
      fc.property(
        someCircuits(6),
        fc.constantFrom(board({ sections: 2, reach: 3 }), THREE),
        fc.nat(),
        (circuits, at, pick) => {
          const all = everySeating(circuits.length, 6)
          const seating = all[pick % all.length]!
          expect(quickTotal(circuits, at, USUAL_WEIGHTS)(seating)).toBeCloseTo(
            totalOf(costsOf(circuits, at, seating), USUAL_WEIGHTS),
            9,
          )
        },
      ),
      { numRuns: 60 },
    )
  })
})

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
  it('where not every order can be tried is never below its bound, and as good as the best of nine seats', () => {
    const nine = board({ phases: 3, ways: 3, reach: 6 })
    const circuits = [30, 22, 16, 9, 7, 4].map((currentA, i) =>
      circuit({ currentA, heatW: currentA / 5, area: i % 2 ? 'ground' : 'first', hasLead: i < 2 }),
    )
    const found = arrange(circuits, nine, USUAL_WEIGHTS) as Arranged
    expect(found.bound).toBeGreaterThan(0)
    expect(found.total).toBeGreaterThanOrEqual(found.bound - 1e-9)
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

describe('marked as an exercise', () => {
  const circuits = [20, 20, 5, 5].map((currentA, i) =>
    circuit({ currentA, heatW: currentA / 4, area: i < 2 ? 'ground' : 'first' }),
  )
  const task = (of: readonly SeatedCircuit[], at: EmptyBoard) => {
    const { seating } = arrange(of, at, USUAL_WEIGHTS) as Arranged
    return { circuits: of, board: at, weights: USUAL_WEIGHTS, best: seating }
  }
  it('the best has all, the circuits as they come have nothing, and what is between says what it loses', () => {
    const set = task(circuits, THREE)
    expect(markLayout(set, set.best)).toEqual({ percent: 100, lost: [], better: null })
    const first = asTheyCome(circuits, THREE)
    const { percent, lost, better } = markLayout(set, first)
    expect(percent).toBe(0)
    expect(lost.length).toBeGreaterThan(0)
    const next = swapped(circuits, THREE, first, better!.seats)
    expect(markLayout(set, next).percent).toBeGreaterThan(0)
  })
  it('no other swap helps more than the one that is named', () => {
    fc.assert(
      fc.property(fc.array(someCircuit, { minLength: 2, maxLength: 5 }), fc.nat(), (some, pick) => {
        const set = task(some, THREE)
        const all = everySeating(some.length, 6)
        const seating = all[pick % all.length]!
        const { better, lost } = markLayout(set, seating)
        const total = (of: Seating) => totalOf(costsOf(some, THREE, of), USUAL_WEIGHTS)
        const gains = everyPair(6).map((pair) => total(seating) - total(swapped(some, THREE, seating, pair)))
        expect(better?.by ?? 0).toBeCloseTo(Math.max(0, ...gains), 6)
        // What single wishes lose and gain is together what the whole is behind.
        const gained = WISHES.reduce((sum, wish) => {
          const by = costsOf(some, THREE, seating)[wish] - costsOf(some, THREE, set.best)[wish]
          return sum + Math.min(0, by * USUAL_WEIGHTS[wish])
        }, 0)
        const behind = lost.reduce((sum, { by }) => sum + by, 0) + gained
        expect(behind).toBeCloseTo(total(seating) - total(set.best), 4)
      }),
      { numRuns: 25 },
    )
  })
  it('takes nothing that is no arrangement: a circuit twice, one left out, three poles across two ways', () => {
    const wide = [circuit({ phases: 3 }), circuit()]
    expect(isSeating(wide, THREE, asTheyCome(wide, THREE))).toBe(true)
    expect(isSeating(wide, THREE, [1, 0, 0, 0, null, null])).toBe(false)
    expect(isSeating(wide, THREE, [0, 0, 0, null, null, null])).toBe(false)
    expect(isSeating(wide, THREE, [0, 0, 0, 1, 1, null])).toBe(false)
    expect(isSeating(wide, THREE, [0, 0, 0, 1, null])).toBe(false)
    expect(isSeating(wide, THREE, [0, 0, 0, 1, null, 7])).toBe(false)
  })
})

const everyPair = (n: number): [number, number][] =>
  Array.from({ length: n }, (_, a) =>
    Array.from({ length: n - a - 1 }, (__, i): [number, number] => [a, a + 1 + i]),
  ).flat()

describe('what cannot be laid out', () => {
  it('more circuits than seats, and three phases on a board that has one', () => {
    const six = Array.from({ length: 7 }, () => circuit())
    expect(arrange(six, board(), USUAL_WEIGHTS)).toEqual({ code: 'tooMany', needed: 7, seats: 6 })
    expect(arrange([circuit({ phases: 3 })], board(), USUAL_WEIGHTS)).toMatchObject({
      code: 'threePhaseOnOne',
    })
  })
})

describe('a board of an installation', () => {
  const installation = splitBoard()
  const RULES = { edition: '18-A2', measuredZs: 'eighty-percent', warmDrop: 'tabulated' } as const
  const design = referenceDesign(installation, RULES)
  it('is read with its currents after diversity, its ways and its sections; what is taken over is read back', () => {
    const laid = laidBoard(installation, design, 'b1', 12)!
    expect(laid.board).toMatchObject({ phases: 1, sections: 2 })
    expect(laid.clash).toBeNull()
    const demand = design.boards[0]!.values.demand!
    expect(laid.circuits.reduce((sum, { currentA }) => sum + currentA, 0)).toBeCloseTo(demand, 6)
    const boxes = boxesOf(laid, laid.seating, 'b1')
    for (const { id, way } of installation.circuits) expect(boxes[`${id}.way`]).toBe(String(way))
  })
  it('each shared RCD has the circuits that it has in the bay that is built of it', () => {
    const many = practiceInstallation(
      [1, 2, 3, 4, 5].map((way) => sockets({ id: `c${way}`, name: `Circuit ${way}`, way })),
    )
    const rig = practiceRig('Bay', many)
    const laid = laidBoard(many, referenceDesign(many, RULES), 'b1', 12)!
    for (let way = 1; way <= 5; way++)
      for (let other = 1; other < way; other++) {
        const pair = laid.circuits.map((one, i) => ({
          ...one,
          area: i + 1 === way || i + 1 === other ? 'pair' : `${i}`,
        }))
        const isDown = measure(pair, laid.board, laid.seating).downAtOnce.includes('pair')
        const combOf = (n: number) =>
          rig.busbars.find(({ teeth }) => teeth.some((tooth) => tooth.startsWith(`b1w${n}.`)))!.id
        expect(isDown, `${way} and ${other}`).toBe(combOf(way) === combOf(other))
      }
  })
  it('two circuits that want one way are named', () => {
    const [first, second] = installation.circuits
    const circuits = installation.circuits.map((one) => ({
      ...one,
      way: one.id === second!.id ? first!.way : one.way,
    }))
    expect(laidBoard({ ...installation, circuits }, design, 'b1', 12)!.clash).toEqual([
      first!.name,
      second!.name,
    ])
  })
})
