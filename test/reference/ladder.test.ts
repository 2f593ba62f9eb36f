/*
 * Voltage drop along points and round a ring, against Kirchhoff: the conductor as a chain of equal resistances with a current
 * taken at each node, solved from the node equations (Gauss–Seidel), sharing nothing with the core's shares.
 */
import { expect, test } from 'vitest'
import { dropShare } from '#core/design/limits/limits'
import { aTask } from '../support/task'

/**
 * Largest drop of a chain of `segments` resistances of 1 Ω in all, fed at one end or at both, 1 A taken in
 * all by the nodes given.
 */
function worstDrop(segments: number, taken: ReadonlyMap<number, number>, isFedAtBothEnds: boolean): number {
  const ohm = 1 / segments
  const drop = new Float64Array(segments + 1)
  for (let sweep = 0; sweep < 60_000; sweep += 1) {
    let moved = 0
    for (let node = 1; node <= segments; node += 1) {
      if (node === segments && isFedAtBothEnds) continue
      const current = taken.get(node) ?? 0
      // Currents into a node add to what is taken: (drop − left)/R + (drop − right)/R = I.
      const next =
        node === segments
          ? drop[node - 1]! + current * ohm
          : (drop[node - 1]! + drop[node + 1]! + current * ohm) / 2
      moved = Math.max(moved, Math.abs(next - drop[node]!))
      drop[node] = next
    }
    if (moved < 1e-12) break
  }
  return Math.max(...drop)
}

test.each([1, 2, 5, 12])(
  '%d equal loads at equal distances along a radial: (n + 1) ÷ 2n of the whole drop',
  (points) => {
    const taken = new Map(Array.from({ length: points }, (_, i) => [i + 1, 1 / points]))
    expect(dropShare(aTask({ points, isSpread: true }))).toBeCloseTo(worstDrop(points, taken, false), 6)
  },
)

test('a ring with all its load half way round: a quarter', () => {
  expect(dropShare(aTask({ topology: 'ring', points: 1, isSpread: false }))).toBeCloseTo(
    worstDrop(40, new Map([[20, 1]]), true),
    6,
  )
})

test('a ring with its load spread: an eighth, and a little less for few points', () => {
  const spread = (points: number) =>
    worstDrop(
      (points + 1) * 2,
      new Map(Array.from({ length: points }, (_, i) => [(i + 1) * 2, 1 / points])),
      true,
    )
  const share = dropShare(aTask({ topology: 'ring', points: 10, isSpread: true }))
  expect(share).toBe(0.125)
  expect(spread(39)).toBeCloseTo(share, 2)
  // The eighth is on the careful side or within a tenth of it for the rings that are wired.
  for (const points of [8, 10, 16]) expect(spread(points) / share, `${points} points`).toBeLessThan(1.13)
})

test('anywhere on a ring is nearer than half way round: no other place drops more', () => {
  const half = worstDrop(40, new Map([[20, 1]]), true)
  for (const node of [4, 10, 15, 30]) expect(worstDrop(40, new Map([[node, 1]]), true)).toBeLessThan(half)
})
