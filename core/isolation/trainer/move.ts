import type { Indicator, Place } from '../model/act'
import type { Topic } from './world'

/** What somebody in the trainer can do; devices by their part. */
export type Move =
  | { readonly do: 'walk'; readonly to: Place }
  | { readonly do: 'ask'; readonly topic: Topic }
  | { readonly do: 'take'; readonly indicator: Indicator }
  | { readonly do: 'prove'; readonly on: 'here' | 'proving-unit' | 'self-test' }
  | { readonly do: 'test'; readonly every: boolean }
  | {
      readonly do:
        | 'testDevice'
        | 'switch'
        | 'lock'
        | 'hasp'
        | 'mateLocks'
        | 'notice'
        | 'blankNotice'
        | 'unlock'
        | 'removeNotice'
      readonly device: string
    }
  | {
      readonly do:
        | 'permit'
        | 'inform'
        | 'readChart'
        | 'lookOver'
        | 'goAway'
        | 'keepKey'
        | 'leaveKey'
        | 'warnNeutral'
        | 'open'
        | 'part'
        | 'tape'
        | 'work'
        | 'cover'
        | 'clearTools'
        | 'informAgain'
        | 'waitForOther'
        | 'cutOthersLock'
        | 'startAgain'
        | 'checkFunction'
        | 'handBack'
    }

/** The move of one kind. */
export type MoveOf<D extends Move['do']> = Move extends infer M
  ? M extends { readonly do: infer K }
    ? D extends K
      ? M & { readonly do: D }
      : never
    : never
  : never

/** A move as text, such as `walk board` or `lock b1w1`: what is kept of a run. */
export const moveKey = (move: Move): string =>
  [
    move.do,
    ...Object.entries(move)
      .filter(([name]) => name !== 'do')
      .map(([, value]) => String(value)),
  ].join(' ')
