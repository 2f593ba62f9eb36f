/**
 * What one node leaves behind when it is taken out of a network, told by the ranks of nodes. Its figures lie in a row of a
 * shared store: admittance to each neighbour, S; what drives each neighbour from here on, A; between each two neighbours,
 * in the order of two nested loops, its star as a mesh with what came from below, S. The imaginary parts of all three
 * follow in the same order; of direct current there are none.
 */
export interface Front {
  /** Its neighbours at that moment; all are taken out later. */
  readonly near: readonly number[]
  readonly store: Float64Array
  readonly at: number
  readonly isReal: boolean
  /** Its own admittance, the sum of those to its neighbours; zero where nothing leaves it. */
  readonly dRe: number
  readonly dIm: number
  /** What drives it, from below too, A. */
  readonly jRe: number
  readonly jIm: number
  /** The neighbour that is taken out first: what is left here goes there; −1 without one. */
  readonly parent: number
}

/** An admittance between two nodes, S. */
interface Edge {
  readonly from: number
  readonly to: number
  readonly gRe: number
  readonly gIm: number
}

/** How many figures of one part, real or imaginary, a node with so many neighbours leaves. */
export const sizeOf = (count: number): number => 2 * count + (count * (count - 1)) / 2

const STORE = 1 << 15
let store = new Float64Array(STORE)
let used = 0
/** A row of zeros; the store that it lies in lives as long as the fronts that lie there. */
function room(size: number): number {
  if (used + size > store.length) {
    store = new Float64Array(Math.max(STORE, size))
    used = 0
  }
  used += size
  return used - size
}

/** Ranks begin here: nodes that a change brings along have negative ones. */
const LOWEST = -4096
let placeOf = new Int32Array(3 * -LOWEST).fill(-1)

function neighboursOf(rank: number, edges: readonly Edge[], below: readonly Front[]): number[] {
  const near: number[] = []
  const put = (other: number): void => {
    if (other - LOWEST >= placeOf.length) placeOf = new Int32Array(2 * (other - LOWEST)).fill(-1)
    if (other === rank || placeOf[other - LOWEST] !== -1) return
    placeOf[other - LOWEST] = near.length
    near.push(other)
  }
  for (let i = 0; i < edges.length; i += 1) put(edges[i]!.from === rank ? edges[i]!.to : edges[i]!.from)
  for (let i = 0; i < below.length; i += 1) {
    const theirs = below[i]!.near
    for (let a = 0; a < theirs.length; a += 1) put(theirs[a]!)
  }
  return near
}

/**
 * Takes one node out by star–mesh: from its own edges and what the nodes below left behind. Only sums of what is
 * there, never a difference, so a leak of gigaohms survives beside a joint of milliohms.
 */
export function frontOf(
  rank: number,
  edges: readonly Edge[],
  [driveRe, driveIm]: readonly [re: number, im: number],
  below: readonly Front[],
  isReal: boolean,
): Front {
  const near = neighboursOf(rank, edges, below)
  const count = near.length
  const size = sizeOf(count)
  const at = room(isReal ? size : 2 * size)
  let [jRe, jIm] = [driveRe, driveIm]
  for (let i = 0; i < edges.length; i += 1) {
    const { from, to, gRe, gIm } = edges[i]!
    const k = at + placeOf[(from === rank ? to : from) - LOWEST]!
    store[k]! += gRe
    if (!isReal) store[k + size]! += gIm
  }
  for (let i = 0; i < below.length; i += 1) {
    const front = below[i]!
    const own = front.near.indexOf(rank)
    const hands = front.at + front.near.length
    jRe += front.store[hands + own]!
    assemble(rank, front, 0, at, count)
    if (isReal) continue
    const theirs = sizeOf(front.near.length)
    jIm += front.store[hands + own + theirs]!
    assemble(rank, front, theirs, at + size, count)
  }
  for (let i = 0; i < count; i += 1) placeOf[near[i]! - LOWEST] = -1
  return isReal ? handOnReal({ near, at, jRe }) : handOn({ near, at, jRe, jIm })
}

/** One part of what was left below, real or imaginary, into the row that begins at `at`. */
function assemble(rank: number, front: Front, part: number, at: number, count: number): void {
  const { near: theirs, store: from } = front
  const many = theirs.length
  const hands = front.at + part + many
  let next = hands + many
  const mesh = at + 2 * count
  for (let a = 0; a < many; a += 1) {
    const isOwn = theirs[a] === rank
    const i = isOwn ? -1 : placeOf[theirs[a]! - LOWEST]!
    if (!isOwn) store[at + count + i]! += from[hands + a]!
    for (let b = a + 1; b < many; b += 1, next += 1) {
      if (isOwn) store[at + placeOf[theirs[b]! - LOWEST]!]! += from[next]!
      else if (theirs[b] === rank) store[at + i]! += from[next]!
      else {
        const j = placeOf[theirs[b]! - LOWEST]!
        const [low, high] = i < j ? [i, j] : [j, i]
        store[mesh + (low * (2 * count - low - 1)) / 2 + high - low - 1]! += from[next]!
      }
    }
  }
}

interface Row {
  readonly near: readonly number[]
  readonly at: number
  readonly jRe: number
}

const lowestOf = (near: readonly number[]): number => {
  let lowest = near.length > 0 ? near[0]! : -1
  for (let i = 1; i < near.length; i += 1) if (near[i]! < lowest) lowest = near[i]!
  return lowest
}

/** The star of the node becomes a mesh of its neighbours. */
function handOnReal({ near, at, jRe }: Row): Front {
  const count = near.length
  let dRe = 0
  for (let i = 0; i < count; i += 1) dRe += store[at + i]!
  if (dRe > 0) {
    let mesh = at + 2 * count
    for (let i = 0; i < count; i += 1) {
      const share = store[at + i]! / dRe
      store[at + count + i]! += share * jRe
      for (let j = i + 1; j < count; j += 1, mesh += 1) store[mesh]! += share * store[at + j]!
    }
  }
  return { near, store, at, isReal: true, dRe, dIm: 0, jRe, jIm: 0, parent: lowestOf(near) }
}

function handOn({ near, at, jRe, jIm }: Row & { readonly jIm: number }): Front {
  const count = near.length
  const size = sizeOf(count)
  let [dRe, dIm] = [0, 0]
  for (let i = 0; i < count; i += 1) {
    dRe += store[at + i]!
    dIm += store[at + size + i]!
  }
  const square = dRe * dRe + dIm * dIm
  if (square > 0) {
    let mesh = at + 2 * count
    for (let i = 0; i < count; i += 1) {
      const [yRe, yIm] = [store[at + i]!, store[at + size + i]!]
      const shareRe = (yRe * dRe + yIm * dIm) / square
      const shareIm = (yIm * dRe - yRe * dIm) / square
      store[at + count + i]! += shareRe * jRe - shareIm * jIm
      store[at + size + count + i]! += shareRe * jIm + shareIm * jRe
      for (let j = i + 1; j < count; j += 1, mesh += 1) {
        const [re, im] = [store[at + j]!, store[at + size + j]!]
        store[mesh]! += shareRe * re - shareIm * im
        store[mesh + size]! += shareRe * im + shareIm * re
      }
    }
  }
  return { near, store, at, isReal: false, dRe, dIm, jRe, jIm, parent: lowestOf(near) }
}
