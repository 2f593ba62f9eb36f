import { emptiedBar } from './emptied-bar'
import { pricedBars } from './priced-bars'

/** A piece to cut, mm, and whose it is. */
export interface Piece {
  readonly name: string
  readonly lengthMm: number
}

export interface Bar {
  readonly pieces: readonly Piece[]
  readonly leftMm: number
}

export interface CuttingList {
  readonly bars: readonly Bar[]
  /** No plan can do with fewer. */
  readonly leastBars: number
  readonly wasteMm: number
  /** The number of bars is the least possible. */
  readonly isLeast: boolean
  /** Pieces that no bar holds. */
  readonly tooLong: readonly Piece[]
}

/** What a saw takes at each cut, mm; common practice, no source. */
export const KERF_MM = 2
/** Up to so many pieces every plan is looked at. */
const EXACT_PIECES = 12
/** Nodes of the exact search before it is given up for what it has. */
const MOST_NODES = 200_000

/**
 * Pieces over stock lengths with the fewest bars. Exact for few pieces; for many, each bar is filled as full
 * as can be, and where the bound lies below that, pieces change places and fillings are priced (a second or two).
 */
export function cutStock(pieces: readonly Piece[], stockMm: number, kerfMm = KERF_MM): CuttingList {
  const tooLong = pieces.filter(({ lengthMm }) => lengthMm > stockMm)
  const sorted = pieces.filter(({ lengthMm }) => lengthMm <= stockMm).sort((a, b) => b.lengthMm - a.lengthMm)
  // A cut is needed between two pieces, and not at the end of the bar.
  const room = stockMm + kerfMm
  const sizes = sorted.map(({ lengthMm }) => lengthMm + kerfMm)
  const { plan, leastBars, isWhole } = bestPlan(sizes, room)
  const bars = plan
    .map((length) => {
      const used = length.reduce((sum, i) => sum + sizes[i]!, 0)
      return { pieces: length.map((i) => sorted[i]!), leftMm: Math.max(0, room - used) }
    })
    .sort((a, b) => a.leftMm - b.leftMm)
  return {
    bars,
    leastBars,
    wasteMm: bars.reduce((sum, { leftMm }) => sum + leftMm, 0),
    isLeast: bars.length === leastBars || isWhole,
    tooLong,
  }
}

interface Plan {
  /** Places in the list of pieces, bar by bar. */
  readonly plan: readonly (readonly number[])[]
  readonly leastBars: number
  /** Every plan was looked at. */
  readonly isWhole: boolean
}

/** Bar after bar where that is as good as any; else every plan of few pieces, and of many the best of priced bars. */
function bestPlan(sizes: readonly number[], room: number): Plan {
  const bound = lowerBound(sizes, room)
  const first = filled(sizes, room)
  if (first.length <= bound) return { plan: first, leastBars: bound, isWhole: false }
  if (sizes.length <= EXACT_PIECES) return { ...exact(sizes, room, first), leastBars: bound }
  let shifted = first
  while (shifted.length > bound) {
    const fewer = emptiedBar(sizes, room, shifted)
    if (!fewer) break
    shifted = fewer
  }
  if (shifted.length <= bound) return { plan: shifted, leastBars: bound, isWhole: false }
  const { plan, least } = byPrice(sizes, room, shifted)
  return {
    plan: plan.length < shifted.length ? plan : shifted,
    leastBars: Math.max(bound, least),
    isWhole: false,
  }
}

/** Priced bars with the pieces back in them. Parts of a millimetre are rounded up, and then prove no bound. */
function byPrice(
  sizes: readonly number[],
  room: number,
  first: readonly (readonly number[])[],
): { readonly plan: number[][]; readonly least: number } {
  const waiting = new Map<number, number[]>()
  sizes.forEach((size, i) => {
    const whole = Math.ceil(size - 1e-9)
    waiting.set(whole, [...(waiting.get(whole) ?? []), i])
  })
  const lengths = [...waiting.keys()]
  const counts = lengths.map((length) => waiting.get(length)!.length)
  const kindOf = new Map(
    lengths.flatMap((length, kind) => waiting.get(length)!.map((i) => [i, kind] as const)),
  )
  const known = first.map((bar) => {
    const filling = new Array<number>(lengths.length).fill(0)
    for (const i of bar) filling[kindOf.get(i)!]! += 1
    return filling
  })
  const { bars, least } = pricedBars({ sizes: lengths, counts }, Math.floor(room + 1e-9), known)
  const isExact = [...sizes, room].every((size) => Number.isInteger(size))
  return {
    plan: bars.map((filling) =>
      filling.flatMap((count, kind) => waiting.get(lengths[kind]!)!.splice(0, count)),
    ),
    least: isExact ? least : 0,
  }
}

