import type { DevicePart } from '../../bay/model/rig'
import { INDICATORS, PLACES, type Indicator, type Place } from '../act'
import { TOPICS, type Topic } from './world'
import type { TrainerState } from './state'

/** What somebody in the trainer can do; devices by their part. */
export type Move =
  | { readonly do: 'walk'; readonly to: Place }
  | { readonly do: 'ask'; readonly topic: Topic }
  | { readonly do: 'take'; readonly indicator: Indicator }
  | { readonly do: 'prove'; readonly on: 'here' | 'proving-unit' | 'self-test' }
  | { readonly do: 'test'; readonly every: boolean }
  | {
      readonly do: 'testDevice' | 'switch' | 'lock' | 'notice' | 'unlock' | 'removeNotice'
      readonly device: string
    }
  | {
      readonly do:
        | 'permit'
        | 'inform'
        | 'readChart'
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

const devicesOf = ({ rig }: TrainerState): DevicePart[] =>
  rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.board !== null && part.role !== 'residual',
  )

/** Everything that can be done here and now. Being able to is no advice. */
export function movesAt(state: TrainerState): Move[] {
  const { place, world, locks, notices, indicator, bay } = state
  const walks = PLACES.filter((to) => to !== place).map((to): Move => ({ do: 'walk', to }))
  const bag: Move[] = [
    ...INDICATORS.filter((one) => one !== indicator).map((one): Move => ({ do: 'take', indicator: one })),
    ...(indicator
      ? [{ do: 'prove', on: 'proving-unit' } as const, { do: 'prove', on: 'self-test' } as const]
      : []),
    ...(locks.length > 0 ? [{ do: 'keepKey' } as const, { do: 'leaveKey' } as const] : []),
  ]
  const atCustomer: Move[] = [
    ...TOPICS.map((topic): Move => ({ do: 'ask', topic })),
    { do: 'inform' },
    ...(world.needsPermit
      ? [state.hasPermit ? ({ do: 'handBack' } as const) : ({ do: 'permit' } as const)]
      : []),
    ...(state.hasSwitchedOff ? [{ do: 'warnNeutral' } as const, { do: 'informAgain' } as const] : []),
  ]
  const atBoard: Move[] = [
    { do: 'readChart' },
    ...devicesOf(state).flatMap(({ id }): Move[] => {
      const isOn = bay.closed[id] ?? false
      const isLocked = locks.includes(id)
      // Once it is off, the other person hangs a padlock on the same hasp.
      const isHeld =
        !isOn &&
        state.hasOthersLock &&
        world.surprises.some((one) => one.kind === 'secondLock' && one.device === id)
      return [
        ...(isLocked || isHeld ? [] : [{ do: 'switch', device: id } as const]),
        ...(!isOn && !isLocked ? [{ do: 'lock', device: id } as const] : []),
        ...(isLocked ? [{ do: 'unlock', device: id } as const] : []),
        ...(notices.includes(id)
          ? [{ do: 'removeNotice', device: id } as const]
          : isOn
            ? []
            : [{ do: 'notice', device: id } as const]),
        ...(indicator && indicator !== 'plug-in' ? [{ do: 'testDevice', device: id } as const] : []),
      ]
    }),
    ...(state.hasOthersLock && state.hasSwitchedOff
      ? [{ do: 'waitForOther' } as const, { do: 'cutOthersLock' } as const]
      : []),
    ...(state.hasSwitchedOff ? [{ do: 'startAgain' } as const] : []),
  ]
  const atPoint: Move[] = [
    ...(indicator
      ? [
          { do: 'test', every: true } as const,
          ...(indicator === 'two-pole' || indicator === 'multimeter'
            ? [{ do: 'test', every: false } as const]
            : []),
          { do: 'prove', on: 'here' } as const,
        ]
      : []),
    ...(state.isOpen
      ? [
          { do: 'work' } as const,
          { do: 'cover' } as const,
          ...(state.isParted ? (state.isTaped ? [] : [{ do: 'tape' } as const]) : [{ do: 'part' } as const]),
        ]
      : [{ do: 'open' } as const]),
    ...(state.hasSwitchedOff ? [{ do: 'clearTools' } as const, { do: 'checkFunction' } as const] : []),
  ]
  const here: Readonly<Record<Place, Move[]>> = {
    customer: atCustomer,
    board: atBoard,
    source: indicator ? [{ do: 'prove', on: 'here' }] : [],
    point: atPoint,
  }
  return [...here[place], ...bag, ...walks]
}

/** A move as text, such as `walk board` or `lock b1w1`: what is kept of a run. */
export const moveKey = (move: Move): string =>
  [
    move.do,
    ...Object.entries(move)
      .filter(([name]) => name !== 'do')
      .map(([, value]) => String(value)),
  ].join(' ')
