import { turnOf } from '../installation/shared-rcds'
import type { EmptyBoard, SeatedCircuit } from './board'
import { quickTotal, unbalance } from './quick-total'
import type { Weights } from './wishes'

/** Which circuit shares which RCD, or stands on which line, and what that costs wherever along the row it stands. */
export interface Dealing {
  /** By circuit, the RCD that it has to meet; -1 where that makes no difference. */
  readonly sectionOf: Int8Array
  /** By circuit, its line; -1 for all three, or where there is but one. */
  readonly lineOf: Int8Array
  readonly cost: number
}

/** More single-phase circuits than this are not dealt out among three lines in every way. */
const EVERY_LINE = 13

/**
 * Every dealing that costs less than `mayCost`, the cheapest first; a single one that binds nothing where no
 * wish looks at it. Undefined where there would be too many.
 * Boards on three lines with RCDs that are shared are not dealt with.
 */
export function dealingsOf(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  weights: Weights,
  mayCost: number,
): Iterable<Dealing> | undefined {
  const isIndifferent =
    board.phases === 1 ? weights.blast === 0 && weights.leakage === 0 : weights.balance === 0
  if (isIndifferent) return [{ sectionOf: free(circuits), lineOf: free(circuits), cost: 0 }]
  if (board.phases === 1)
    return sharingsOf(circuits, board, weights)
      .filter(({ cost }) => cost < mayCost)
      .sort((a, b) => a.cost - b.cost)
  const singles = circuits.flatMap(({ phases }, place) => (phases === 1 ? [place] : []))
  if (board.sections > 0 || singles.length > EVERY_LINE) return undefined
  return onLines(circuits, singles, board, weights.balance, mayCost)
}

const free = (circuits: readonly SeatedCircuit[]) => new Int8Array(circuits.length).fill(-1)

/** Every way in which the circuits that share can be dealt out among the RCDs of a board. */
function sharingsOf(circuits: readonly SeatedCircuit[], board: EmptyBoard, weights: Weights): Dealing[] {
  const sharing = circuits.flatMap(({ isShared }, place) => (isShared ? [place] : []))
  const [sectionOf, lineOf] = [free(circuits), free(circuits)]
  if (board.sections === 0 || sharing.length === 0) return [{ sectionOf, lineOf, cost: 0 }]
  const costOf = costOfSharing(circuits, board, weights)
  const room = Array.from({ length: board.sections }, () => 0)
  sharing.forEach((_, turn) => room[turnOf(turn, board.sections)]!++)
  const all: Dealing[] = []
  const deal = (at: number): void => {
    if (at === sharing.length)
      return void all.push({ sectionOf: sectionOf.slice(), lineOf, cost: costOf(sectionOf) })
    for (let section = 0; section < board.sections; section++) {
      if (room[section] === 0) continue
      room[section]!--
      sectionOf[sharing[at]!] = section
      deal(at + 1)
      room[section]!++
    }
  }
  deal(0)
  return all
}

/** What goes dark at once and what leaks behind one RCD, of a row in which the circuits take their turns. */
function costOfSharing(circuits: readonly SeatedCircuit[], board: EmptyBoard, weights: Weights) {
  const { blast, leakage } = weights
  const nothing = { balance: 0, heat: 0, reach: 0, together: 0, spares: 0, surge: 0 }
  const total = quickTotal(circuits, board, { ...nothing, blast, leakage })
  return (sectionOf: Int8Array): number => {
    const behind = Array.from({ length: board.sections }, (): number[] => [])
    const others: number[] = []
    sectionOf.forEach((section, place) => (section < 0 ? others : behind[section]!).push(place))
    const turns = behind[0]!.flatMap((_, turn) => behind.flatMap((of) => of.slice(turn, turn + 1)))
    const row: (number | null)[] = [...turns, ...others]
    while (row.length < board.ways) row.push(null)
    return total(row)
  }
}

/** Every way of the single-phase circuits onto the lines for which there is room, by what it leaves unbalanced. */
function* onLines(
  circuits: readonly SeatedCircuit[],
  singles: readonly number[],
  board: EmptyBoard,
  weight: number,
  mayCost: number,
): Generator<Dealing> {
  const room = board.ways - (circuits.length - singles.length)
  const third = circuits.reduce((sum, one) => sum + one.phases * one.currentA * one.thirdShare, 0)
  const whole = circuits.reduce((sum, { currentA, phases }) => sum + (phases === 3 ? currentA : 0), 0)
  const lines = new Float64Array(3).fill(whole)
  const taken = [0, 0, 0]
  const found: { readonly cost: number; readonly code: number }[] = []
  const deal = (at: number, code: number): void => {
    if (at === singles.length) {
      const cost = weight * unbalance(lines, third)
      if (cost < mayCost) found.push({ cost, code })
      return
    }
    const { currentA } = circuits[singles[at]!]!
    for (let line = 0; line < 3; line++) {
      if (taken[line] === room) continue
      taken[line]!++
      lines[line]! += currentA
      deal(at + 1, code * 3 + line)
      lines[line]! -= currentA
      taken[line]!--
    }
  }
  deal(0, 0)
  found.sort((a, b) => a.cost - b.cost)
  const [sectionOf, lineOf] = [free(circuits), free(circuits)]
  for (const { cost, code } of found) {
    let rest = code
    for (const place of [...singles].reverse()) {
      lineOf[place] = rest % 3
      rest = Math.floor(rest / 3)
    }
    yield { sectionOf, lineOf, cost }
  }
}
