/** Nominal line-to-earth voltage, V. */
export const U0_V = 230
/** Nominal line-to-line voltage, V. */
export const U_V = 400
/** Minimum voltage factor in the loop impedance formula; BS 7671 Appendix 3. */
export const C_MIN = 0.95
/** Touch voltage limit that an RCD's loop must stay under, V; BS 7671 411.5.3. */
export const TOUCH_LIMIT_V = 50
/** A TT electrode above this is likely to be unstable, Ω; BS 7671 Table 41.5 note 2. */
export const STABLE_ELECTRODE_OHM = 200

export type Arrangement = 'TN-S' | 'TN-C-S' | 'TT'
/** Line conductors of a supply, board or circuit. */
export type Phases = 1 | 3
/** What a circuit feeds, as the rules distinguish it. */
export const USES = [
  'sockets',
  'lighting',
  'heating',
  'storage-heating',
  'cooker',
  'shower',
  'immersion',
  'motor',
  'fixed',
  'distribution',
] as const
export type Use = (typeof USES)[number]

/** Typical declared maximum Ze by arrangement, Ω; On-Site Guide 1.1 (from memory). TT has none. */
export const DECLARED_ZE_OHM: Readonly<Record<Arrangement, number | undefined>> = {
  'TN-S': 0.8,
  'TN-C-S': 0.35,
  TT: undefined,
}

/** Voltage that a circuit's load and voltage drop are reckoned on: line to neutral, or line to line, V. */
export const nominalV = (phases: Phases): number => (phases === 3 ? U_V : U0_V)

/**
 * Allowed voltage drop from the origin of a public supply, as a fraction of the nominal voltage; BS 7671
 * Appendix 4, 6.4. Half of the 5 % is left to the circuits behind a feed; common practice, no source.
 */
export const DROP_SHARE = { lighting: 0.03, other: 0.05, feed: 0.025 } as const
