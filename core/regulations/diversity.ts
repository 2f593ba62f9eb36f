import type { Use } from './supply'

export const PREMISES = ['dwelling', 'shared-residence', 'commercial', 'industrial'] as const
/** `shared-residence`: high-rise and multiple-occupation homes, student accommodation, care homes. */
export type Premises = (typeof PREMISES)[number]

/**
 * Share of each circuit's current that is reckoned to the demand, the largest circuit first, the last share
 * for all others.
 */
type Shares = readonly number[]

const HOME: Readonly<Partial<Record<Use, Shares>>> = {
  lighting: [0.66],
  sockets: [1, 0.4],
  shower: [1, 1, 0.25],
  motor: [1, 0.8, 0.6],
}
const BUSINESS: Readonly<Partial<Record<Use, Shares>>> = {
  lighting: [0.9],
  sockets: [1, 0.5],
  cooker: [1, 0.8, 0.6],
  shower: [1, 1, 0.25],
  motor: [1, 0.8, 0.6],
}

/**
 * On-Site Guide Table A2, from memory; uses without a row count in full. An industrial building is taken as a
 * business.
 */
export function diversityShares(premises: Premises, use: Use): Shares {
  const table = premises === 'dwelling' || premises === 'shared-residence' ? HOME : BUSINESS
  return table[use] ?? [1]
}

/** Cooker in a home: 10 A, 30 % of the rest, 5 A for a socket; On-Site Guide Table A2, from memory. */
export function cookerCurrentA(fullA: number, hasSocket: boolean): number {
  const base = fullA <= 10 ? fullA : 10 + 0.3 * (fullA - 10)
  return base + (hasSocket ? 5 : 0)
}

/**
 * Discharge lamps are reckoned at this multiple of their watts where nothing is known; On-Site Guide Table
 * A1, from memory.
 */
export const DISCHARGE_FACTOR = 1.8
