import { seatsOf, type EmptyBoard, type SeatedCircuit, type Seating } from './board'
import { measure } from './measure'
import { SURGE_LEAD_M, circuitsAlone, shortestLeadM } from './surge'

/** What is wished of a board, each weighed by whoever lays it out. */
export const WISHES = ['balance', 'heat', 'reach', 'blast', 'leakage', 'together', 'spares', 'surge'] as const
export type Wish = (typeof WISHES)[number]
export type Weights = Readonly<Record<Wish, number>>

/** What can be wished of these circuits: short leads to the SPD only where there is one. */
export const wishesOf = (circuits: readonly SeatedCircuit[]): Wish[] =>
  WISHES.filter((wish) => wish !== 'surge' || circuits.some(({ surge }) => surge !== undefined))

/** Balance and what cannot be wired come first; common practice, no source. */
export const USUAL_WEIGHTS: Weights = {
  balance: 10,
  heat: 4,
  reach: 10,
  blast: 6,
  leakage: 6,
  together: 2,
  spares: 1,
  surge: 6,
}
/** Of the rated residual current, 30 mA, no more than this stands in a section; BS 7671 531.3.2, from memory. */
export const LEAKAGE_LIMIT_MA = 9

/** A share of the total that nobody would notice: what is this near to its bound counts as proved. */
export const PROVED_WITHIN = 0.002

/** Each wish as a share of what could go wrong with it: 0 is as good as can be. */
export type Costs = Readonly<Record<Wish, number>>

/** How far an arrangement is from every wish. */
export function costsOf(circuits: readonly SeatedCircuit[], board: EmptyBoard, seating: Seating): Costs {
  const of = measure(circuits, board, seating)
  const { linesA, neutralA, outOfReach, downAtOnce, leakageMA, changes, gaps } = of
  const meanA = linesA.reduce((sum, one) => sum + one, 0) / linesA.length
  const n = Math.max(1, circuitsAlone(circuits).length)
  return {
    balance: board.phases === 1 || meanA === 0 ? 0 : neutralA / meanA,
    heat: neighbourHeat(circuits, seating),
    reach: outOfReach.length / n,
    blast: downAtOnce.length / n,
    leakage: leakageMA.reduce((sum, mA) => sum + Math.max(0, mA / LEAKAGE_LIMIT_MA - 1), 0),
    together: changes / n,
    spares: gaps / seatsOf(board),
    surge: surgeCost(of.surgeLeadM, board),
  }
}

/** Leads longer than they need be, as a share of the length that is preferred. */
export const surgeCost = (leadM: number | null, board: EmptyBoard): number =>
  leadM === null ? 0 : (leadM - shortestLeadM(board)) / SURGE_LEAD_M

/** Losses of neighbours multiplied, over all losses squared: 0 where no two warm devices touch. */
function neighbourHeat(circuits: readonly SeatedCircuit[], seating: Seating): number {
  let [products, squares] = [0, 0]
  let before = 0
  for (const place of seating) {
    const heat = place === null ? 0 : circuits[place]!.heatW
    products += heat * before
    squares += heat * heat
    before = heat
  }
  return squares === 0 ? 0 : products / squares
}

export const totalOf = (costs: Costs, weights: Weights): number =>
  WISHES.reduce((sum, wish) => sum + weights[wish] * costs[wish], 0)
