/* A board laid out: currents as phasors, warmth handed on, what an RCD takes down; the best arrangement against every
   arrangement there is. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { arrange, type Arranged } from '#core/arrangement/arrange'
import type { EmptyBoard, SeatedCircuit, Seating } from '#core/arrangement/board'
import { boxesOf, laidBoard } from '#core/arrangement/from-installation'
import { swapped } from '#core/arrangement/swap'
import { lossW, ratedDiversity } from '#core/arrangement/heat'
import { asTheyCome, isSeating, markLayout } from '#core/arrangement/marked'
import { measure, neutralOf } from '#core/arrangement/measure'
import { quickTotal } from '#core/arrangement/quick-total'
import { costsOf, totalOf, USUAL_WEIGHTS, WISHES } from '#core/arrangement/wishes'
import { practiceInstallation, practiceRig, sockets } from '#core/bay/practice/installations'
import { referenceDesign } from '#core/design/reference'
import { board, circuit, everySeating, someCircuit, someCircuits, THREE } from '../support/arrangement'
import { splitBoard } from '../support/bay'

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
