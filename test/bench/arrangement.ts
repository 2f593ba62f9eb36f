/* A board of 36 single-phase circuits on 12 three-phase ways: how soon a good arrangement is there, and
   how far the best found stands above what none can be below. A consumer unit whose circuits share two RCDs:
   how soon the best is proved. */
import { randomLcg } from 'd3-random'
import { arrange, type Arranged } from '#core/arrangement/arrange'
import type { SeatedCircuit } from '#core/arrangement/board'
import { lossW } from '#core/arrangement/heat'
import { USUAL_WEIGHTS } from '#core/arrangement/wishes'
import { counting, timed } from './clock'

const SEEDS = [0.1, 0.3, 0.5, 0.7, 0.9]
const LONG_LOOK = 2_000_000

function circuitsOf(seed: number, count: number, sharing: number): SeatedCircuit[] {
  const random = randomLcg(seed)
  const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!
  return Array.from({ length: count }, (_, i): SeatedCircuit => {
    const ratingA = one([6, 16, 20, 32])
    const currentA = Math.round(ratingA * random() * 10) / 10
    return {
      id: `c${i}`,
      name: `Circuit ${i}`,
      phases: 1,
      currentA,
      thirdShare: random() < 0.2 ? 0.25 : 0,
      ratingA,
      heatW: lossW(ratingA, currentA),
      area: one(['shop', 'store', 'yard', 'pit']),
      hasLead: random() < 0.3,
      isShared: random() < sharing,
      leakageMA: one([0.5, 1, 3]),
    }
  })
}

/** The slowest of five boards, and the widest gap between what was found and its bound, of the total. */
export function arrangementTimes() {
  const boards = SEEDS.map((seed) => {
    const circuits = circuitsOf(seed, 36, 0)
    const board = { phases: 3, ways: 12, sections: 0, reach: 12 } as const
    const goodMs = timed(() => arrange(circuits, board, USUAL_WEIGHTS))
    const since = counting()
    const { total, bound } = arrange(circuits, board, USUAL_WEIGHTS, LONG_LOOK) as Arranged
    return { goodMs, bestMs: since(), gap: (100 * (total - bound)) / total }
  })
  const worst = (of: (board: (typeof boards)[number]) => number) => Math.max(...boards.map(of))
  return {
    goodMs: worst(({ goodMs }) => goodMs),
    bestMs: worst(({ bestMs }) => bestMs),
    gap: worst(({ gap }) => gap),
  }
}

/** The slowest of five consumer units of 14 circuits in 16 ways; infinite where one is not proved at once. */
export function consumerUnitMs(): number {
  const board = { phases: 1, ways: 16, sections: 2, reach: 6 } as const
  const times = SEEDS.map((seed) => {
    const circuits = circuitsOf(seed, 14, 0.8)
    const since = counting()
    const { isProved } = arrange(circuits, board, USUAL_WEIGHTS) as Arranged
    return isProved ? since() : Infinity
  })
  return Math.max(...times)
}
