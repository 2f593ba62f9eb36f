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

/** What the supply can come back from beside the device that was switched off. */
export const SECOND_SOURCES = [
  'battery',
  'photovoltaic',
  'standby',
  'ups',
  'other-phase',
  'borrowed-neutral',
  'time-switch',
] as const
export type SecondSource = (typeof SECOND_SOURCES)[number]

/** What kind of device was opened: not everything that switches off isolates. */
export const DEVICE_KINDS = [
  'isolator',
  'two-pole-breaker',
  'single-pole-breaker',
  'fuse',
  'functional-switch',
  'contactor',
] as const
export type DeviceKind = (typeof DEVICE_KINDS)[number]

/** What stands on a caution notice. */
export const NOTICE_PARTS = ['name', 'date', 'reason'] as const
export type NoticePart = (typeof NOTICE_PARTS)[number]

/** Everything that is done in an isolation and put down, by a trainer or by an assessor. */
export const ACT_KINDS = [
  'ask',
  'askDependants',
  'permit',
  'inform',
  'identify',
  'take',
  'lookOver',
  'prove',
  'checkLive',
  'switchOff',
  'isolateSource',
  'hasp',
  'lock',
  'othersLock',
  'keepKey',
  'keySafe',
  'leaveKey',
  'notice',
  'warnNeutral',
  'testDead',
  'coverAsLive',
  'open',
  'testTerminals',
  'separate',
  'tape',
  'testSeparated',
  'touch',
  'leave',
  'return',
  'handOver',
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
  /** Of tests: it showed a voltage; of a proof: it worked; of `lookOver`: it was sound and in date. */
  readonly shows?: boolean
  /** Of tests: how many pairs of conductors were touched. */
  readonly pairs?: number
  /** Of a test: it was made at the point of work, and not at something else. */
  readonly atPoint?: boolean
  /** Of `switchOff`: the main switch, not a way. */
  readonly isMain?: boolean
  /** Which device was switched, locked, hung with a notice or freed again; left out where nobody put it down. */
  readonly device?: string
  /** Of `switchOff`: what kind of device it was; left out where nobody put it down. */
  readonly deviceKind?: DeviceKind
  /** Of `isolateSource`. */
  readonly source?: SecondSource
  /** Of `notice`: what stands on it; left out where nobody put it down. */
  readonly content?: readonly NoticePart[]
}
