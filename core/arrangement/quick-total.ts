import { turnOf } from '../installation/shared-rcds'
import { seatsOf, type EmptyBoard, type SeatedCircuit, type Seating } from './board'
import { neutralOf } from './measure'
import { circuitsAlone, leadOf } from './surge'
import { LEAKAGE_LIMIT_MA, surgeCost, totalOf, type Weights } from './wishes'

/** More than one bit: what shares no RCD does not go dark with others. */
const NO_SHARED = 3

/** What is looked up and added up along the way. */
function tablesOf(circuits: readonly SeatedCircuit[], board: EmptyBoard) {
  const areas = [...new Set(circuits.map(({ area }) => area))]
  return {
    areaOf: circuits.map(({ area }) => areas.indexOf(area)),
    lines: new Float64Array(board.phases),
    leakage: new Float64Array(board.sections),
    // Of each area how many circuits, and a bit for each RCD that one of them shares; one that shares none has both.
    counts: new Int32Array(areas.length),
    masks: new Int32Array(areas.length),
  }
}

/** Where a circuit is counted: a device with three poles once, an SPD not at all. */
const isFirstPole = ({ surge, phases }: SeatedCircuit, seat: number): boolean =>
  surge === undefined && (phases === 1 || seat % 3 === 0)

/**
 * The same as `totalOf(costsOf(…))`, in one walk along the seats and without anything made on the way: a search
 * asks it some hundred thousand times.
 */
export function quickTotal(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
): (seating: Seating) => number {
  const [n, seats] = [Math.max(1, circuitsAlone(circuits).length), seatsOf(board)]
  const { areaOf, lines, leakage, counts, masks } = tablesOf(circuits, board)

  return (seating) => {
    for (const table of [lines, leakage, counts, masks]) table.fill(0)
    let [third, products, squares, before] = [0, 0, 0, 0]
    let [far, changes, taken, turns, last, lastArea] = [0, 0, 0, 0, -1, -1]
    for (let seat = 0; seat < seats; seat++) {
      const place = seating[seat]!
      if (place === null) {
        before = 0
        continue
      }
      const one = circuits[place]!
      lines[seat % board.phases]! += one.currentA
      third += one.currentA * one.thirdShare
      products += one.heatW * before
      squares += one.heatW * one.heatW
      before = one.heatW
      taken++
      last = seat
      if (!isFirstPole(one, seat)) continue
      const area = areaOf[place]!
      if (one.hasLead && seat >= board.reach) far++
      if (lastArea >= 0 && area !== lastArea) changes++
      lastArea = area
      counts[area]!++
      const section = one.isShared ? turnOf(turns++, board.sections) : -1
      if (section >= 0) leakage[section]! += one.leakageMA
      masks[area]! |= section < 0 ? NO_SHARED : 1 << section
    }
    return totalOf(
      {
        balance: unbalance(lines, third),
        heat: squares === 0 ? 0 : products / squares,
        reach: far / n,
        blast: downAtOnce(board, counts, masks) / n,
        leakage: tooMuch(leakage),
        together: changes / n,
        spares: taken === 0 ? 0 : (last + 1 - taken) / seats,
        surge: surgeCost(leadOf(circuits, seating), board),
      },
      weights,
    )
  }
}

export function unbalance(lines: Float64Array, third: number): number {
  if (lines.length === 1) return 0
  const mean = (lines[0]! + lines[1]! + lines[2]!) / 3
  return mean === 0 ? 0 : neutralOf(lines, third) / mean
}

function downAtOnce({ sections }: EmptyBoard, counts: Int32Array, masks: Int32Array): number {
  if (sections < 2) return 0
  let down = 0
  for (let area = 0; area < counts.length; area++)
    if (counts[area]! > 1 && (masks[area]! & (masks[area]! - 1)) === 0) down++
  return down
}

function tooMuch(leakage: Float64Array): number {
  let sum = 0
  for (const mA of leakage) sum += Math.max(0, mA / LEAKAGE_LIMIT_MA - 1)
  return sum
}
