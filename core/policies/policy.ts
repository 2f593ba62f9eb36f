/** How a measured (cold) Zs is compared with the tabulated limit; a centre chooses. */
export type MeasuredZsPolicy = 'eighty-percent' | 'corrected'
/** Voltage drop with the conductor at its full temperature, or at the one that this load brings it to. */
export type WarmDropPolicy = 'tabulated' | 'corrected'

/**
 * Where schools differ: how designs are worked and judged. A centre sets it; an exercise keeps what was in
 * force when it was set.
 */
export interface Policy {
  readonly measuredZs: MeasuredZsPolicy
  readonly warmDrop: WarmDropPolicy
  /** Share of a step's marks for an answer that is right from the person's own earlier figures, 0 to 1. */
  readonly followShare: number
  /** Accepted relative departure of a calculated answer, 0.01 to 0.05. */
  readonly rounding: number
  /** May the reference library be opened from a worksheet? */
  readonly library: 'open' | 'closed'
  /**
   * Which residual tests a schedule asks for: what the edition says, or also half and five times IΔn. Left
   * out: by the edition.
   */
  readonly residualTests?: RcdTests
  /** Single conductors in a terminal: either way, doubled over, or single. Left out: either way. */
  readonly doubling?: Doubling
  /** Whether tidiness in the board is graded or only noted. Left out: noted. */
  readonly dressing?: Dressing
}

export const DOUBLINGS = ['either', 'doubled', 'single'] as const
export type Doubling = (typeof DOUBLINGS)[number]
export const DRESSINGS = ['noted', 'marked'] as const
export type Dressing = (typeof DRESSINGS)[number]

export const RCD_TESTS = ['edition', 'all'] as const
export type RcdTests = (typeof RCD_TESTS)[number]

export const DEFAULT_POLICY: Policy = {
  measuredZs: 'eighty-percent',
  warmDrop: 'tabulated',
  followShare: 1,
  rounding: 0.02,
  library: 'open',
  residualTests: 'edition',
  doubling: 'either',
  dressing: 'noted',
}
