/** So many of so many. */
export interface Share {
  readonly hits: number
  /** 1 or more. */
  readonly of: number
}

export interface Interval {
  readonly low: number
  readonly high: number
}

/** The standard normal deviate of a 95 % interval. */
export const Z95 = 1.959964

export const shareOf = ({ hits, of }: Share): number => hits / of

/**
 * Wilson's score interval of a proportion, 95 %, within 0 to 1. Source: E. B. Wilson, J. Am. Stat. Assoc. 22
 * (1927) 209; recommended by R. G. Newcombe, Stat. Med. 17 (1998) 857.
 */
export function wilson(share: Share, z = Z95): Interval {
  const { of } = share
  const p = shareOf(share)
  const [middle, half] = [p + z ** 2 / (2 * of), z * Math.sqrt((p * (1 - p)) / of + z ** 2 / (4 * of ** 2))]
  const scale = 1 + z ** 2 / of
  return { low: Math.max(0, (middle - half) / scale), high: Math.min(1, (middle + half) / scale) }
}

/**
 * The difference of two independent proportions, `first` less `second`, with its 95 % interval by Newcombe's hybrid
 * score. Source: R. G. Newcombe, Stat. Med. 17 (1998) 873, method 10.
 */
export function difference(first: Share, second: Share): Interval & { readonly by: number } {
  const [p, q] = [shareOf(first), shareOf(second)]
  const [a, b] = [wilson(first), wilson(second)]
  const by = p - q
  return { by, low: by - Math.hypot(p - a.low, b.high - q), high: by + Math.hypot(a.high - p, q - b.low) }
}

/** Fewer on either side than this, and nothing is said about a change. */
export const TOO_FEW_TO_COMPARE = 12

export interface Change {
  /** How the share has moved: up or down hardly by chance, or neither. */
  readonly is: 'more' | 'fewer' | 'open' | 'tooFew'
  readonly before: Share
  readonly after: Share
  /** After less before; null where there are too few. */
  readonly by: (Interval & { readonly by: number }) | null
}

/** Whether a share is another one after something than before it. */
export function changeOf(before: Share, after: Share): Change {
  if (Math.min(before.of, after.of) < TOO_FEW_TO_COMPARE) return { is: 'tooFew', before, after, by: null }
  const by = difference(after, before)
  const movedDown = by.high < 0 ? 'fewer' : 'open'
  return { is: by.low > 0 ? 'more' : movedDown, before, after, by }
}
