import type { Act, ActKind, Proof, SecondSource } from './act'
import type { Seriousness } from '../../findings/seriousness'
import type { IsolationPolicy, Level } from '../../policies/isolation'

export const PARTS = ['before', 'secure', 'prove', 'restore'] as const
/** The part of an isolation that a rule belongs to; criteria of the unit framework rest on these. */
export type IsolationPart = (typeof PARTS)[number]

/** What is known of the place before anybody begins. */
export interface Site {
  readonly needsPermit: boolean
  readonly phases: 1 | 3
  readonly level: Level
  readonly policy: IsolationPolicy
  /** Somebody depends on the supply: left out, nobody is known to. */
  readonly hasDependants?: boolean
  /** What else could feed the point of work. */
  readonly secondSources?: readonly SecondSource[]
  /** People who work behind this isolation, ≥ 1; left out: 1. */
  readonly workers?: number
  /** Line and neutral must both be opened, as with TT and IT. */
  readonly needsTwoPoles?: boolean
}

/** The acts of one pass: from the beginning, or from where somebody started again. */
export interface Pass {
  readonly acts: readonly Act[]
  /** Acts of earlier passes too: what was asked or told once need not be again. */
  readonly ever: readonly Act[]
  /** Place of the first act of this pass in the whole sequence. */
  readonly offset: number
}

export type RuleState = 'kept' | 'broken' | 'open' | 'idle'

export interface Judged {
  /** `open`: not due yet; `idle`: nothing here calls for it. */
  readonly state: RuleState
  /** Where in the pass it was kept or broken. */
  readonly at?: number
}

/** A constraint on the order of acts, with what it is worth. Any order that keeps all of them passes. */
export interface Rule {
  readonly code: string
  readonly part: IsolationPart
  readonly seriousness: (site: Site) => Seriousness
  /** Still open at the end is left out, and not just never called for. */
  readonly isOwed: boolean
  readonly judge: (pass: Pass, site: Site) => Judged
}

export const KEPT = (at?: number): Judged => ({ state: 'kept', at })
export const BROKEN = (at?: number): Judged => ({ state: 'broken', at })
export const OPEN: Judged = { state: 'open' }
export const IDLE: Judged = { state: 'idle' }

export const placeOf = (acts: readonly Act[], kind: ActKind | readonly ActKind[], from = 0): number =>
  acts.findIndex(
    (act, i) => i >= from && (typeof kind === 'string' ? act.kind === kind : kind.includes(act.kind)),
  )
export const lastOf = (acts: readonly Act[], kind: ActKind, before = acts.length): number =>
  acts.findLastIndex((act, i) => i < before && act.kind === kind)

/** `what` must come before `then`; told of an earlier pass too where it holds on. */
export function mustPrecede(
  { acts, ever }: Pass,
  what: ActKind | readonly ActKind[],
  then: ActKind | readonly ActKind[],
  holdsOn = false,
): Judged {
  const due = placeOf(acts, then)
  const done = placeOf(acts, what)
  if (done !== -1 && (due === -1 || done < due)) return KEPT(done)
  if (holdsOn && placeOf(ever, what) !== -1) return KEPT()
  return due === -1 ? OPEN : BROKEN(due)
}

/** `what` must come after `from` and before anything of `due`. */
export function mustFollow(
  acts: readonly Act[],
  from: ActKind,
  what: ActKind | readonly ActKind[],
  due: readonly ActKind[],
): Judged {
  const begun = placeOf(acts, from)
  if (begun === -1) return OPEN
  const late = placeOf(acts, due, begun)
  const done = placeOf(acts, what, begun)
  if (done !== -1 && (late === -1 || done < late)) return KEPT(done)
  return late === -1 ? OPEN : BROKEN(late)
}

/** Is this what the centre takes as a proof, for this learner? */
export function isAcceptedProof(proof: Proof | undefined, { policy, level }: Site): boolean {
  if (proof === 'self-test') return policy.selfTest === 'first-weeks' && level === 'first-weeks'
  if (proof === 'same-circuit' || proof === undefined) return false
  return policy.proof === 'either' || policy.proof === proof
}

/** `what` must come before this act; -1: that is still to come. */
export function mustComeBefore(acts: readonly Act[], what: ActKind, due: number): Judged {
  const done = placeOf(acts, what)
  if (done !== -1 && (due === -1 || done < due)) return KEPT(done)
  return due === -1 ? OPEN : BROKEN(due)
}

/**
 * Where the supply of the work itself came back: the first switching on behind the last act at the point or
 * its lock.
 */
export function backOn(acts: readonly Act[]): number {
  const last = acts.findLastIndex(({ kind }) =>
    [
      'open',
      'coverAsLive',
      'touch',
      'separate',
      'cover',
      'testTerminals',
      'testSeparated',
      'removeOwnLock',
    ].includes(kind),
  )
  return placeOf(acts, 'switchOn', Math.max(0, last))
}

/** Not made for isolating: it may close by itself, or its contacts part too little. */
const NO_ISOLATOR = new Set<Act['deviceKind']>(['functional-switch', 'contactor'])
export const isIsolating = ({ deviceKind }: Act): boolean => !NO_ISOLATOR.has(deviceKind)

/** Places of what was switched off before hands went in and not on again. */
export function openedBefore(acts: readonly Act[]): readonly number[] {
  const hands = handsIn(acts)
  const due = hands === -1 ? acts : acts.slice(0, hands)
  const isOnAgain = ({ device }: Act, i: number) =>
    due.some(({ kind, device: on }, k) => k > i && kind === 'switchOn' && on === device)
  return due.flatMap((act, i) => (act.kind === 'switchOff' && !isOnAgain(act, i) ? [i] : []))
}

/**
 * The device that stands for the work: the last one that was switched off before hands went in, of those that
 * isolate.
 */
export function switchedOff(acts: readonly Act[]): string | undefined {
  const hands = handsIn(acts)
  const off = (hands === -1 ? acts : acts.slice(0, hands)).filter(({ kind }) => kind === 'switchOff')
  return (off.findLast(isIsolating) ?? off.at(-1))?.device
}

/** The first moment at which hands are where current could be. */
export const handsIn = (acts: readonly Act[]): number => placeOf(acts, ['open', 'touch'])
