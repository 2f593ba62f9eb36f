/** The breaker that an SPD stands behind, where its maker says nothing else; common practice, no source. */
export const SURGE_BREAKER = { family: 'breaker', curve: 'C', ratingA: 32 } as const
