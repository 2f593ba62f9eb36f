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

type Column = Readonly<Partial<Record<Use, Diversity>>>

/** A cooker in a home: 10 A, 30 % of the rest; On-Site Guide Table A2, from memory. */
export const HOME_COOKER = { fullA: 10, share: 0.3, socketA: 5 } as const

const HOME: Column = {
  lighting: order(0.66),
  heating: excess(0.5),
  cooker: excess(HOME_COOKER.share),
  shower: order(1, 1, 0.25),
  sockets: order(1, 0.4),
}
const BUSINESS: Column = {
  lighting: order(0.9),
  heating: order(1, 0.75),
  cooker: order(1, 0.8, 0.6),
  motor: order(1, 0.8, 0.6),
  shower: order(1, 1, 0.25),
  sockets: order(1, 0.5),
}
const GUEST_HOUSE: Column = {
  lighting: order(0.75),
  heating: order(1, 0.8, 0.6),
  cooker: order(1, 0.8, 0.6),
  motor: order(1, 0.5),
  shower: order(1, 1, 0.25),
  sockets: order(1, 0.5),
}
const COLUMN: Readonly<Record<Premises, Column>> = {
  dwelling: HOME,
  'shared-residence': HOME,
  'guest-house': GUEST_HOUSE,
  commercial: BUSINESS,
  // The table has no column for industry: taken as a business.
  industrial: BUSINESS,
}
const IN_FULL = order(1)

/**
 * On-Site Guide Table A2, from memory. Water heaters with a thermostat, storage and floor heating count in
 * full by the table, fixed loads and boards because it does not name them, and so do the motors of a home.
 */
export const diversityOf = (premises: Premises, use: Use): Diversity => COLUMN[premises][use] ?? IN_FULL

/**
 * A household cooker's own current, A: 10 A, 30 % of the rest, 5 A for a socket; On-Site Guide Table A1, from
 * memory.
 */
export function cookerCurrentA(fullA: number, hasSocket: boolean): number {
  const { fullA: base, share, socketA } = HOME_COOKER
  return (fullA <= base ? fullA : base + share * (fullA - base)) + (hasSocket ? socketA : 0)
}

/** What a household cooker takes in full, A, from the current reckoned by `cookerCurrentA`. */
export function cookerFullA(currentA: number, hasSocket: boolean): number {
  const { fullA: base, share, socketA } = HOME_COOKER
  const reckoned = currentA - (hasSocket ? socketA : 0)
  return reckoned <= base ? reckoned : base + (reckoned - base) / share
}

/**
 * Discharge lamps are reckoned at this multiple of their watts where nothing is known; On-Site Guide Table
 * A1, from memory.
 */
export const DISCHARGE_FACTOR = 1.8
