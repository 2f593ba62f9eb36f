/** Turns of shaking and settling before the plan is left as it is: up to half a second for two hundred pieces. */
const MOST_TURNS = 30
/** Swaps by which a settled plan is shaken. */
const SHAKEN = 12

interface Loads {
  /** Bar of each piece. */
  readonly barOf: Int32Array
  /** What each bar holds, mm. */
  readonly load: Float64Array
}

/**
 * A plan with one bar fewer, if shifting pieces finds one: pieces move and change places as long as full bars get
 * fuller and empty ones emptier; a settled plan is shaken and settled anew. The search by the sum of squares is
 * Fleszar and Hindi's, 2002, from memory. The same pieces give the same plan.
 */
export function emptiedBar(
  sizes: readonly number[],
  room: number,
  plan: readonly (readonly number[])[],
): number[][] | undefined {
  const loads: Loads = { barOf: new Int32Array(sizes.length), load: new Float64Array(plan.length) }
  plan.forEach((bar, b) =>
    bar.forEach((i) => {
      loads.barOf[i] = b
      loads.load[b]! += sizes[i]!
    }),
  )
  let best = square(loads)
  for (let turn = 0; turn < MOST_TURNS; turn += 1) {
    const before = { barOf: loads.barOf.slice(), load: loads.load.slice() }
    if (turn > 0) shake(sizes, room, loads, turn)
    while (improve(sizes, room, loads));
    if (loads.load.some((load) => load === 0)) return barsOf(loads)
    const now = square(loads)
    if (now < best) {
      loads.barOf.set(before.barOf)
      loads.load.set(before.load)
    } else best = now
  }
  return undefined
}

const square = ({ load }: Loads): number => load.reduce((sum, each) => sum + each * each, 0)

function barsOf({ barOf, load }: Loads): number[][] {
  const bars: number[][] = [...load].map(() => [])
  barOf.forEach((bar, i) => bars[bar]!.push(i))
  return bars.filter((bar) => bar.length > 0)
}

/** The move or the swap that helps each piece most; false where none does. */
function improve(sizes: readonly number[], room: number, loads: Loads): boolean {
  let isBetter = false
  for (let i = 0; i < sizes.length; i += 1) {
    let [gain, bar, other] = [1e-6, -1, -1]
    const from = loads.barOf[i]!
    for (let b = 0; b < loads.load.length; b += 1) {
      const gained = moved(loads, from, b, sizes[i]!)
      if (b !== from && loads.load[b]! + sizes[i]! <= room && gained > gain)
        [gain, bar, other] = [gained, b, -1]
    }
    for (let j = i + 1; j < sizes.length; j += 1) {
      const to = loads.barOf[j]!
      const step = sizes[i]! - sizes[j]!
      if (to === from || step === 0 || loads.load[to]! + step > room || loads.load[from]! - step > room)
        continue
      const gained = moved(loads, from, to, step)
      if (gained > gain) [gain, bar, other] = [gained, to, j]
    }
    if (bar < 0) continue
    isBetter = true
    change(sizes, loads, i, bar)
    if (other >= 0) change(sizes, loads, other, from)
  }
  return isBetter
}

/** By how much the sum of squares grows when so much goes from one bar to another. */
const moved = ({ load }: Loads, from: number, to: number, mm: number): number =>
  2 * mm * (load[to]! - load[from]! + mm)

function change(sizes: readonly number[], { barOf, load }: Loads, i: number, to: number): void {
  load[barOf[i]!]! -= sizes[i]!
  load[to]! += sizes[i]!
  barOf[i] = to
}

/** Some pieces change places though it does not help, as long as both bars hold them. */
function shake(sizes: readonly number[], room: number, loads: Loads, turn: number): void {
  for (let n = 0; n < SHAKEN; n += 1) {
    const [i, j] = [scattered(turn, n, 1) % sizes.length, scattered(turn, n, 2) % sizes.length]
    const [a, b] = [loads.barOf[i]!, loads.barOf[j]!]
    const step = sizes[i]! - sizes[j]!
    if (a === b || loads.load[b]! + step > room || loads.load[a]! - step > room) continue
    change(sizes, loads, i, b)
    change(sizes, loads, j, a)
  }
}

/** A number that looks like chance and is the same each time. */
function scattered(a: number, b: number, c: number): number {
  const mixed = Math.imul((a * 73_856_093) ^ (b * 19_349_663) ^ (c * 83_492_791), 0x5bd1e995)
  return (mixed ^ (mixed >>> 15)) >>> 0
}
