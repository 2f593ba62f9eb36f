/** How many logarithms of ratios, their sum, and the sum of their squares. */
export interface Sums {
  readonly n: number
  readonly sum: number
  readonly squares: number
}

/** What somebody or something reads too much or too little, compared with everything else. */
export interface Drift {
  readonly of: string
  readonly n: number
  /** Kinds of reading, and how many of them lie the same way. */
  readonly kinds: number
  readonly sameWay: number
  /** Share above (below zero: below) what others read, with its 99.9 % interval; null where there are too few. */
  readonly excess: { readonly by: number; readonly low: number; readonly high: number } | null
  readonly is: 'drifts' | 'steady' | 'tooFew'
}

/** Fewer readings than this on either side say nothing. */
export const TOO_FEW_READINGS = 12
/**
 * The standard normal deviate of a 99.9 % interval: many bays are looked at, one in a thousand may be named by
 * chance.
 */
const Z999 = 3.290527
/** A departure smaller than this matters to nobody, a share. */
const SMALL = 0.02
/** A kind with fewer readings than this has no direction. */
const LEAST_OF_KIND = 3

const add = (a: Sums, b: Sums): Sums => ({ n: a.n + b.n, sum: a.sum + b.sum, squares: a.squares + b.squares })
const NONE: Sums = { n: 0, sum: 0, squares: 0 }
const meanOf = ({ n, sum }: Sums): number => sum / n
const varianceOf = ({ n, sum, squares }: Sums): number => Math.max(0, (squares - sum ** 2 / n) / (n - 1))

type Kinds = ReadonlyMap<string, Sums>
const totalOf = (kinds: Kinds): Sums => [...kinds.values()].reduce(add, NONE)

/**
 * Which bay or instrument drifts: the same excess everywhere. The mean of ln(reading / expected) of one against that of
 * all others, the difference with its large-sample interval (B. L. Welch, Biometrika 34 (1947) 28, for large numbers),
 * given back as a share. Named only where the interval leaves zero, it is worth naming, and the kinds of reading agree.
 * The plainest is named first and left out of what the others are compared with, so that it does not pull them along.
 */
export function drifts(groups: ReadonlyMap<string, Kinds>): Drift[] {
  const named = new Set<string>()
  for (;;) {
    const found = [...groups].map(([of, kinds]) => against(of, kinds, groups, named))
    const [plainest] = found
      .filter(({ of, is }) => is === 'drifts' && !named.has(of))
      .sort((a, b) => Math.abs(Math.log1p(b.excess!.by)) - Math.abs(Math.log1p(a.excess!.by)))
    if (!plainest) return found
    named.add(plainest.of)
  }
}

function against(
  of: string,
  kinds: Kinds,
  groups: ReadonlyMap<string, Kinds>,
  named: ReadonlySet<string>,
): Drift {
  const own = totalOf(kinds)
  const others = [...groups]
    .filter(([other]) => other !== of && !named.has(other))
    .map(([, other]) => totalOf(other))
    .reduce(add, NONE)
  const base = { of, n: own.n }
  if (Math.min(own.n, others.n) < TOO_FEW_READINGS)
    return { ...base, kinds: kinds.size, sameWay: 0, excess: null, is: 'tooFew' }
  const by = meanOf(own) - meanOf(others)
  const half = Z999 * Math.sqrt(varianceOf(own) / own.n + varianceOf(others) / others.n)
  const clear = [...kinds.values()].filter(({ n }) => n >= LEAST_OF_KIND)
  const sameWay = clear.filter((one) => Math.sign(meanOf(one) - meanOf(others)) === Math.sign(by)).length
  const isClear = Math.abs(by) > half && Math.abs(Math.expm1(by)) >= SMALL
  const agree = clear.length > 0 && sameWay / clear.length >= 0.75
  return {
    ...base,
    kinds: clear.length,
    sameWay,
    excess: { by: Math.expm1(by), low: Math.expm1(by - half), high: Math.expm1(by + half) },
    is: isClear && agree ? 'drifts' : 'steady',
  }
}