/**
 * Bound L2 of Martello and Toth, 1990, from memory: pieces that cannot share a bar, and what the rest needs
 * at least.
 */
export function lowerBound(sizes: readonly number[], room: number): number {
  let best = Math.ceil(sizes.reduce((sum, size) => sum + size, 0) / room - 1e-9)
  for (const limit of new Set([0, ...sizes.filter((size) => size <= room / 2)])) {
    const large = sizes.filter((size) => size > room - limit)
    const middle = sizes.filter((size) => size <= room - limit && size > room / 2)
    const small = sizes.filter((size) => size <= room / 2 && size >= limit)
    const over =
      small.reduce((sum, size) => sum + size, 0) -
      (middle.length * room - middle.reduce((sum, size) => sum + size, 0))
    best = Math.max(best, large.length + middle.length + Math.max(0, Math.ceil(over / room - 1e-9)))
  }
  return best
}

/** Bar after bar: the longest piece left, and with it those that leave the least. */
function filled(sizes: readonly number[], room: number): number[][] {
  const left = new Set(sizes.keys())
  const bars: number[][] = []
  while (left.size > 0) {
    const first = [...left][0]!
    left.delete(first)
    const chosen = bestFill(
      [...left].map((i) => ({ i, size: sizes[i]! })),
      room - sizes[first]!,
    )
    chosen.forEach((i) => left.delete(i))
    bars.push([first, ...chosen])
  }
  return bars
}

/** The fullest way to fill a room, by what can be reached with the pieces so far. In steps of a millimetre. */
function bestFill(items: readonly { readonly i: number; readonly size: number }[], room: number): number[] {
  const width = Math.floor(room)
  if (width <= 0) return []
  const last = new Int32Array(width + 1).fill(-1)
  const reached = new Uint8Array(width + 1)
  reached[0] = 1
  const steps = items.map(({ size }) => Math.ceil(size - 1e-9))
  for (let k = 0; k < items.length; k += 1) {
    const step = steps[k]!
    for (let sum = width; sum >= step; sum -= 1) {
      if (!reached[sum] && reached[sum - step]) {
        reached[sum] = 1
        last[sum] = k
      }
    }
    if (reached[width]) break
  }
  let sum = width
  while (!reached[sum]) sum -= 1
  const chosen: number[] = []
  while (sum > 0) {
    const k = last[sum]!
    chosen.push(items[k]!.i)
    sum -= steps[k]!
  }
  return chosen
}

/**
 * Depth first: each piece into every bar it fits, a new bar last; bars that look alike once. Tells whether
 * every plan was looked at.
 */
function exact(
  sizes: readonly number[],
  room: number,
  known: number[][],
): { readonly plan: number[][]; readonly isWhole: boolean } {
  let best = known
  let nodes = 0
  const bars: { own: number[]; left: number }[] = []
  const place = (at: number): void => {
    if ((nodes += 1) > MOST_NODES || bars.length >= best.length) return
    if (at === sizes.length) {
      best = bars.map(({ own }) => [...own])
      return
    }
    const seen = new Set<number>()
    for (const bar of bars) {
      if (bar.left < sizes[at]! || seen.has(bar.left)) continue
      seen.add(bar.left)
      bar.own.push(at)
      bar.left -= sizes[at]!
      place(at + 1)
      bar.own.pop()
      bar.left += sizes[at]!
    }
    bars.push({ own: [at], left: room - sizes[at]! })
    place(at + 1)
    bars.pop()
  }
  place(0)
  return { plan: best, isWhole: nodes <= MOST_NODES }
}
