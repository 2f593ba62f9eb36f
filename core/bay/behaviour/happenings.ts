import type { Leak } from '../model/rig'

/** Something that a hand or fate does, at this time from the start, s. */
export type Action =
  | { readonly atS: number; readonly kind: 'supply'; readonly on: boolean }
  | { readonly atS: number; readonly kind: 'close'; readonly part: string; readonly on: boolean }
  | { readonly atS: number; readonly kind: 'throw'; readonly part: string; readonly on: boolean }
  | { readonly atS: number; readonly kind: 'use'; readonly part: string; readonly on: boolean }
  | { readonly atS: number; readonly kind: 'fault'; readonly leak: Leak }
  | { readonly atS: number; readonly kind: 'test'; readonly part: string }

export type TripCause = 'residual' | 'overload' | 'short' | 'arc' | 'plugFuse' | 'fuse'

/** What follows, in order. */
export type Happening =
  | { readonly atS: number; readonly kind: 'done'; readonly action: Action }
  | {
      readonly atS: number
      readonly kind: 'tripped'
      readonly part: string
      readonly cause: TripCause
      /** Residual or pole current that did it, A, and how long it flowed, s. */
      readonly ampere: number
      readonly afterS: number
      /** What flowed in each of its poles, A. */
      readonly poles: Readonly<Record<string, number>>
    }
  /** Reversed: the contacts part and the arc goes on. */
  | { readonly atS: number; readonly kind: 'failedToBreak'; readonly part: string; readonly ampere: number }
  | { readonly atS: number; readonly kind: 'lit' | 'dark'; readonly part: string; readonly volt: number }
  | { readonly atS: number; readonly kind: 'overvoltage'; readonly part: string; readonly volt: number }
  | { readonly atS: number; readonly kind: 'ranUp'; readonly part: string }
  /** A change-over joined what is behind it to the standby source, or to the grid again. */
  | { readonly atS: number; readonly kind: 'wentOver'; readonly part: string; readonly toStandby: boolean }
  /** Nothing that a protective device would do changes any more. */
  | { readonly atS: number; readonly kind: 'settled' }
  | { readonly atS: number; readonly kind: 'unsolved'; readonly reason: string; readonly name: string }
