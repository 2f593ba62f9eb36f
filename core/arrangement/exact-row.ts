import { seatsOf, type EmptyBoard, type SeatedCircuit, type Seating } from './board'
import { NONE, rowOf, type Row, type State } from './row-steps'
import { sharingsOf, type Sharing } from './sharings'
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
 * The best row of a single-phase board: the cheapest way to go on from every set of circuits that stands and
 * every last one of them, then, for every way of sharing the RCDs, only the ways that could still beat what is
 * known. M. Held, R. M. Karp, A dynamic programming approach to sequencing problems, J. SIAM 10 (1962), from
 * memory. Undefined where filling the table would take more than `mostWork`. `known`: the total of a seating;
 * `mostSteps`: after so many it stops with a bound.
 */
export function exactRow(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  { known, mostWork, mostSteps }: Limits,
): ExactRow | undefined {
  const n = circuits.length
  if (board.phases !== 1 || n === 0 || n > MOST_CIRCUITS) return undefined
  const row = rowOf(circuits, board, weights)
  if ((row.gaps + 1) * 2 ** n * row.ends * n > mostWork) return undefined
  const onward = costsOnward(row)
  const walk = new Walk(row, onward, mostSteps)
  let [least, best]: [number, Seating | null] = [known - row.anyhow, null]
  for (const sharing of sharingsOf(circuits, board, weights)) {
    const from = sharing.cost + onward.fromStart
    if (from >= least - 1e-12) break
    const found = walk.best(sharing, least)
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
  const state: State = { set: 0, count: 0, gaps: 0, end: NONE }
  for (let set = full - 1; set > 0; set--) {
    ;[state.set, state.count] = [set, bitsOf(set)]
    for (let gaps = 0; gaps <= row.gaps; gaps++)
      for (let end = 0; end < ends; end++) {
        if (!((set >> row.placeOf[end]!) & 1)) continue
        ;[state.gaps, state.end] = [gaps, end]
        costs[indexOf(row, gaps, set, end)] = cheapestStep(row, state, costs)
      }
  }
  return { costs, fromStart: cheapestStep(row, { set: 0, count: 0, gaps: 0, end: NONE }, costs) }
}

function bitsOf(set: number): number {
  let bits = 0
  for (let rest = set; rest > 0; rest &= rest - 1) bits++
  return bits
}

function cheapestStep(row: Row, state: State, costs: Float64Array): number {
  let least = Infinity
  const { set, gaps, end } = state
  // Before the first circuit, and twice between two, a gap serves nothing.
  const mostGap = end < 0 || gaps === row.gaps ? 0 : 1
  for (let place = 0; place < row.n; place++) {
    if ((set >> place) & 1) continue
    const next = row.nextEnd(end, place)
    for (let gap = 0; gap <= mostGap; gap++) {
      const rest = costs[indexOf(row, gaps + gap, set | (1 << place), next)]!
      least = Math.min(least, rest + row.step(state, place, gap as 0 | 1))
    }
  }
  return least
}

interface Found {
  readonly seating: (number | null)[]
  readonly total: number
}

/** Rows under one sharing after the other: from the left, only as far as they could beat the best. */
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

  /** The best row of a sharing that costs less than `least`; `stopped` where the steps came to an end first. */
  best({ sectionOf, cost }: Sharing, least: number): Found | 'stopped' | undefined {
    const { n } = this.#row
    const mayCost = least - cost - 1e-12
    const layers: number[][] = [this.#start(sectionOf, mayCost)]
    for (let count = 1; count < n && this.#stepsLeft > 0; count++)
      layers.push(this.#further(layers.at(-1)!, { count, sectionOf, mayCost }))
    let last = NONE
    if (layers.length === n)
      for (const at of layers.at(-1)!) if (last < 0 || this.#costs[at]! < this.#costs[last]!) last = at
    const found = last < 0 ? undefined : { seating: this.#seatingTo(last), total: this.#costs[last]! + cost }
    for (const layer of layers) for (const at of layer) this.#costs[at] = Infinity
    return layers.length === n ? found : 'stopped'
  }

  #start(sectionOf: Int8Array, mayCost: number): number[] {
    const reached: number[] = []
    const state: State = { set: 0, count: 0, gaps: 0, end: NONE }
    for (let place = 0; place < this.#row.n; place++)
      if (sectionOf[place]! <= 0) this.#reach(state, { place, gap: 0, from: NONE, so: 0 }, mayCost, reached)
    return reached
  }

  /** All states with one circuit more. */
  #further(
    layer: readonly number[],
    { count, sectionOf, mayCost }: { count: number; sectionOf: Int8Array; mayCost: number },
  ): number[] {
    const { n, ends, gaps: most } = this.#row
    const reached: number[] = []
    const state: State = { set: 0, count, gaps: 0, end: 0 }
    const sections = Math.max(...sectionOf) + 1
    this.#stepsLeft -= layer.length * n
    for (const from of layer) {
      state.end = from % ends
      const whole = (from - state.end) / ends
      state.set = whole & (2 ** n - 1)
      state.gaps = whole >> n
      const turn = sections === 0 ? 0 : this.#turns(state.set, sectionOf) % sections
      const so = this.#costs[from]!
      for (let place = 0; place < n; place++) {
        if ((state.set >> place) & 1 || (sectionOf[place]! >= 0 && sectionOf[place] !== turn)) continue
        this.#reach(state, { place, gap: 0, from, so }, mayCost, reached)
        if (state.gaps < most) this.#reach(state, { place, gap: 1, from, so }, mayCost, reached)
      }
    }
    return reached
  }

  /** How many that share an RCD stand. */
  #turns(set: number, sectionOf: Int8Array): number {
    let turns = 0
    for (let place = 0; place < sectionOf.length; place++)
      if (sectionOf[place]! >= 0) turns += (set >> place) & 1
    return turns
  }

  #reach(
    state: State,
    { place, gap, from, so }: { place: number; gap: 0 | 1; from: number; so: number },
    mayCost: number,
    reached: number[],
  ): void {
    const row = this.#row
    const set = state.set | (1 << place)
    const at = indexOf(row, state.gaps + gap, set, row.nextEnd(state.end, place))
    const cost = so + row.step(state, place, gap)
    if (cost + this.#onward.costs[at]! >= mayCost || cost >= this.#costs[at]!) return
    if (this.#costs[at] === Infinity) reached.push(at)
    this.#costs[at] = cost
    this.#before[at] = from
  }

  #seatingTo(last: number): (number | null)[] {
    const { n, ends, placeOf } = this.#row
    const seating: (number | null)[] = []
    const gapsOf = (at: number) => Math.floor(at / ends) >> n
    for (let at = last; at >= 0; at = this.#before[at]!) {
      seating.unshift(placeOf[at % ends]!)
      const before = this.#before[at]!
      if (before >= 0 && gapsOf(at) > gapsOf(before)) seating.unshift(null)
    }
    return seating
  }
}
