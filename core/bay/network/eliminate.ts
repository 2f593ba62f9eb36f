import type { Plan } from './plan'
import type { Stamped } from './stamp'

/** An elimination under way: the stamped matrix is used up, and each node taken out leaves its own admittance, S. */
export interface Elimination {
  readonly ownRe: Float64Array
  readonly ownIm: Float64Array
  readonly vRe: Float64Array
  readonly vIm: Float64Array
}

/** Nothing is taken out yet; all voltages are those of earth. */
export function beginElimination({ nodes }: Plan): Elimination {
  const [ownRe, ownIm] = [new Float64Array(nodes.length), new Float64Array(nodes.length)]
  const [vRe, vIm] = [new Float64Array(nodes.length), new Float64Array(nodes.length)]
  return { ownRe, ownIm, vRe, vIm }
}

/**
 * Takes these nodes out, in this order, by star–mesh: each leaves its neighbours joined, and what it carried goes to
 * them. A node's own admittance is the sum of what leaves it, so nothing is ever subtracted, and a leak of gigaohms
 * survives beside a joint of milliohms. Tells whether a node was left without any path: part of the network floats.
 */
export function takeOut(
  { ownRe, ownIm }: Elimination,
  stamped: Stamped,
  plan: Plan,
  nodes: readonly number[],
): boolean {
  const { yRe, yIm } = stamped
  const { start, edge } = plan
  let hasAdrift = false
  for (let at = 0; at < nodes.length; at += 1) {
    const k = nodes[at]!
    let [re, im] = [0, 0]
    for (let a = start[k]!; a < start[k + 1]!; a += 1) {
      re += yRe[edge[a]!]!
      im += yIm[edge[a]!]!
    }
    ownRe[k] = re
    ownIm[k] = im
    if (re === 0 && im === 0) hasAdrift = true
    else handOn(stamped, plan, k, re, im)
  }
  return hasAdrift
}

/** The star of node k, of this own admittance, becomes a mesh of its neighbours. */
function handOn({ yRe, yIm, jRe, jIm }: Stamped, plan: Plan, k: number, re: number, im: number): void {
  const { start, neighbour, edge, pairStart, pair } = plan
  const last = start[k + 1]!
  const square = re * re + im * im
  let at = pairStart[k]!
  for (let a = start[k]!; a < last; a += 1) {
    const aRe = yRe[edge[a]!]!
    const aIm = yIm[edge[a]!]!
    if (aRe === 0 && aIm === 0) {
      at += last - a - 1
      continue
    }
    const shareRe = (aRe * re + aIm * im) / square
    const shareIm = (aIm * re - aRe * im) / square
    jRe[neighbour[a]!]! += shareRe * jRe[k]! - shareIm * jIm[k]!
    jIm[neighbour[a]!]! += shareRe * jIm[k]! + shareIm * jRe[k]!
    for (let b = a + 1; b < last; b += 1, at += 1) {
      const bRe = yRe[edge[b]!]!
      const bIm = yIm[edge[b]!]!
      yRe[pair[at]!]! += shareRe * bRe - shareIm * bIm
      yIm[pair[at]!]! += shareRe * bIm + shareIm * bRe
    }
  }
}

/**
 * Voltages of these nodes against earth from those of their neighbours, the last one out first. An adrift node stands
 * for zero in its part.
 */
export function comeBack(
  { ownRe, ownIm, vRe, vIm }: Elimination,
  { yRe, yIm, jRe, jIm }: Stamped,
  { start, neighbour, edge }: Plan,
  nodes: readonly number[],
): void {
  for (let at = nodes.length - 1; at >= 0; at -= 1) {
    const k = nodes[at]!
    const re = ownRe[k]!
    const im = ownIm[k]!
    if (re === 0 && im === 0) continue
    let sumRe = jRe[k]!
    let sumIm = jIm[k]!
    for (let a = start[k]!; a < start[k + 1]!; a += 1) {
      const e = edge[a]!
      const n = neighbour[a]!
      sumRe += yRe[e]! * vRe[n]! - yIm[e]! * vIm[n]!
      sumIm += yRe[e]! * vIm[n]! + yIm[e]! * vRe[n]!
    }
    const square = re * re + im * im
    vRe[k] = (sumRe * re + sumIm * im) / square
    vIm[k] = (sumIm * re - sumRe * im) / square
  }
}
