/** How a centre guards what is signed, and how long it keeps what. */
export interface TrustPolicy {
  /** PIN, passkey or password is asked again before permitting, deciding or closing when the last proof is older, minutes. */
  readonly proofMinutes: number
  /** A page that nobody touches is locked after so long, minutes; 0 never. */
  readonly lockMinutes: number
  /** Whose work staff see: of every group, or of those that they are named for. */
  readonly staffGroups: 'all' | 'own'
  /** Rehearsals, searches, trainer rounds and predictions are kept so long, years; 0 for ever. */
  readonly keepPracticeYears: number
  /** Photographs of work, after they were taken, years; 0 for ever. */
  readonly keepPhotographYears: number
  /** Somebody who has left is named so long after being disabled, years; 0 for ever. */
  readonly keepLeaverYears: number
  /** Of all decisions so many are marked a second time by chance, besides those at risk, per cent. */
  readonly samplePercent: number
}

/**
 * Practice is nobody's evidence: two years cover a course. Photographs and names of leavers stay six years, the
 * usual time in which a certificate may be questioned. One decision in ten by chance finds what no rule of risk knows
 * of. Common practice, no source; a centre follows its own rules.
 */
export const DEFAULT_TRUST: TrustPolicy = {
  proofMinutes: 30,
  lockMinutes: 15,
  staffGroups: 'all',
  keepPracticeYears: 2,
  keepPhotographYears: 6,
  keepLeaverYears: 6,
  samplePercent: 10,
}
