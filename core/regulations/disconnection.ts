import { isFrom, type Edition } from './editions'
import type { Use } from './supply'

/** Longest disconnection times at 230 V AC, s; BS 7671 Table 41.1 and 411.3.2.3, 411.3.2.4. */
export const FINAL_S = { TN: 0.4, TT: 0.2 }
export const DISTRIBUTION_S = { TN: 5, TT: 1 }

/**
 * A final circuit up to this rating must disconnect in the short time, A: by edition, more for sockets since
 * 2018. From memory.
 */
export const shortTimeLimitA = (edition: Edition, use: Use): number =>
  isFrom(edition, '18') && use === 'sockets' ? 63 : 32
