import type { DevicePart } from '../../bay/model/rig'
import { INDICATORS, PLACES, type Place } from '../model/act'
import type { Move } from './move'
import type { TrainerState } from './state'
import { TOPICS } from './world'

const devicesOf = ({ rig }: TrainerState): DevicePart[] =>
  rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.board !== null && part.role !== 'residual',
  )

/** Everything that can be done here and now. Being able to is no advice. */
export function movesAt(state: TrainerState): Move[] {
  const walks = PLACES.filter((to) => to !== state.place).map((to): Move => ({ do: 'walk', to }))
  return [...HERE[state.place](state), ...fromBag(state), ...walks]
}

/** These moves, if it is so. */
const when = (isSo: boolean, ...moves: readonly Move[]): readonly Move[] => (isSo ? moves : [])

const HERE: Readonly<Record<Place, (state: TrainerState) => Move[]>> = {
  customer: atCustomer,
  board: atBoard,
  source: ({ indicator }) => [...when(indicator !== null, { do: 'prove', on: 'here' })],
  point: atPoint,
}

const fromBag = ({ indicator, locks, hasSwitchedOff }: TrainerState): Move[] => [
  ...INDICATORS.filter((candidate) => candidate !== indicator).map((entry): Move => ({
    do: 'take',
    indicator: entry,
  })),
  ...when(
    indicator !== null,
    { do: 'lookOver' },
    { do: 'prove', on: 'proving-unit' },
    { do: 'prove', on: 'self-test' },
  ),
  ...when(locks.length > 0, { do: 'keepKey' }, { do: 'leaveKey' }),
  ...when(hasSwitchedOff, { do: 'goAway' }),
]

function atCustomer({ world, hasPermit, hasSwitchedOff }: TrainerState): Move[] {
  return [
    ...TOPICS.map((topic): Move => ({ do: 'ask', topic })),
    { do: 'inform' },
    ...when(world.needsPermit, { do: hasPermit ? 'handBack' : 'permit' }),
    ...when(hasSwitchedOff, { do: 'warnNeutral' }, { do: 'informAgain' }),
  ]
}

function atBoard(state: TrainerState): Move[] {
  const { hasSwitchedOff, othersLock } = state
  return [
    { do: 'readChart' },
    ...devicesOf(state).flatMap(({ id }) => atDevice(state, id)),
    ...when(othersLock !== null && hasSwitchedOff, { do: 'waitForOther' }, { do: 'cutOthersLock' }),
    ...when(hasSwitchedOff, { do: 'startAgain' }),
  ]
}

function atDevice(
  { world, bay, locks, hasps, notices, indicator, othersLock }: TrainerState,
  device: string,
): Move[] {
  const isOn = bay.closed[device] ?? false
  const isLocked = locks.includes(device)
  // Once it is off, the other person's padlock on the same hasp holds it.
  const isHeld = !isOn && othersLock === device
  const hasHasp = hasps.includes(device)
  const hasNotice = notices.includes(device)
  return [
    ...when(!isLocked && !isHeld, { do: 'switch', device }),
    ...when(!isOn && !isLocked && !hasHasp, { do: 'hasp', device }),
    ...when(!isOn && !isLocked, { do: 'lock', device }),
    ...when(!isOn && hasHasp && world.workers > 1 && othersLock === null, { do: 'mateLocks', device }),
    ...when(isLocked, { do: 'unlock', device }),
    ...when(hasNotice, { do: 'removeNotice', device }),
    ...when(!hasNotice && !isOn, { do: 'notice', device }, { do: 'blankNotice', device }),
    ...when(indicator !== null && indicator !== 'plug-in', { do: 'testDevice', device }),
  ]
}

function atPoint({ indicator, isOpen, isParted, isTaped, hasSwitchedOff }: TrainerState): Move[] {
  const hasPairs = indicator === 'two-pole' || indicator === 'multimeter'
  return [
    ...when(indicator !== null, { do: 'test', every: true }),
    ...when(hasPairs, { do: 'test', every: false }),
    ...when(indicator !== null, { do: 'prove', on: 'here' }),
    ...when(!isOpen, { do: 'open' }),
    ...when(isOpen, { do: 'work' }, { do: 'cover' }),
    ...when(isOpen && !isParted, { do: 'part' }),
    ...when(isOpen && isParted && !isTaped, { do: 'tape' }),
    ...when(hasSwitchedOff, { do: 'clearTools' }, { do: 'checkFunction' }),
  ]
}
