/** Nominal line-to-earth voltage, V. */
export const U0_V = 230
/** Minimum voltage factor in the loop impedance formula; BS 7671 Appendix 3. */
export const C_MIN = 0.95
/** Touch voltage limit that an RCD's loop must stay under, V; BS 7671 411.5.3. */
export const TOUCH_LIMIT_V = 50
/** A TT electrode above this is likely to be unstable, Ω; BS 7671 Table 41.5 note 2. */
export const STABLE_ELECTRODE_OHM = 200

export type Arrangement = 'TN-S' | 'TN-C-S' | 'TT'

/** Typical declared maximum Ze by arrangement, Ω; On-Site Guide 1.1 (from memory). TT has none. */
export const DECLARED_ZE_OHM: Readonly<Record<Arrangement, number | undefined>> = { 'TN-S': 0.8, 'TN-C-S': 0.35, TT: undefined }

/** Allowed voltage drop as a fraction of U0 from the origin of a public supply; BS 7671 Appendix 4, 6.4. */
export const voltDropFraction = (use: 'sockets' | 'lighting' | 'fixed'): number => (use === 'lighting' ? 0.03 : 0.05)
