import type { Board } from './installation'

/** The breaker that an SPD stands behind, where its maker says nothing else; common practice, no source. */
export const SURGE_BREAKER = { family: 'breaker', curve: 'C', ratingA: 32 } as const

/** Ways of a board, counted line by line, that its SPD and the device of it take. */
export const surgePoles = ({ surge, phases }: Pick<Board, 'surge' | 'phases'>): number =>
  surge ? 2 * phases : 0
