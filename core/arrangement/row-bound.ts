import { seatsNeeded, seatsOf, type EmptyBoard, type SeatedCircuit } from './board'
import { circuitsAlone } from './surge'
import type { Weights } from './wishes'

const ROUNDS = 400
/** The first step in shares of the mean cost of an edge, and what is left of it from round to round. */
const FIRST_STEP = 1
const SHRINK = 0.985

/**
 * What the row of devices costs at least: warm neighbours, parts of the building that change, gaps that would part them, and
 * neutral leads out of reach. A path through all circuits, from below by spanning trees in which every circuit is drawn to
 * two neighbours. M. Held, R. M. Karp, The traveling-salesman problem and minimum spanning trees, Operations Research 18
 * (1970), from memory. Circuits with a lead fill the seats within reach: the more of them, the seldomer a circuit
 * without one can stand beside them, unless leads are left out of reach.
 */
export function rowBound(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  gapCost: number,
): number {
  const n = circuits.length
  if (n < 2) return leadsLeft(circuits, board) * perLead(circuits, weights)
  const row = rowOf(circuits, board, weights, gapCost)
  const anyhow = pathBound(row, Infinity)
  const leads = circuits.filter(({ hasLead }) => hasLead).length
  let least = Infinity
  for (let left = leadsLeft(circuits, board); left <= leads; left++) {
    const price = left * perLead(circuits, weights)
    if (price + anyhow >= least) break
    const free = Math.max(0, board.reach - (leads - left))
    least = Math.min(least, price + Math.max(anyhow, pathBound(row, 2 * free + 1 + 4 * left)))
  }
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
  const poles = ({ phases }: SeatedCircuit) => (board.phases === 1 ? 1 : phases)
  const squares = circuits.reduce((sum, circuit) => sum + poles(circuit) * circuit.heatW ** 2, 0)
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
 * The cheapest path, from below, that uses up no more of the seats within reach than are free: a circuit without a lead
 * among those with one is passed to and from, and a gap between two with a lead takes a seat as it does.
 */
function pathBound(row: Row, mostUsed: number): number {
  const { n, warmth, change } = row
  const pull = new Float64Array(n)
  const toll: Tolls = { crossing: 0, gap: 0 }
  const sum = (values: Float64Array) => values.reduce((all, one) => all + one, 0)
  let step = (FIRST_STEP * (sum(warmth) + sum(change))) / (n * n)
  let best = 0
  for (let round = 0; round < ROUNDS; round++) {
    const { length, degree, used, gaps } = spanningTree(row, pull, toll)
    const refund = toll.gap * row.mostGaps + (toll.crossing > 0 ? toll.crossing * mostUsed : 0)
    best = Math.max(best, length - refund)
    for (let i = 0; i < n; i++) pull[i]! += step * (degree[i]! - 2)
    if (mostUsed < Infinity) toll.crossing = Math.max(0, toll.crossing + step * (used - mostUsed))
    toll.gap = Math.max(0, toll.gap + step * (gaps - row.mostGaps))
    step *= SHRINK
  }
  return best
}

/**
 * The cheapest tree over all circuits, and two ends from a place outside the row, with every circuit dearer by its pull; less
 * all pulls twice, since each circuit of a row has two neighbours.
 */
function spanningTree(row: Row, pull: Float64Array, toll: Tolls) {
  const { n, change, warmth, side } = row
  const degree = new Int32Array(n)
  const near = new Float64Array(n).fill(Infinity)
  const from = new Int32Array(n).fill(-1)
  const isIn = new Uint8Array(n)
  const gapBetween = (i: number, j: number) =>
    row.gapCost + toll.gap + (side[i]! & side[j]! ? 2 * toll.crossing : 0)
  near[0] = 0
  let [length, used, gaps] = [0, 0, 0]
  for (let count = 0; count < n; count++) {
    let next = -1
    for (let i = 0; i < n; i++) if (!isIn[i] && (next < 0 || near[i]! < near[next]!)) next = i
    isIn[next] = 1
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
    for (let i = 0; i < n; i++) {
      if (isIn[i]) continue
      const at = next * n + i
      const edge =
        change[at]! +
        Math.min(warmth[at]!, gapBetween(next, i)) +
        toll.crossing * (side[next]! ^ side[i]!) +
        pull[next]! +
        pull[i]!
      if (edge < near[i]!) {
        near[i] = edge
        from[i] = next
      }
    }
  }
  const [first, second] = twoLeast(pull)
  degree[first]!++
  degree[second]!++
  length += pull[first]! + pull[second]!
  for (let i = 0; i < n; i++) length -= 2 * pull[i]!
  return { length, degree, used, gaps }
}

function twoLeast(values: Float64Array): [number, number] {
  let [first, second] = values[0]! <= values[1]! ? [0, 1] : [1, 0]
  for (let i = 2; i < values.length; i++)
    if (values[i]! < values[first]!) [first, second] = [i, first]
    else if (values[i]! < values[second]!) second = i
  return [first, second]
}
