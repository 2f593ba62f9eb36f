import { turnOf } from '../installation/shared-rcds'
import type { EmptyBoard, SeatedCircuit } from './board'
import { quickTotal } from './quick-total'
import type { Weights } from './wishes'

/** One way of sharing the RCDs of a board, and what it costs wherever its circuits stand. */
export interface Sharing {
  /** By circuit, the RCD that it has to meet; -1 where that makes no difference. */
  readonly sectionOf: Int8Array
  readonly cost: number
}

/** Every way in which the circuits that share can be dealt out among the RCDs of a board, the cheapest first. */
export function sharingsOf(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
): Sharing[] {
  const sharing = circuits.flatMap(({ isShared }, place) => (isShared ? [place] : []))
  const anyhow = new Int8Array(circuits.length).fill(-1)
  if (board.sections === 0 || sharing.length === 0) return [{ sectionOf: anyhow, cost: 0 }]
  const costOf = costOfSharing(circuits, board, weights)
  const room = Array.from({ length: board.sections }, () => 0)
  sharing.forEach((_, turn) => room[turnOf(turn, board.sections)]!++)
  const all: Sharing[] = []
  const deal = (at: number): void => {
    if (at === sharing.length) return void all.push({ sectionOf: anyhow.slice(), cost: costOf(anyhow) })
    for (let section = 0; section < board.sections; section++) {
      if (room[section] === 0) continue
      room[section]!--
      anyhow[sharing[at]!] = section
      deal(at + 1)
      room[section]!++
    }
  }
  deal(0)
  return all.sort((a, b) => a.cost - b.cost)
}

/** What goes dark at once and what leaks behind one RCD, of a row in which the circuits take their turns. */
function costOfSharing(circuits: readonly SeatedCircuit[], board: EmptyBoard, weights: Weights) {
  const { blast, leakage } = weights
  const nothing = { balance: 0, heat: 0, reach: 0, together: 0, spares: 0, surge: 0 }
  const total = quickTotal(circuits, board, { ...nothing, blast, leakage })
  const seats = board.phases * board.ways
  return (sectionOf: Int8Array): number => {
    const behind = Array.from({ length: board.sections }, (): number[] => [])
    const others: number[] = []
    sectionOf.forEach((section, place) => (section < 0 ? others : behind[section]!).push(place))
    const turns = behind[0]!.flatMap((_, turn) => behind.flatMap((of) => of.slice(turn, turn + 1)))
    const row: (number | null)[] = [...turns, ...others]
    while (row.length < seats) row.push(null)
    return total(row)
  }
}
