import { seatsOf, type EmptyBoard, type SeatedCircuit, type Seating } from './board'
import { leastUnbalance } from './bound'
import { dealingsOf, type Dealing } from './dealings'
import { NONE, canBegin, mostGaps, rowOf, type Row, type State } from './row-steps'
import type { Weights } from './wishes'

/** Circuits are counted as bits. */
const MOST_CIRCUITS = 24

interface Limits {
  readonly known: number
  readonly mostWork: number
  readonly mostSteps: number
}

export interface ExactRow {
  /** Better than what was known; null where nothing is. */
  readonly seating: Seating | null
  /** Nothing that can be seated costs less. */
  readonly bound: number
}

/**
 * The best row of a board: the cheapest way to go on from every set of circuits that stands and every last one
 * of them, then, for every way of dealing them out among RCDs or lines, only the ways that could still beat
 * what is known. M. Held, R. M. Karp, A dynamic programming approach to sequencing problems, J. SIAM 10 (1962),
 * from memory. Undefined where filling the table would take more than `mostWork`. `known`: the total of a
 * seating; `mostSteps`: after so many it stops with a bound.
 */
export function exactRow(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  { known, mostWork, mostSteps }: Limits,
): ExactRow | undefined {
  const n = circuits.length
  if (n === 0 || n > MOST_CIRCUITS) return undefined
  const row = rowOf(circuits, board, weights)
  if ((row.gaps + 1) * 2 ** n * row.ends * n > mostWork) return undefined
  const onward = costsOnward(row)
  let [least, best]: [number, Seating | null] = [known - row.anyhow, null]
  const dealings = dealingsOf(circuits, board, weights, least - onward.fromStart - 1e-12)
  // Too many: whatever the lines share, the row costs no less than one that is free.
  if (!dealings) {
    const balance = weights.balance * leastUnbalance(circuits, board)
    return { seating: null, bound: Math.min(least, onward.fromStart + balance) + row.anyhow }
  }
  const walk = new Walk(row, onward, mostSteps)
  for (const dealing of dealings) {
    const from = dealing.cost + onward.fromStart
    if (from >= least - 1e-12) break
    const found = walk.best(dealing, least)
    if (found === 'stopped') return { seating: best, bound: Math.min(least, from) + row.anyhow }
    if (found) [least, best] = [found.total, found.seating.concat(spares(board, found.seating))]
  }
  return { seating: best, bound: least + row.anyhow }
}

const spares = (board: EmptyBoard, seating: Seating): null[] =>
  Array.from({ length: seatsOf(board) - seating.length }, () => null)

interface Onward {
  /** By state: the cheapest way to seat what is left, whoever shares an RCD with whom. */
  readonly costs: Float64Array
  readonly fromStart: number
}

const indexOf = ({ n, ends }: Row, gaps: number, set: number, end: number): number =>
  ((gaps << n) | set) * ends + end

function costsOnward(row: Row): Onward {
  const { n, ends } = row
  const full = 2 ** n - 1
  const costs = new Float64Array((row.gaps + 1) * 2 ** n * ends)
  const state: State = { set: 0, seat: 0, gaps: 0, end: NONE }
  for (let set = full - 1; set > 0; set--) {
    const taken = seatsTaken(row, set)
    for (let gaps = 0; gaps <= row.gaps; gaps++)
      for (let end = 0; end < ends; end++) {
        if (!((set >> row.placeOf[end]!) & 1)) continue
        ;[state.set, state.seat, state.gaps, state.end] = [set, taken + gaps, gaps, end]
        costs[indexOf(row, gaps, set, end)] = cheapestStep(row, state, costs)
      }
  }
  return { costs, fromStart: cheapestStep(row, { set: 0, seat: 0, gaps: 0, end: NONE }, costs) }
}

function seatsTaken({ n, poles }: Row, set: number): number {
  let seats = 0
  for (let place = 0; place < n; place++) if ((set >> place) & 1) seats += poles[place]!
  return seats
}

function cheapestStep(row: Row, state: State, costs: Float64Array): number {
  let least = Infinity
  const { set, seat, gaps, end } = state
  const most = mostGaps(row, state)
  for (let place = 0; place < row.n; place++) {
    if ((set >> place) & 1) continue
    const next = row.nextEnd(end, place)
    for (let gap = 0; gap <= most; gap++) {
      if (!canBegin(row, place, seat + gap)) continue
      const rest = costs[indexOf(row, gaps + gap, set | (1 << place), next)]!
      least = Math.min(least, rest + row.step(state, place, gap))
    }
  }
  return least
}

interface Found {
  readonly seating: (number | null)[]
  readonly total: number
}

