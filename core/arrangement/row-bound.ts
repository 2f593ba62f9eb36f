import { polesOf, seatsNeeded, seatsOf, type EmptyBoard, type SeatedCircuit } from './board'
import { circuitsAlone } from './surge'
import type { Weights } from './wishes'

const ROUNDS = 400
/** The first step in shares of the mean cost of an edge, and what is left of it from round to round. */
const FIRST_STEP = 1
const SHRINK = 0.985

/**
 * What the row of devices costs at least: warm neighbours, parts of the building that change, gaps that
 * would part them, and neutral leads out of reach. A path through all circuits, from below by spanning trees
 * in which every circuit is drawn to two neighbours. M. Held, R. M. Karp, The traveling-salesman problem and
 * minimum spanning trees, Operations Research 18 (1970), from memory. Circuits with a lead fill the seats
 * within reach: the more of them, the seldomer a circuit without one can stand beside them, unless leads are
 * left out of reach.
 */
export function rowBound(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  { gapCost, isThorough }: { readonly gapCost: number; readonly isThorough: boolean },
): number {
  const n = circuits.length
  if (n < 2) return leadsLeft(circuits, board) * perLead(circuits, weights)
  const row = rowOf(circuits, board, weights, gapCost)
  const all = Int32Array.from({ length: n }, (_, i) => i)
  const pull = new Float64Array(n)
  const anyhow = pathBound(row, all, { pull })
  if (weights.reach === 0) return anyhow
  const leads = circuits.filter(({ hasLead }) => hasLead).length
  let least = Infinity
  for (let left = leadsLeft(circuits, board); left <= leads; left++) {
    const price = left * perLead(circuits, weights)
    if (price + anyhow >= least) break
    const free = Math.max(0, board.reach - (leads - left))
    const crossed = pathBound(row, all, { mostUsed: 2 * free + 1 + 4 * left })
    const parted = left === 0 && isThorough ? partedBound(row, free, pull) : 0
    least = Math.min(least, price + Math.max(anyhow, crossed, parted))
  }
  return least
}

/** More ways than this of filling the seats within reach are not looked at. */
const MOST_FILLINGS = 3000
const FILLING_ROUNDS = 40

/**
 * With every lead within reach the row falls into what stands up to the last of them, together with as many
 * others as there is room for, and the rest: for every choice of those others a path through each part and
 * what joins the two. `pull`: a good beginning.
 */
function partedBound(row: Row, free: number, pull: Float64Array): number {
  const all = Array.from({ length: row.n }, (_, i) => i)
  const [leads, others] = [all.filter((i) => row.side[i] === 1), all.filter((i) => row.side[i] === 0)]
  if (leads.length === 0 || others.length <= free || fillings(others.length, free) > MOST_FILLINGS) return 0
  let least = Infinity
  for (const chosen of subsetsUpTo(others, free)) {
    const [near, far] = [[...leads, ...chosen], others.filter((one) => !chosen.includes(one))]
    const join = cheapestJoin(row, near, far)
    const partOf = (part: readonly number[], enough: number) =>
      pathBound(row, Int32Array.from(part), { pull: pull.slice(), rounds: FILLING_ROUNDS, enough })
    const first = partOf(far, least - join)
    if (join + first < least) least = Math.min(least, join + first + partOf(near, least - join - first))
  }
  return least
}

/** Ways of choosing up to so many of n. */
function fillings(n: number, most: number): number {
  let [all, ways] = [1, 1]
  for (let k = 1; k <= most; k++) {
    ways *= (n - k + 1) / k
    all += ways
  }
  return all
}

function* subsetsUpTo(of: readonly number[], most: number, from = 0): Generator<number[]> {
  yield []
  if (most === 0) return
  for (let i = from; i < of.length; i++)
    for (const rest of subsetsUpTo(of, most - 1, i + 1)) yield [of[i]!, ...rest]
}

function cheapestJoin(
  { n, change, warmth, gapCost }: Row,
  near: readonly number[],
  far: readonly number[],
): number {
  let least = Infinity
  for (const a of near)
    for (const b of far) least = Math.min(least, change[a * n + b]! + Math.min(warmth[a * n + b]!, gapCost))
  return least
}

/** Leads for which no seat within reach is left. */
export const leadsLeft = (circuits: readonly SeatedCircuit[], { phases, reach }: EmptyBoard): number =>
  Math.max(
    0,
    circuits.filter(({ hasLead, phases: n }) => hasLead && (phases === 1 || n === 1)).length - reach,
  )
const perLead = (circuits: readonly SeatedCircuit[], weights: Weights): number =>
  weights.reach / Math.max(1, circuitsAlone(circuits).length)

interface Row {
  readonly n: number
  /** Of every pair beside each other, n × n: what it costs anyhow, and its warmth where no gap is between. */
  readonly change: Float64Array
  readonly warmth: Float64Array
  /** 1 for a circuit with a lead. */
  readonly side: Uint8Array
  readonly gapCost: number
  readonly mostGaps: number
}

