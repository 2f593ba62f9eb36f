import { polesOf, seatsNeeded, seatsOf, type EmptyBoard, type SeatedCircuit } from './board'
import { ownWarmth } from './measure'
import { SURGE_LEAD_M, circuitsAlone, shortestLeadM, surgeLeadM } from './surge'
import type { Weights } from './wishes'

/** No circuit, no part of the building. */
export const NONE = -1

/** The row of a board, as it is filled from the left. */
export interface Row {
  readonly n: number
  /** By circuit, the seats that it takes. */
  readonly poles: Int8Array
  /** Lines along the row, one after the other; what has three poles begins at the first of them. */
  readonly phases: 1 | 3
  /** Spare seats that can stand between circuits. */
  readonly gaps: number
  /** What can stand last, with the part of the building that was served last: how many, whose place, which part. */
  readonly ends: number
  readonly placeOf: Int8Array
  readonly areaAt: Int8Array
  /** What stands last once a circuit follows. */
  readonly nextEnd: (end: number, place: number) => number
  /** What it costs that a circuit follows after so many further gaps. */
  readonly step: (state: State, place: number, gap: number) => number
  /** A cost that no order changes. */
  readonly anyhow: number
}

export interface State {
  /** A bit for each circuit that stands. */
  set: number
  /** The next one that is free. */
  seat: number
  gaps: number
  end: number
}

/**
 * The most gaps at once that can serve anything: one between neighbours; on three lines up to two more, so
 * that what follows stands on its line.
 */
export const mostGaps = ({ phases, gaps }: Row, state: State): number =>
  Math.min(gaps - state.gaps, (phases === 3 ? 2 : 0) + (state.end < 0 ? 0 : 1))

/** Whether a circuit can begin at a seat. */
export const canBegin = ({ poles, phases }: Row, place: number, seat: number): boolean =>
  poles[place] === 1 || phases === 1 || seat % 3 === 0

/** What each step along the row of a board costs, from its left end. */
export function rowOf(circuits: readonly SeatedCircuit[], board: EmptyBoard, weights: Weights): Row {
  const n = circuits.length
  const areas = [...new Set(circuitsAlone(circuits).map(({ area }) => area))]
  const areaOf = Int8Array.from(circuits, ({ area, surge }) => (surge ? NONE : areas.indexOf(area)))
  const surges = circuits.flatMap(({ surge }, place) => (surge ? [place] : []))
  const ends = n + surges.length * (areas.length + 1)
  const [placeOf, areaAt] = [new Int8Array(ends), new Int8Array(ends)]
  circuits.forEach((_, place) => ([placeOf[place], areaAt[place]] = [place, areaOf[place]!]))
  surges.forEach((place, k) => {
    for (let area = NONE; area < areas.length; area++) {
      const end = n + k * (areas.length + 1) + area + 1
      ;[placeOf[end], areaAt[end]] = [place, area]
    }
  })
  const { step, anyhow } = pricesOf(circuits, board, weights, { areaOf, placeOf, areaAt })
  return {
    n,
    poles: Int8Array.from(circuits, (circuit) => polesOf(board, circuit)),
    phases: board.phases,
    gaps: seatsOf(board) - seatsNeeded(circuits, board),
    ends,
    placeOf,
    areaAt,
    nextEnd: (end, place) => {
      if (!circuits[place]!.surge) return place
      return n + surges.indexOf(place) * (areas.length + 1) + (end < 0 ? NONE : areaAt[end]!) + 1
    },
    step,
    anyhow,
  }
}

/** Warm neighbours or a gap, another part of the building, leads out of reach, leads of an SPD by the seat. */
function pricesOf(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  { areaOf, placeOf, areaAt }: Pick<Row, 'placeOf' | 'areaAt'> & { readonly areaOf: Int8Array },
): Pick<Row, 'step' | 'anyhow'> {
  const n = circuits.length
  const alone = Math.max(1, circuitsAlone(circuits).length)
  const [perChange, perLead] = [weights.together / alone, weights.reach / alone]
  const gapCost = weights.spares / seatsOf(board)
  const squares = circuits.reduce((sum, one) => sum + polesOf(board, one) * one.heatW ** 2, 0)
  const warmth = Float64Array.from({ length: n * n }, (_, at) =>
    squares === 0
      ? 0
      : (weights.heat * circuits[Math.floor(at / n)]!.heatW * circuits[at % n]!.heatW) / squares,
  )
  const [device, spd] = (['device', 'spd'] as const).map((which) =>
    circuits.findIndex(({ surge }) => surge === which),
  ) as [number, number]
  const hasBoth = device >= 0 && spd >= 0
  const perMetre = hasBoth ? weights.surge / SURGE_LEAD_M : 0
  const perSeat = perMetre * (surgeLeadM(1, 0) - surgeLeadM(0, 0))
  /** Seats from the first of the two to the second, and from the end to the SPD. */
  const leadSeats = (set: number, place: number, seat: number): number => {
    const other = place === spd ? device : spd
    return ((set >> other) & 1 ? seat : -seat) + (place === spd ? seat : 0)
  }
  return {
    anyhow: perMetre * (surgeLeadM(0, 0) - shortestLeadM(board)) + weights.heat * ownWarmth(circuits, board),
    step: ({ set, seat: from, end }, place, gap) => {
      const seat = from + gap
      let cost = gap * gapCost
      if (gap === 0 && end >= 0) cost += warmth[placeOf[end]! * n + place]!
      if (place === spd || place === device) cost += perSeat * leadSeats(set, place, seat)
      const area = areaOf[place]!
      if (area < 0) return cost
      if (end >= 0 && areaAt[end]! >= 0 && areaAt[end] !== area) cost += perChange
      return circuits[place]!.hasLead && seat >= board.reach ? cost + perLead : cost
    },
  }
}
