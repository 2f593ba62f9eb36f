/** How often each kind of piece stands in a bar. */
type Filling = readonly number[]

/** Pieces by length, and how many of each are wanted: whole millimetres with the saw's share in them. */
export interface Kinds {
  readonly sizes: readonly number[]
  readonly counts: readonly number[]
}

/** Fillings tried, and cells of tables looked at for them, before what is there is taken: a second or two. */
const MOST_TURNS = 1200
const MOST_CELLS = 4e8
const EPS = 1e-7
/** What taking a filling in costs for each place of the inverse, in cells of a table. */
const CELLS_EACH = 3
/** A share of a bar above this is cut as a whole one, where the pieces are still wanted. */
const WHOLE_FROM = 0.55

/** What may still be spent. */
interface Budget {
  cells: number
}

interface Priced {
  /** No plan of whole bars needs fewer. */
  readonly least: number
  /** Fillings in use, with how many bars of each; fractions are allowed. */
  readonly used: readonly { readonly filling: Filling; readonly times: number }[]
}

/** Fillings that are cut now, one for each kind, and what the inverse of them says. */
interface Basis {
  readonly fillings: Filling[]
  readonly inverse: Float64Array[]
  readonly times: number[]
}

/**
 * The least bars where a bar may be cut in any share of a filling. Fillings are made as they are wanted, by what
 * each piece is worth so far: Gilmore and Gomory, A linear programming approach to the cutting-stock problem,
 * 1961; the bound before the end is Farley’s, 1990; both from memory.
 */
function priced(
  { sizes, counts }: Kinds,
  room: number,
  { budget, known }: { readonly budget: Budget; readonly known: readonly Filling[] },
): Priced {
  const basis = firstBasis({ sizes, counts }, room)
  for (const filling of known) if (valueOf(filling, worthOf(basis)) > 1 + EPS) enter(filling, basis)
  let least = 0
  for (let turn = 0; turn < MOST_TURNS && budget.cells > 0; turn += 1) {
    const { filling, value } = mostWorth({ sizes, counts }, worthOf(basis), room, budget)
    const bars = basis.times.reduce((sum, x) => sum + x, 0)
    least = Math.max(least, Math.ceil(bars / Math.max(1, value) - EPS))
    if (value <= 1 + EPS || least >= Math.ceil(bars - EPS) || !enter(filling, basis)) break
  }
  const used = basis.fillings.flatMap((filling, i) =>
    basis.times[i]! > EPS ? [{ filling, times: basis.times[i]! }] : [],
  )
  return { used, least }
}

/** Each kind in bars of its own. */
function firstBasis({ sizes, counts }: Kinds, room: number): Basis {
  const own = sizes.map((size, i) => Math.min(counts[i]!, Math.floor(room / size)))
  const only = (i: number, value: number) => Float64Array.from(sizes, (_, j) => (j === i ? value : 0))
  return {
    fillings: own.map((n, i) => [...only(i, n)]),
    inverse: own.map((n, i) => only(i, 1 / n)),
    times: counts.map((count, i) => count / own[i]!),
  }
}

/** A filling takes the place of the one that is used up first. False where none is. */
function enter(filling: Filling, { fillings, inverse, times }: Basis): boolean {
  const share = inverse.map((row) => filling.reduce((sum, count, j) => sum + row[j]! * count, 0))
  const ratio = (i: number) => (share[i]! > EPS ? times[i]! / share[i]! : Infinity)
  const out = times.reduce((best, _, i) => (ratio(i) < ratio(best) ? i : best), 0)
  const step = ratio(out)
  if (step === Infinity) return false
  const lead = inverse[out]!.map((value) => value / share[out]!)
  inverse[out] = lead
  for (let i = 0; i < times.length; i += 1) {
    const factor = share[i]!
    if (i === out || Math.abs(factor) < EPS) continue
    const row = inverse[i]!
    for (let j = 0; j < row.length; j += 1) row[j]! -= factor * lead[j]!
    times[i] = Math.max(0, times[i]! - factor * step)
  }
  times[out] = step
  fillings[out] = filling
  return true
}

