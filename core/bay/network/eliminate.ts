import type { Plan } from './plan'
import type { Stamped } from './stamp'

export interface Voltages {
  readonly vRe: Float64Array
  readonly vIm: Float64Array
  /** A node was left without any path: part of the network floats. */
  readonly hasAdrift: boolean
}

/** A node's own admittance when it is taken out, S; zero where nothing leaves it any more. */
interface OwnAdmittances {
  readonly ownRe: Float64Array
  readonly ownIm: Float64Array
  readonly hasAdrift: boolean
}

/**
 * Voltages of all nodes against earth by star–mesh: each node taken out leaves its neighbours joined. A node's own
 * admittance is the sum of what leaves it, so nothing is ever subtracted, and a leak of gigaohms survives beside a joint of
 * milliohms. The stamped matrix is used up.
 */
export function eliminate(stamped: Stamped, plan: Plan): Voltages {
  const inner = takeOut(stamped, plan)
  return { ...comeBack(stamped, plan, inner), hasAdrift: inner.hasAdrift }
}

/** Node after node, what it carried and what it joined goes to its neighbours. */
function takeOut(stamped: Stamped, plan: Plan): OwnAdmittances {
  const { yRe, yIm } = stamped
  const { start, edge } = plan
  const count = plan.nodes.length
  const [ownRe, ownIm] = [new Float64Array(count), new Float64Array(count)]
  let hasAdrift = false
  for (let k = 0; k < count - 1; k += 1) {
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
  return { ownRe, ownIm, hasAdrift }
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
 * Back again: each node from its neighbours, the last one out first. An adrift node stands for zero in its
 * part.
 */
function comeBack(
  { yRe, yIm, jRe, jIm }: Stamped,
  { nodes, start, neighbour, edge }: Plan,
  { ownRe, ownIm }: OwnAdmittances,
): Pick<Voltages, 'vRe' | 'vIm'> {
  const count = nodes.length
  const [vRe, vIm] = [new Float64Array(count), new Float64Array(count)]
  for (let k = count - 2; k >= 0; k -= 1) {
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
  return { vRe, vIm }
}
