import { isFrom, type Edition } from './editions'

/** Rated residual currents offered, A. Zero stands for no RCD. */
export const RCD_RATINGS_A: readonly number[] = [0.03, 0.1, 0.3]
/** What additional protection asks for, A; BS 7671 415.1.1. */
export const ADDITIONAL_A = 0.03

/** Kinds of residual current that a device sees, each also seeing what those before it see; BS 7671 531.3.3. */
export const RCD_TYPES = ['AC', 'A', 'F', 'B'] as const
export type RcdType = (typeof RCD_TYPES)[number]

/** What the load's electronics may add to a fault current. */
export const DC_CONTENTS = ['none', 'pulsating', 'mixed', 'smooth'] as const
export type DcContent = (typeof DC_CONTENTS)[number]

/**
 * Least type that sees the fault current of this load. From Amendment 2, AC only where the load is known to
 * have no DC part.
 */
export function neededRcdType(content: DcContent, edition: Edition, isKnownLoad: boolean): RcdType {
  const byContent = RCD_TYPES[DC_CONTENTS.indexOf(content)]!
  if (byContent !== 'AC' || !isFrom(edition, '18-A2')) return byContent
  return isKnownLoad ? 'AC' : 'A'
}

/** Longest opening times at 1, 2 and 5 times IΔn, s; BS EN 61008-1 Table 1, from memory. */
const OPENING_S = { general: [0.3, 0.15, 0.04], delayed: [0.5, 0.2, 0.15] } as const

/** Longest time in which an RCD opens at this fault current, s; undefined below its rated residual current. */
export function rcdTimeS(ratedA: number, isDelayed: boolean, faultA: number): number | undefined {
  const times = isDelayed ? OPENING_S.delayed : OPENING_S.general
  const multiple = faultA / ratedA
  const place = [1, 2, 5].findLastIndex((from) => multiple >= from)
  return times[place]
}

/** Socket-outlets up to this rating need additional protection, A; BS 7671 411.3.3 by edition, from memory. */
export const SOCKET_LIMIT_A: Readonly<Record<Edition, number>> = {
  '17-A3': 20,
  18: 32,
  '18-A2': 32,
  '18-A3': 32,
}
