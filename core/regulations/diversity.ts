import type { Use } from './supply'

export const PREMISES = ['dwelling', 'shared-residence', 'guest-house', 'commercial', 'industrial'] as const
/** `shared-residence`: high-rise and multiple-occupation homes, student accommodation, care homes. */
export type Premises = (typeof PREMISES)[number]

/** What is reckoned to the demand of all circuits of one use. */
export type Diversity =
  /** The share of each circuit's current, the largest circuit first, the last share for all others. */
  | { readonly by: 'order'; readonly shares: readonly number[] }
  /** All up to this current together, A, and a share of what is above it. */
  | { readonly by: 'excess'; readonly fullA: number; readonly share: number }

const order = (...shares: number[]): Diversity => ({ by: 'order', shares })
const excess = (share: number): Diversity => ({ by: 'excess', fullA: 10, share })

/** One printed column of the table, by use. */
export type DiversityColumn = Readonly<Partial<Record<Use, Diversity>>>

/** A cooker in a home: 10 A, 30 % of the rest; On-Site Guide Table A2, from memory. */
export const HOME_COOKER = { fullA: 10, share: 0.3, socketA: 5 } as const

export const HOME_DIVERSITY: DiversityColumn = {
  lighting: order(0.66),
  heating: excess(0.5),
  cooker: excess(HOME_COOKER.share),
  shower: order(1, 1, 0.25),
  sockets: order(1, 0.4),
}
export const BUSINESS_DIVERSITY: DiversityColumn = {
  lighting: order(0.9),
  heating: order(1, 0.75),
  cooker: order(1, 0.8, 0.6),
  motor: order(1, 0.8, 0.6),
  shower: order(1, 1, 0.25),
  sockets: order(1, 0.5),
}
export const GUEST_HOUSE_DIVERSITY: DiversityColumn = {
  lighting: order(0.75),
  heating: order(1, 0.8, 0.6),
  cooker: order(1, 0.8, 0.6),
  motor: order(1, 0.5),
  shower: order(1, 1, 0.25),
  sockets: order(1, 0.5),
}

/**
 * Discharge lamps are reckoned at this multiple of their watts where nothing is known; On-Site Guide Table
 * A1, from memory.
 */
export const DISCHARGE_FACTOR = 1.8