/** Which circuits may follow, and what the row may cost at most. */
interface Asked {
  readonly dealing: Dealing
  readonly sections: number
  readonly mayCost: number
}

/** Rows under one dealing after the other: from the left, only as far as they could beat the best. */
class Walk {
  /** By state, the cheapest way there and the state before it. */
  readonly #costs: Float64Array
  readonly #before: Int32Array
  readonly #row: Row
  readonly #onward: Onward
  #stepsLeft: number

  constructor(row: Row, onward: Onward, mostSteps: number) {
    this.#row = row
    this.#onward = onward
    this.#costs = new Float64Array(onward.costs.length).fill(Infinity)
    this.#before = new Int32Array(onward.costs.length)
    this.#stepsLeft = mostSteps
  }

  /** The best row of a dealing that costs less than `least`; `stopped` where the steps came to an end first. */
  best(dealing: Dealing, least: number): Found | 'stopped' | undefined {
    const { n } = this.#row
    const sections = Math.max(...dealing.sectionOf) + 1
    const asked: Asked = { dealing, sections, mayCost: least - dealing.cost - 1e-12 }
    const layers: number[][] = [[]]
    this.#follow({ set: 0, seat: 0, gaps: 0, end: NONE }, NONE, asked, layers[0]!)
    while (layers.length < n && this.#stepsLeft > 0) layers.push(this.#further(layers.at(-1)!, asked))
    let last = NONE
    if (layers.length === n)
      for (const at of layers.at(-1)!) if (last < 0 || this.#costs[at]! < this.#costs[last]!) last = at
    const total = dealing.cost + (last < 0 ? 0 : this.#costs[last]!)
    const found = last < 0 ? undefined : { seating: this.#seatingTo(last), total }
    for (const layer of layers) for (const at of layer) this.#costs[at] = Infinity
    return layers.length === n ? found : 'stopped'
  }

  /** All states with one circuit more. */
  #further(layer: readonly number[], asked: Asked): number[] {
    const { n, ends } = this.#row
    const reached: number[] = []
    const state: State = { set: 0, seat: 0, gaps: 0, end: 0 }
    this.#stepsLeft -= (layer.length + 1) * n
    for (const from of layer) {
      state.end = from % ends
      const whole = (from - state.end) / ends
      state.set = whole & (2 ** n - 1)
      state.gaps = whole >> n
      state.seat = seatsTaken(this.#row, state.set) + state.gaps
      this.#follow(state, from, asked, reached)
    }
    return reached
  }

  /** Every circuit that may follow, after every number of gaps. */
  #follow(state: State, from: number, { dealing, sections, mayCost }: Asked, reached: number[]): void {
    const row = this.#row
    const { sectionOf, lineOf } = dealing
    const turn = sections === 0 ? NONE : turnsOf(state.set, sectionOf) % sections
    const most = mostGaps(row, state)
    const so = from < 0 ? 0 : this.#costs[from]!
    for (let place = 0; place < row.n; place++) {
      if ((state.set >> place) & 1 || (sectionOf[place]! >= 0 && sectionOf[place] !== turn)) continue
      const end = row.nextEnd(state.end, place)
      for (let gap = 0; gap <= most; gap++) {
        const seat = state.seat + gap
        if (lineOf[place]! >= 0 ? lineOf[place] !== seat % 3 : !canBegin(row, place, seat)) continue
        const at = indexOf(row, state.gaps + gap, state.set | (1 << place), end)
        const cost = so + row.step(state, place, gap)
        if (cost + this.#onward.costs[at]! >= mayCost || cost >= this.#costs[at]!) continue
        if (this.#costs[at] === Infinity) reached.push(at)
        this.#costs[at] = cost
        this.#before[at] = from
      }
    }
  }

  #seatingTo(last: number): (number | null)[] {
    const { n, ends, placeOf, poles } = this.#row
    const seating: (number | null)[] = []
    const gapsOf = (at: number) => (at < 0 ? 0 : Math.floor(at / ends) >> n)
    for (let at = last; at >= 0; at = this.#before[at]!) {
      const place = placeOf[at % ends]!
      for (let pole = 0; pole < poles[place]!; pole++) seating.unshift(place)
      for (let gap = gapsOf(this.#before[at]!); gap < gapsOf(at); gap++) seating.unshift(null)
    }
    return seating
  }
}

/** How many that share an RCD stand. */
function turnsOf(set: number, sectionOf: Int8Array): number {
  let turns = 0
  for (let place = 0; place < sectionOf.length; place++)
    if (sectionOf[place]! >= 0) turns += (set >> place) & 1
  return turns
}