function rowOf(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  gapCost: number,
): Row {
  const n = circuits.length
  const squares = circuits.reduce((sum, circuit) => sum + polesOf(board, circuit) * circuit.heatW ** 2, 0)
  const perChange = weights.together / Math.max(1, circuitsAlone(circuits).length)
  const [change, warmth] = [new Float64Array(n * n), new Float64Array(n * n)]
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const [a, b] = [circuits[i]!, circuits[j]!]
      if (squares > 0) warmth[i * n + j] = (weights.heat * a.heatW * b.heatW) / squares
      if (!a.surge && !b.surge && a.area !== b.area) change[i * n + j] = perChange
    }
  const side = Uint8Array.from(circuits, ({ hasLead }) => (hasLead ? 1 : 0))
  return { n, change, warmth, side, gapCost, mostGaps: seatsOf(board) - seatsNeeded(circuits, board) }
}

/** What passing between the sides, and a gap, cost on top, so that there are no more of them than can be. */
interface Tolls {
  crossing: number
  gap: number
}

/**
 * The cheapest path, from below, that uses up no more of the seats within reach than are free: a circuit
 * without a lead among those with one is passed to and from, and a gap between two with a lead takes a seat
 * as it does.
 */
function pathBound(
  row: Row,
  members: Int32Array,
  { mostUsed = Infinity, pull = new Float64Array(row.n), rounds = ROUNDS, enough = Infinity }: Climb,
): number {
  const { warmth, change } = row
  const toll: Tolls = { crossing: 0, gap: 0 }
  const sum = (values: Float64Array) => values.reduce((all, one) => all + one, 0)
  let step = (FIRST_STEP * (sum(warmth) + sum(change))) / (row.n * row.n)
  let best = 0
  for (let round = 0; round < rounds && best < enough; round++) {
    const { length, degree, used, gaps } = spanningTree(row, members, pull, toll)
    const refund = toll.gap * row.mostGaps + (toll.crossing > 0 ? toll.crossing * mostUsed : 0)
    best = Math.max(best, length - refund)
    for (const i of members) pull[i]! += step * (degree[i]! - 2)
    if (mostUsed < Infinity) toll.crossing = Math.max(0, toll.crossing + step * (used - mostUsed))
    toll.gap = Math.max(0, toll.gap + step * (gaps - row.mostGaps))
    step *= SHRINK
  }
  return best
}

interface Climb {
  readonly mostUsed?: number
  /** Where it begins, and what it has come to. */
  readonly pull?: Float64Array
  readonly rounds?: number
  /** More than this need not be known. */
  readonly enough?: number
}

/**
 * The cheapest tree over all circuits, and two ends from a place outside the row, with every circuit dearer
 * by its pull; less all pulls twice, since each circuit of a row has two neighbours.
 */
function spanningTree(row: Row, members: Int32Array, pull: Float64Array, toll: Tolls) {
  const { n, change, warmth, side } = row
  const degree = new Int32Array(n)
  const near = new Float64Array(n).fill(Infinity)
  const from = new Int32Array(n).fill(-1)
  const left = Int32Array.from(members)
  const gapBetween = (i: number, j: number) =>
    row.gapCost + toll.gap + (side[i]! & side[j]! ? 2 * toll.crossing : 0)
  near[left[0]!] = 0
  let [length, used, gaps] = [0, 0, 0]
  for (let count = left.length; count > 0; count--) {
    let place = 0
    for (let i = 1; i < count; i++) if (near[left[i]!]! < near[left[place]!]!) place = i
    const next = left[place]!
    left[place] = left[count - 1]!
    length += near[next]!
    const before = from[next]!
    if (before >= 0) {
      degree[next]!++
      degree[before]!++
      used += side[next]! ^ side[before]!
      if (gapBetween(before, next) < warmth[before * n + next]!) {
        gaps++
        used += 2 * (side[next]! & side[before]!)
      }
    }
    for (let i = 0; i < count - 1; i++) {
      const other = left[i]!
      const at = next * n + other
      const edge =
        change[at]! +
        Math.min(warmth[at]!, gapBetween(next, other)) +
        toll.crossing * (side[next]! ^ side[other]!) +
        pull[next]! +
        pull[other]!
      if (edge < near[other]!) {
        near[other] = edge
        from[other] = next
      }
    }
  }
  const ends = twoLeast(pull, members)
  for (const end of ends) degree[end]!++
  for (const end of ends) length += pull[end]!
  for (const i of members) length -= 2 * pull[i]!
  return { length, degree, used, gaps }
}

/** The two that are pulled least; of one alone it is both. */
function twoLeast(pull: Float64Array, members: Int32Array): readonly [number, number] {
  let [first, second] = [members[0]!, members[1] ?? members[0]!]
  if (pull[second]! < pull[first]!) [first, second] = [second, first]
  for (let k = 2; k < members.length; k++) {
    const i = members[k]!
    if (pull[i]! < pull[first]!) [first, second] = [i, first]
    else if (pull[i]! < pull[second]!) second = i
  }
  return [first, second]
}
