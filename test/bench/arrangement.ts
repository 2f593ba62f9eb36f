/* A board of 36 single-phase circuits on 12 three-phase ways: how soon a good arrangement is there, and
   how far the best found stands above what none can be below. */
import { randomLcg } from 'd3-random'
import { arrange, type Arranged } from '#core/arrangement/arrange'
import type { SeatedCircuit } from '#core/arrangement/board'
import { lossW } from '#core/arrangement/heat'
import { USUAL_WEIGHTS } from '#core/arrangement/wishes'

const SEEDS = [0.1, 0.3, 0.5, 0.7, 0.9]
const LONG_LOOK = 2_000_000

function circuitsOf(seed: number): SeatedCircuit[] {
  const random = randomLcg(seed)
  const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!
  return Array.from({ length: 36 }, (_, i): SeatedCircuit => {
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
      isShared: false,
      leakageMA: 1,
    }
  })
}

/** The slowest of five boards, and the widest gap between what was found and its bound, of the total. */
export function arrangementTimes() {
  const boards = SEEDS.map((seed) => {
    const circuits = circuitsOf(seed)
    const board = { phases: 3, ways: 12, sections: 0, reach: 12 } as const
    const start = performance.now()
    arrange(circuits, board, USUAL_WEIGHTS)
    const good = performance.now()
    const { total, bound } = arrange(circuits, board, USUAL_WEIGHTS, LONG_LOOK) as Arranged
    return { goodMs: good - start, bestMs: performance.now() - good, gap: (100 * (total - bound)) / total }
  })
  const worst = (of: (board: (typeof boards)[number]) => number) => Math.max(...boards.map(of))
  return {
    goodMs: worst(({ goodMs }) => goodMs),
    bestMs: worst(({ bestMs }) => bestMs),
    gap: worst(({ gap }) => gap),
  }
}