/** What each piece is worth at what is cut now, in bars. */
function worthOf({ inverse }: Basis): Float64Array {
  const worth = new Float64Array(inverse.length)
  for (const row of inverse) for (let j = 0; j < worth.length; j += 1) worth[j]! += row[j]!
  return worth
}
const valueOf = (filling: Filling, worth: Float64Array): number =>
  filling.reduce((sum, count, j) => sum + count * worth[j]!, 0)

/** The filling that is worth most in one bar, no piece more often than it is wanted. */
function mostWorth(
  { sizes, counts }: Kinds,
  worth: Float64Array,
  room: number,
  budget: Budget,
): { readonly filling: Filling; readonly value: number } {
  const items = sizes.flatMap((size, i) =>
    worth[i]! > EPS ? Array.from({ length: Math.min(counts[i]!, Math.floor(room / size)) }, () => i) : [],
  )
  budget.cells -= items.length * room + CELLS_EACH * sizes.length ** 2
  const best = new Float64Array(room + 1)
  const taken = items.map((i) => takeItem(best, sizes[i]!, worth[i]!))
  const filling = new Array<number>(sizes.length).fill(0)
  let at = room
  for (let k = items.length - 1; k >= 0; k -= 1) {
    if (!taken[k]![at]) continue
    filling[items[k]!]! += 1
    at -= sizes[items[k]!]!
  }
  return { filling, value: best[room]! }
}

/** Adds one piece to what every room is worth; tells in which it is taken. */
function takeItem(best: Float64Array, size: number, value: number): Uint8Array {
  const marks = new Uint8Array(best.length)
  for (let at = best.length - 1; at >= size; at -= 1) {
    const other = best[at - size]! + value
    if (other <= best[at]! + 1e-12) continue
    best[at] = other
    marks[at] = 1
  }
  return marks
}

/**
 * Whole bars from shares: those used most are cut, and the rest is priced anew until nothing is left. With the bound
 * that no plan falls below. `known` are fillings to begin from.
 */
export function pricedBars(
  { sizes, counts }: Kinds,
  room: number,
  known: readonly Filling[],
): { readonly bars: readonly Filling[]; readonly least: number } {
  const budget: Budget = { cells: MOST_CELLS }
  const left = [...counts]
  const bars: Filling[] = []
  let least: number | undefined
  while (left.some((count) => count > 0)) {
    const kinds = left.flatMap((count, i) => (count > 0 ? [i] : []))
    const open = { sizes: kinds.map((i) => sizes[i]!), counts: kinds.map((i) => left[i]!) }
    const shares = priced(open, room, { budget, known: least === undefined ? known : [] })
    least ??= shares.least
    const used = [...shares.used].sort((a, b) => b.times - a.times)
    used.forEach(({ filling, times }, i) => {
      // The first is cut once at least, so that there is an end.
      const wanted = Math.max(i === 0 ? 1 : 0, Math.floor(times + 1 - WHOLE_FROM))
      cutWhole(filling, kinds, { wanted, left, bars })
    })
  }
  return { bars, least: least ?? 0 }
}

interface Cutting {
  readonly wanted: number
  readonly left: number[]
  readonly bars: Filling[]
}

/** Cuts so many bars, as long as all their pieces are still wanted. */
function cutWhole(filling: Filling, kinds: readonly number[], { wanted, left, bars }: Cutting): void {
  for (let n = 0; n < wanted && filling.every((count, k) => left[kinds[k]!]! >= count); n += 1) {
    const whole = new Array<number>(left.length).fill(0)
    filling.forEach((count, k) => {
      whole[kinds[k]!] = count
      left[kinds[k]!]! -= count
    })
    bars.push(whole)
  }
}
