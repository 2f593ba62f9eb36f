/** Where somebody stands. */
export const PLACES = ['customer', 'board', 'source', 'point'] as const
export type Place = (typeof PLACES)[number]

export const INDICATORS = ['plug-in', 'two-pole', 'multimeter', 'non-contact'] as const
export type Indicator = (typeof INDICATORS)[number]

/**
 * What an indicator is proved on: another live source, a proving unit, its own test button, or the very
 * circuit.
 */
export const PROOFS = ['known-source', 'proving-unit', 'self-test', 'same-circuit'] as const
export type Proof = (typeof PROOFS)[number]

/** Everything that is done in an isolation and put down, by a trainer or by an assessor. */
export const ACT_KINDS = [
  'ask',
  'permit',
  'inform',
  'identify',
  'take',
  'prove',
  'checkLive',
  'switchOff',
  'lock',
  'keepKey',
  'leaveKey',
  'notice',
  'warnNeutral',
  'testDead',
  'open',
  'testTerminals',
  'separate',
  'tape',
  'testSeparated',
  'touch',
  'restart',
  'cover',
  'clearTools',
  'informAgain',
  'removeNotice',
  'removeOwnLock',
  'removeOthersLock',
  'switchOn',
  'checkFunction',
  'handBack',
  'stop',
] as const
export type ActKind = (typeof ACT_KINDS)[number]

/** One act: who did it is the apprentice; what stands here is what it was, where, with what, and what it showed. */
export interface Act {
  readonly kind: ActKind
  /** From the first act, s, ≥ 0. */
  readonly atS: number
  readonly place?: Place
  /** Of `take`, and carried on by every test after it. */
  readonly indicator?: Indicator
  /** Of `prove`. */
  readonly proof?: Proof
  /** Of tests: it showed a voltage; of a proof: it worked. */
  readonly shows?: boolean
  /** Of tests: how many pairs of conductors were touched. */
  readonly pairs?: number
  /** Of a test: it was made at the point of work, and not at something else. */
  readonly atPoint?: boolean
  /** Of `switchOff`: the main switch, not a way. */
  readonly isMain?: boolean
  /** Which device was switched, locked, hung with a notice or freed again; left out where nobody put it down. */
  readonly device?: string
}
